"""Makes theil-sen.csv: slopes with their 80 % range by scipy.stats.theilslopes (Debian python3-scipy 1.10.1).

Each row is a made-up series of days and centimetres, some with a wild point, ties or few measurements.
"""
import csv
from scipy.stats import theilslopes

series = [
    ([0, 7, 14], [0.4, 2.4, 4.7]),
    ([0, 7, 14, 20, 26], [0.4, 2.4, 4.7, 6.6, 8.5]),
    ([0, 7, 14, 21, 28, 35], [1.0, 3.1, 4.9, 25.0, 9.2, 11.0]),
    ([0, 6, 15, 22], [5.0, 5.0, 5.1, 5.0]),
    ([0, 3, 9, 16, 23, 30, 37, 44], [0.2, 1.1, 2.9, 5.2, 5.9, 8.8, 9.1, 12.0]),
    ([0, 7, 14, 21, 28], [9.0, 8.7, 8.9, 8.2, 8.1]),
    ([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11], [1, 2, 2, 4, 4, 6, 7, 7, 9, 9, 11, 12]),
]
with open("theil-sen.csv", "w", newline="") as out:
    rows = csv.writer(out, lineterminator="\n")
    rows.writerow(["days", "cm", "slope", "intercept", "low", "high"])
    for days, cm in series:
        slope, intercept, low, high = theilslopes(cm, days, 0.8)
        rows.writerow([" ".join(map(str, days)), " ".join(map(str, cm)), *(f"{v:.9f}" for v in (slope, intercept, low, high))])

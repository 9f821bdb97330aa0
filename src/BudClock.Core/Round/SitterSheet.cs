using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;

namespace BudClock.Core.Round;

/// <summary>What can be left to a stranger for some days: plain water by an interval, and which plants to leave alone.</summary>
/// <remarks>First soaks, rests, roots, feed and anything that is decided by feel stay with the grower.</remarks>
public sealed record SitterSheet(DateOnly From, DateOnly To, IReadOnlyList<SitterPlace> Places, IReadOnlyList<SharedVessel> Trays)
{
    static readonly string[] Plain = ["W3", "W4", "W5", "W6", "W9", "W16"];

    public static SitterSheet Of(IEnumerable<Assessment> plants, IReadOnlyList<Place> places, IReadOnlyList<SharedVessel> trays, DateOnly today, int days)
    {
        var to = today.AddDays(days - 1);
        var filled = trays.Where(tray => tray.Plants.Count > 0 && tray.Vessel.Kind != Vessel.CoverPot).ToList();
        var inTrays = filled.SelectMany(tray => tray.Plants.Except(tray.Out.Select(pair => pair.Plant))).Select(a => a.Plant.Tag).ToHashSet();
        // What stands in a tray drinks from it: it is neither watered by itself nor left alone.
        var rows = plants.Where(a => !a.Gone && !inTrays.Contains(a.Plant.Tag)).Select(a => Row(a, today, to)).ToList();
        var walk = places.Select(p => (Code: (string?)p.Code, p.Name)).Append((null, "Unplaced"));
        return new(today, to,
            [.. walk.Select(place => new SitterPlace(place.Name, [.. rows.Where(r => r.Plant.Plant.Place == place.Code && r.Days.Count > 0)], [.. rows.Where(r => r.Plant.Plant.Place == place.Code && r.Days.Count == 0).Select(r => r.Plant)]))
                .Where(place => place.Rows.Count + place.Leave.Count > 0)],
            filled);
    }

    static SitterRow Row(Assessment plant, DateOnly today, DateOnly to)
    {
        var water = plant.Advice.FirstOrDefault(a => a.Topic == Topics.Water && Plain.Contains(a.Rule));
        if (water is null || plant.Situation!.Rest is not null) return new(plant, [], "");
        var every = Math.Max(1, water.Until is { } until && water.Due is { } due && plant.Situation.Journal.Waterings is [.., var last] ? due.DayNumber - last.On.DayNumber : 7);
        var first = water.Verdict is Verdict.Hold ? water.Due ?? to.AddDays(1) : today;
        var days = new List<DateOnly>();
        for (var day = first < today ? today : first; day <= to; day = day.AddDays(every)) days.Add(day);
        return new(plant, days, water.Rule switch
        {
            "W5" => "stand in water 30 minutes, drain",
            "W6" => "refill its tray, rain water only",
            "W9" => "top up the reservoir to the mark",
            _ => water.Amount is null ? "water if dry two finger joints down" : $"{water.Amount}, if dry two finger joints down",
        });
    }
}

public sealed record SitterPlace(string Name, IReadOnlyList<SitterRow> Rows, IReadOnlyList<Assessment> Leave);

/// <param name="Days">The days on which it is likely to ask; none for a plant to leave alone.</param>
public sealed record SitterRow(Assessment Plant, IReadOnlyList<DateOnly> Days, string Do);

namespace BudClock.Core.Climate;

/// <summary>Which readings are believed. What cannot be is kept and shown, and no rule reads it.</summary>
public static class Believed
{
    /// <summary>A jump so far from the reading before and the one after is no weather, °C.</summary>
    public const double SpikeC = 12;

    /// <summary>Readings so far apart tell nothing of each other.</summary>
    static readonly TimeSpan Near = TimeSpan.FromMinutes(45);

    static readonly DateTimeOffset Earliest = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
    static readonly TimeSpan Ahead = TimeSpan.FromMinutes(90);

    /// <summary>Why a reading cannot be: "300 °C" and the like; null where it can.</summary>
    /// <param name="now">When it came; a time well after it is the device's clock gone wrong.</param>
    public static string? Doubt(ClimateReading reading, DateTimeOffset now) =>
        reading switch
        {
            { TemperatureC: < -60 or > 60 or double.NaN } => $"no place has {reading.TemperatureC:0.#} °C",
            { HumidityPct: < 0 or > 105 or double.NaN } => $"humidity is never {reading.HumidityPct:0.#} %",
            { Lux: < 0 or > 200_000 or double.NaN } => $"light is never {reading.Lux:0} lux",
            { Ppfd: < 0 or > 3_500 or double.NaN } => $"light is never {reading.Ppfd:0} µmol",
            _ when reading.At < Earliest => $"its time is {reading.At.UtcDateTime:d MMM yyyy}",
            _ when reading.At > now + Ahead => $"its time is {(reading.At - now).TotalHours:0.#} h ahead",
            _ => null,
        };

    /// <summary>
    /// The readings that are believed, in the order of time, each once. Left out are those marked as doubted, and spikes: one reading
    /// of a device that jumps away from both its neighbours.
    /// </summary>
    public static IReadOnlyList<ClimateReading> Only(IEnumerable<ClimateReading> readings)
    {
        var sound = readings.Where(reading => reading.Doubt is null).ToArray();
        // Most come as they were taken, by one device: then nothing has to be sorted, or told apart.
        if (!InOrder(sound))
        {
            Array.Sort(sound, Compare);
            // A reading that came twice is no neighbour of itself.
            sound = [.. sound.Where((reading, i) => i == 0 || !Same(reading, sound[i - 1]))];
        }
        HashSet<ClimateReading>? spikes = null;
        if (Array.Exists(sound, reading => reading.Device != sound[0].Device))
            foreach (var device in sound.GroupBy(reading => reading.Device))
                Spikes([.. device], ref spikes);
        else
            Spikes(sound, ref spikes);
        return spikes is null ? sound : [.. sound.Where(reading => !spikes.Contains(reading))];
    }

    static bool InOrder(ClimateReading[] readings)
    {
        for (var i = 1; i < readings.Length; i++)
            if (readings[i - 1].At >= readings[i].At)
                return false;
        return true;
    }

    static bool Same(ClimateReading one, ClimateReading other) => one.At == other.At && one == other;

    static void Spikes(ClimateReading[] sorted, ref HashSet<ClimateReading>? spikes)
    {
        for (var i = 1; i < sorted.Length - 1; i++)
            if (Jumps(sorted[i], sorted[i - 1]) is { } before && Jumps(sorted[i], sorted[i + 1]) is { } after && before == after)
                (spikes ??= []).Add(sorted[i]);
    }

    /// <summary>1 for up, −1 for down; null for no jump.</summary>
    static int? Jumps(ClimateReading one, ClimateReading other) =>
        one is { TemperatureC: { } mine, Hours: null }
        && other is { TemperatureC: { } its, Hours: null }
        && (one.At - other.At).Duration() <= Near
        && Math.Abs(mine - its) > SpikeC
            ? Math.Sign(mine - its)
            : null;

    static int Compare(ClimateReading a, ClimateReading b)
    {
        var order = a.At.UtcTicks.CompareTo(b.At.UtcTicks);
        return order != 0 ? order
            : (order = string.CompareOrdinal(a.Device, b.Device)) != 0 ? order
            : (order = Nullable.Compare(a.TemperatureC, b.TemperatureC)) != 0 ? order
            : (order = Nullable.Compare(a.HumidityPct, b.HumidityPct)) != 0 ? order
            : (order = Nullable.Compare(a.Lux, b.Lux)) != 0 ? order
            : Nullable.Compare(a.Ppfd, b.Ppfd);
    }
}

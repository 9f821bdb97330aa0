namespace BudClock.Core.Climate;

/// <summary>How a device does.</summary>
public enum DeviceHealth
{
    /// <summary>It has never sent anything.</summary>
    New,

    /// <summary>It sends as it should, and nothing is to be said.</summary>
    Well,

    /// <summary>Nothing came when it was due.</summary>
    Silent,

    /// <summary>It says the same to the last digit, hour after hour.</summary>
    Stuck,

    /// <summary>Its last readings cannot be.</summary>
    Doubted,

    /// <summary>Its clock is off.</summary>
    ClockOff,
}

/// <summary>What there is to say of a device now.</summary>
/// <param name="Last">When its last reading was taken; null for never.</param>
/// <param name="Words">For the grower, as a sentence; empty for a device that is well.</param>
public sealed record DeviceState(Device Device, DeviceHealth Health, DateTimeOffset? Last, string Words)
{
    /// <summary>A message on its way is not missed at once: a tenth of its time, two minutes at least.</summary>
    const double Grace = 0.1;
    const double LeastGrace = 2;

    const int StuckReadings = 12;
    static readonly TimeSpan StuckFor = TimeSpan.FromHours(12);

    /// <summary>Reads the state of a device from what it sent last.</summary>
    /// <param name="last">Its last readings, in any order; a day's worth is enough.</param>
    /// <param name="off">How far its clock is off, where that was found.</param>
    public static DeviceState Read(Device device, IReadOnlyCollection<ClimateReading> last, DateTimeOffset now, TimeSpan? off = null)
    {
        if (last.Count == 0)
            return new(device, DeviceHealth.New, null, $"{device.Name} has not sent anything yet.");
        var sorted = last.OrderBy(reading => reading.At).ToList();
        var newest = sorted.FindLast(reading => reading.At <= now.AddHours(2)) ?? sorted[^1];
        var (health, words) = Judge(device, sorted, newest, now, off);
        return new(device, health, newest.At, words);
    }

    static (DeviceHealth Health, string Words) Judge(
        Device device,
        List<ClimateReading> sorted,
        ClimateReading newest,
        DateTimeOffset now,
        TimeSpan? off
    )
    {
        if (
            device.Way != Device.File
            && now - newest.At > TimeSpan.FromMinutes(device.DueMinutes + Math.Max(LeastGrace, device.DueMinutes * Grace))
        )
            return (DeviceHealth.Silent, $"{device.Name} is silent since {Ago(now - newest.At)}; it should send every {Every(device)}.");
        if (newest.Doubt is { } doubt)
            return (DeviceHealth.Doubted, $"{device.Name} is not believed: {doubt}.");
        if (Stuck(sorted) is { } since)
            return (
                DeviceHealth.Stuck,
                $"{device.Name} has said {newest.TemperatureC:0.#} °C without a change for {Ago(newest.At - since)}."
            );
        if (off is { } clock)
            return (
                DeviceHealth.ClockOff,
                $"The clock of {device.Name} is {Ago(clock.Duration())} {(clock > TimeSpan.Zero ? "behind" : "ahead")}."
            );
        return (DeviceHealth.Well, "");
    }

    static DateTimeOffset? Stuck(List<ClimateReading> sorted)
    {
        var warm = sorted.Where(reading => reading is { TemperatureC: not null, Doubt: null }).ToList();
        if (warm.Count == 0)
            return null;
        var same = warm.AsEnumerable()
            .Reverse()
            .TakeWhile(reading => reading.TemperatureC == warm[^1].TemperatureC && reading.HumidityPct == warm[^1].HumidityPct)
            .ToList();
        return same.Count >= StuckReadings && same[0].At - same[^1].At >= StuckFor ? same[^1].At : null;
    }

    static string Every(Device device) =>
        device.DueMinutes % 60 == 0 ? Ago(TimeSpan.FromMinutes(device.DueMinutes)) : $"{device.DueMinutes} min";

    static string Ago(TimeSpan time) =>
        time.TotalDays >= 2 ? $"{time.TotalDays:0} days"
        : time.TotalMinutes >= 100 ? $"{time.TotalHours:0} h"
        : $"{time.TotalMinutes:0} min";
}

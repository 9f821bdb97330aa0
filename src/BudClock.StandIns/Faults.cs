using System.Globalization;

namespace BudClock.StandIns;

/// <summary>What can go wrong with a device, from one of its readings to another.</summary>
/// <param name="Kind">One of <see cref="Kinds"/>.</param>
/// <param name="From">The first reading it is wrong with, from 0.</param>
/// <param name="To">The last one.</param>
public sealed record Fault(string Kind, int From, int To)
{
    /// <summary>What can go wrong: "gap" and "late" keep readings back, the others change them.</summary>
    public static readonly IReadOnlyList<string> Kinds = ["gap", "stuck", "spike", "late", "hour-off", "duplicates", "rubbish"];

    /// <summary>"stuck" for always, "stuck@20-60" from one reading to another; null for anything else.</summary>
    public static Fault? Read(string text)
    {
        var parts = text.Split('@', 2);
        if (!Kinds.Contains(parts[0]))
            return null;
        if (parts.Length == 1)
            return new(parts[0], 0, int.MaxValue);
        var span = parts[1].Split('-', 2);
        return
            int.TryParse(span[0], CultureInfo.InvariantCulture, out var from)
            && int.TryParse(span[^1], CultureInfo.InvariantCulture, out var to)
            ? new(parts[0], from, to)
            : null;
    }

    /// <summary>Whether a reading falls under it.</summary>
    public bool Meets(int reading) => reading >= From && reading <= To;
}

/// <summary>Puts faults into what a device is about to send.</summary>
public sealed class Faults(IReadOnlyList<Fault> faults)
{
    const double SpikeC = 40;

    readonly List<string> late = [];
    SimulatedReading? last;

    /// <summary>The messages to send now for a reading: none, one or several.</summary>
    /// <param name="write">Writes a reading as a message.</param>
    public IReadOnlyList<string> Messages(int number, SimulatedReading reading, Func<SimulatedReading, string> write)
    {
        bool Now(string kind) => faults.Any(fault => fault.Kind == kind && fault.Meets(number));
        if (Now("stuck") && last is not null)
            reading = last with { At = reading.At };
        if (Now("spike"))
            reading = reading with { TemperatureC = reading.TemperatureC + SpikeC };
        if (Now("hour-off"))
            reading = reading with { At = reading.At.AddHours(-1) };
        last = reading;
        if (Now("gap"))
            return [];
        var message = Now("rubbish") ? "{\"temperature\": \"??" : write(reading);
        if (Now("late"))
        {
            late.Add(message);
            return [];
        }
        List<string> messages = [.. late, message];
        late.Clear();
        if (Now("duplicates"))
            messages.Add(message);
        return messages;
    }
}

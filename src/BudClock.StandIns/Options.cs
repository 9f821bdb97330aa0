using System.CommandLine;
using System.Globalization;

namespace BudClock.StandIns;

/// <summary>What both stand-ins are told.</summary>
static class Options
{
    public static Option<int> Seed() =>
        new("--seed") { DefaultValueFactory = _ => 7, Description = "The same seed makes the same weather." };

    public static Option<DateTimeOffset?> Clock() =>
        new("--clock")
        {
            Description = "What time it is when it starts, as 2031-05-24T10:00Z; now when left out.",
            CustomParser = result =>
                DateTimeOffset.TryParse(
                    result.Tokens.Single().Value,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.AssumeUniversal,
                    out var time
                )
                    ? time
                    : Wrong(result),
        };

    static DateTimeOffset? Wrong(System.CommandLine.Parsing.ArgumentResult result)
    {
        result.AddError($"--clock: \"{result.Tokens.Single().Value}\" is no time such as 2031-05-24T10:00Z");
        return null;
    }

    public static Option<double> Step() =>
        new("--step") { Description = "Minutes that its clock moves from one reading to the next; real time when left out." };

    public static Option<Fault[]> Faults() =>
        new("--fault")
        {
            DefaultValueFactory = _ => [],
            Description = $"What goes wrong, as stuck or stuck@20-60: {string.Join(", ", Fault.Kinds)}.",
            CustomParser = result =>
            {
                var faults = result.Tokens.Select(token => Fault.Read(token.Value)).ToList();
                if (faults.Contains(null))
                    result.AddError($"--fault: expected one of {string.Join(", ", Fault.Kinds)}, as stuck or stuck@20-60");
                return [.. faults.OfType<Fault>()];
            },
        };
}

/// <summary>The time on a stand-in's clock: moved by steps, or running on from where it was set.</summary>
sealed class SimulatedTime(DateTimeOffset? start, double stepMinutes)
{
    readonly DateTimeOffset began = DateTimeOffset.UtcNow;

    public DateTimeOffset Now(int reading) =>
        stepMinutes > 0 ? (start ?? began).AddMinutes(reading * stepMinutes) : (start ?? began) + (DateTimeOffset.UtcNow - began);
}

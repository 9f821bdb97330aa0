using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Mixing;
using BudClock.Core.States;

namespace BudClock.Core.Evidence;

/// <summary>Rule F10: salts above what the roots bear, in the run-off or in what it was given, and not flushed out since.</summary>
/// <param name="What">What was measured: "Run-off", "What it was given".</param>
/// <param name="Ppm">What it measured.</param>
/// <param name="Bears">What the roots bear, ppm.</param>
/// <param name="On">The day of it.</param>
public sealed record SaltExcess(string What, double Ppm, double Bears, DateOnly On)
{
    /// <summary>The newest excess; null for none, for one that was flushed out, and for one that is too old to tell.</summary>
    public static SaltExcess? Read(Situation now) =>
        now.In<Salted>() is { Sign: var sign } && Salted.Ppm(sign, now.Log) is { } ppm
            ? new(sign.Kind == EntryKinds.RunOff ? "Run-off" : "What it was given", ppm, now.Limits<SaltLimits>().Tds, sign.On)
            : null;

    /// <summary>What the roots of a habit bear.</summary>
    public static Ceiling BornBy(CultureSheet sheet)
    {
        var limits = sheet.Limits<SaltLimits>();
        return new(limits.Tds, limits.PhFrom, limits.PhTo);
    }
}

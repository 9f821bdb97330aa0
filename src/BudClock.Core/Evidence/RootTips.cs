using BudClock.Core.Culture.Limits;
using BudClock.Core.Measuring;

namespace BudClock.Core.Evidence;

/// <summary>Rule R1: the new roots that a repot goes by, and how long they will be on a later day.</summary>
/// <param name="Last">What was measured last; the day they showed, with 0 cm, where nobody measured.</param>
/// <param name="RateCm">How fast they grow, cm a day: by their own last measurements, else what is usual.</param>
/// <param name="Spread">How far off the rate may be, as a share of it, 0 to 1.</param>
public sealed record RootTips(Measurement Last, double RateCm, double Spread)
{
    /// <summary>The likely length on a day, cm.</summary>
    public double At(DateOnly day) => Last.Cm + (RateCm * Days(day));

    /// <summary>The shortest and the longest that is likely on a day, cm.</summary>
    public (double From, double To) Between(DateOnly day) =>
        (Last.Cm + (RateCm * (1 - Spread) * Days(day)), Last.Cm + (RateCm * (1 + Spread) * Days(day)));

    /// <summary>The day on which they are likely to be so long; a day in the past where they are by now.</summary>
    /// <param name="cm">Above nothing.</param>
    public DateOnly Reach(double cm) => Last.On.AddDays((int)Math.Ceiling((cm - Last.Cm) / RateCm));

    int Days(DateOnly day) => Math.Max(0, day.DayNumber - Last.On.DayNumber);

    /// <summary>The flush that grows now; null where none does, and where its roots were lost.</summary>
    public static RootTips? Read(Situation now)
    {
        if (now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Roots, Open: true }) is not { } flush)
            return null;
        var series = now.Series.FirstOrDefault(series => series.Kind == EntryKinds.RootLength && series.Moves);
        var limits = now.Limits<RepotWindowLimits>();
        return series is { Points: [.., var before, var last] } && last.On > before.On && last.Cm > before.Cm
            ? new(last, (last.Cm - before.Cm) / (last.On.DayNumber - before.On.DayNumber), limits.OwnSpread / 100)
            : new(series?.Last ?? new Measurement(flush.From, 0), limits.Grows / 7, limits.UsualSpread / 100);
    }

    /// <summary>The day on which its new roots were first seen the last time before this season; null where nobody wrote of them.</summary>
    public static DateOnly? Before(Situation now) =>
        now
            .Journal.Of(EntryKinds.RootsStarted)
            .LastOrDefault(entry => entry.On < now.Today.AddDays(-now.Limits<RepotWindowLimits>().Recent))
            ?.On;
}

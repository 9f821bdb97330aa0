using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Looking;

/// <summary>
/// Rule K3: an organ that does not rise where an earlier rate said it would is a look; a slow one is said and left alone.
/// </summary>
public sealed class StalledAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "K3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        foreach (var series in now.Series.Where(s => s.Moves && s.Last.On > now.Today.AddDays(-now.Limits<MeasuringLimits>().GivenUp)))
        {
            if (Pace.Read(series, series.YearBefore(now.Series), series.Finish(now.Series)) is not { Kind: PaceKind.Stalled } pace)
                continue;
            if (Finished(now, series))
                continue;
            if (now.Journal.Of(EntryKinds.Looked).Any(e => e.On > series.Last.On.AddDays(-1)))
                continue;
            yield return new(
                Topics.GrowthCheck,
                Rule,
                Care.Look,
                Verdict.Look,
                now.Today,
                $"{series.Label} has stalled: {pace.Why} {Ask(series)}",
                [
                    Condition.AtLeast(
                        "rate",
                        new(Math.Round(pace.NowCmPerDay, 2), series.Last.On),
                        Math.Round(pace.BeforeCmPerDay, 2),
                        "cm a day"
                    ),
                ]
            )
            {
                AnsweredBy = EntryKinds.Looked,
            };
            yield break;
        }
    }

    /// <summary>A spike that has set its buds, and a growth that has made its sheath, have done what they grow for.</summary>
    static bool Finished(Situation now, OrganSeries series) =>
        now
            .Journal.Of(EntryKinds.Buds, EntryKinds.BloomOpened, EntryKinds.SheathStarted, EntryKinds.GrowthMatured)
            .Any(e => e.On >= series.Start && (e.Organ is null || e.Organ == series.Organ) && e.Amount is not { InBase: <= 0 });

    static string Ask(OrganSeries series) =>
        series.Kind == EntryKinds.SpikeLength
            ? "Shine a torch through the sheath, look for pests, and at the nights."
            : "Look for pests, at the roots, and at the nights.";
}

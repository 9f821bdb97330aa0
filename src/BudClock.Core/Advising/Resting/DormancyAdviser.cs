using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D1: when leaves go, is it dormancy or rot? Season, habit, speed and a firm base tell.</summary>
/// <remarks>
/// The season that goes down, leaves going oldest first and a firm base: dormant, and normal. All leaves gone quickly, or the wrong
/// season: the roots and stem are looked at first. Until the base is felt, it asks. One old leaf in summer is age (rule G7).
/// </remarks>
public sealed class DormancyAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "D1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break;
        if (now.Sleep.Kind is SleepKind.Going)
            yield return Going(now);
        else if (LastGone(now) is { } gone)
            yield return Gone(now, gone);
    }

    static Entry? LastGone(Situation now) =>
        now.Journal.Last(LeavesGone) is { } gone
        && gone.On > now.Today.AddDays(-now.Limits<LeafFallLimits>().Asked)
        && now.Journal.FirstSince(gone.On, GrowthStarted, LeafStarted, Lifted, Stored) is null
            ? gone
            : null;

    Advice Going(Situation now)
    {
        var since = now.Sleep.Since!.Value;
        var season = new Condition("season to rest", new("yes"), new("yes"), null, true, now.Today);
        return Felt(now, since) is { } felt
            ? new(
                Topics.Rest,
                Rule,
                Care.LetRest,
                Verdict.Do,
                now.Today,
                $"{Season(now)}, leaves going in their time, a firm base: it is going to rest, which is normal. Water and feed less.",
                [season, felt]
            )
            : new(
                Topics.Rest,
                Rule,
                Care.Feel,
                Verdict.Look,
                now.Today,
                "Leaves are going: feel the base. Firm, soft, or smelling?",
                [season, Unfelt]
            )
            {
                LoggedAs = Base,
            };
    }

    static string Season(Situation now) => now.Daylight.GoesDown(now.Limits<LeafFallLimits>().ShortDays) ? "Short days" : "In its season";

    /// <summary>The last leaf went some weeks ago at most: it rests, if the season and the speed were right.</summary>
    Advice Gone(Situation now, Entry gone)
    {
        var inSeason =
            Sleep.InSeason(now, gone.On)
            || now.Sheet.PhaseOn(gone.On, now.Around.Garden.Southern)?.Phase.Phase is Phase.Resting or Phase.GoingToRest;
        var season = new Condition(
            "season to rest",
            new(
                inSeason ? "yes"
                : now.Daylight.Tells ? "no"
                : "not known"
            ),
            new("yes"),
            null,
            inSeason,
            gone.On
        );
        var speed = Speed(now, gone);
        Condition[] conditions = [season, .. speed is null ? [] : (Condition[])[speed], Felt(now, gone.On) ?? Unfelt];
        if (!inSeason || speed?.Met == false)
            return new(
                Topics.Health,
                Rule,
                Care.LookAtRoots,
                Verdict.Look,
                now.Today,
                $"{Doubt(now, inSeason)}: look at the roots and the stem before you let it dry.",
                conditions
            );
        return Felt(now, gone.On) is null
            ? new(
                Topics.Rest,
                Rule,
                Care.Feel,
                Verdict.Look,
                now.Today,
                "The last leaf is gone: feel the base. Firm, soft, or smelling?",
                conditions
            )
            {
                LoggedAs = Base,
            }
            : new(
                Topics.Rest,
                Rule,
                Care.LetRest,
                Verdict.Hold,
                null,
                "The leaves went in their time and the base is firm: it rests, which is normal.",
                conditions
            );
    }

    static readonly Condition Unfelt = new("base or tuber", null, new("firm"), null, false, null);

    static Condition? Felt(Situation now, DateOnly since) =>
        now.Journal.Of(Base, Tuber).LastOrDefault(e => e.On >= since.AddDays(-now.Limits<LeafFallLimits>().Felt)) is { Text: "firm" } felt
            ? new("base or tuber", new("firm"), new("firm"), null, true, felt.On)
            : null;

    static string Doubt(Situation now, bool inSeason) =>
        inSeason ? "All leaves went quickly"
        : now.Daylight.Tells ? "This is not its season to rest"
        : "Whether this is its season is not known here";

    /// <summary>
    /// Days from the first leaf that went to the last: all at once is a warning; null where nobody wrote down how they went.
    /// </summary>
    static Condition? Speed(Situation now, Entry gone)
    {
        var first = now
            .Journal.Of(LeafDropped, Leaves)
            .FirstOrDefault(e => e.On > gone.On.AddDays(-90) && (e.Kind == LeafDropped || e.Text == "yellowing"));
        if (first is null)
            return null;
        var (days, fast) = (gone.On.DayNumber - first.On.DayNumber, now.Limits<LeafFallLimits>().Fast);
        return new("days from first to last leaf", new(days), new(fast), "days", days >= fast, gone.On);
    }
}

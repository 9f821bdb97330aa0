using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rules G1, G2 and K5: a growth or leaf that came smaller than the one before is told with what the log holds against it, and with what
/// to do, which may be nothing.
/// </summary>
/// <remarks>It never asks for more feed or another pot: what is smaller is seldom hungry, what is disturbed comes smaller again.</remarks>
public sealed class SmallerAdviser : IAdviser
{
    /// <summary>A difference within the error of two readings is none, cm.</summary>
    const double LeastCm = 2 * Projection.ReadingErrorCm;

    /// <inheritdoc/>
    public string Rule => "G2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break; // that comes first
        var grown = Grown.Read(now.Journal, now.Lanes, now.Plant.Organs, now.Sheet.Organs.Shoot);
        if (
            grown is not [.., var before, var last]
            || last.Done <= now.Today.AddDays(-now.Limits<ShrinkingLimits>().News)
            || !Smaller(now, before, last)
        )
            yield break;
        if (now.Journal.FirstSince(last.Done, EntryKinds.Looked) is not null)
            yield break;
        yield return Say(now, before, last, Falls(now, grown));
    }

    static bool Smaller(Situation now, Grown before, Grown last) =>
        last.Cm <= before.Cm * now.Limits<ShrinkingLimits>().Smaller / 100 && before.Cm - last.Cm >= LeastCm;

    /// <summary>How many in a row, up to the newest, came smaller than the one before, where they came a year apart.</summary>
    static int Falls(Situation now, IReadOnlyList<Grown> grown)
    {
        var falls = 0;
        for (var i = grown.Count - 1; i > 0 && grown[i].Cm < grown[i - 1].Cm; i--)
            falls += grown[i].Began.DayNumber - grown[i - 1].Began.DayNumber > 200 ? 1 : 0;
        return falls;
    }

    Advice Say(Situation now, Grown before, Grown last, int falls)
    {
        var causes = SmallerCauses.Of(now, before, last);
        var years = falls >= now.Limits<ShrinkingLimits>().Years;
        var normal = causes.Count > 0 && causes.All(cause => cause.Normal) && !years;
        return new(
            Topics.GrowthCheck,
            Rule,
            normal ? Care.LeaveAlone : Care.Look,
            normal ? Verdict.Hold : Verdict.Look,
            normal ? null : now.Today,
            $"{Numbers(before, last)}: {Why(causes, falls, years)} {Then(now, last, causes, normal)}",
            [
                new(
                    last.By.Words.ToLowerInvariant(),
                    new(last.Cm),
                    new(Math.Round(before.Cm * now.Limits<ShrinkingLimits>().Smaller / 100, 1)),
                    "cm",
                    false,
                    last.Done
                ),
                .. causes.Select(cause => Condition.Known(cause.Name, null, null, cause.On)),
            ]
        )
        {
            AnsweredBy = normal ? null : EntryKinds.Looked,
        };
    }

    /// <summary>Two of one year are told apart by their months.</summary>
    static string Numbers(Grown before, Grown last)
    {
        var apart = last.Label != before.Label;
        string When(Grown grown) => apart ? grown.Label : grown.Done.ToString("MMMM yyyy", CultureInfo.InvariantCulture);
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{last.By.Words} {last.Cm:0.#} cm in {When(last)}, {before.Cm:0.#} cm in {When(before)}"
        );
    }

    static string Why(IReadOnlyList<SmallerCause> causes, int falls, bool years)
    {
        var told = years ? $"smaller for {falls + 1} years in a row, so look at its place and its roots" : null;
        return (causes.Count, told) switch
        {
            (0, null) => "nothing in the log says why.",
            (0, _) => $"{told}.",
            (1, null) => $"{causes[0].Found}.",
            (1, _) => $"{causes[0].Found}; and {told}.",
            _ =>
                $"{string.Join("; ", causes.Select(cause => cause.Found))}. With more than one difference the causes cannot be told apart.",
        };
    }

    /// <summary>What to do now, nothing among it; whether it makes roots decides whether it recovers.</summary>
    static string Then(Situation now, Grown last, IReadOnlyList<SmallerCause> causes, bool normal)
    {
        var roots = now.Roots is { State: RootState.Alive or RootState.Few, Rests: { } seen } && seen.On >= last.Began;
        var recovers = roots ? "It makes roots, so it recovers." : "See whether it makes roots: then it recovers.";
        return normal
            ? $"{causes[0].Then} {(roots ? recovers : "Nothing to do.")}"
            : $"{string.Join(" ", causes.Where(cause => !cause.Normal).Select(cause => cause.Then))} {recovers} No stronger feed.".Trim();
    }
}

/// <summary>Rule G2: a growth that is smaller than the one before.</summary>
[Rule("G2", "a growth that is smaller than the one before")]
public sealed record ShrinkingLimits(
    [Limit("% of the one before", 30, 98, "up to this it counts as smaller")] double Smaller,
    [Limit("days", 7, 200, "so long after it matured it is spoken of")] int News,
    [Limit("years", 1, 5, "so many smaller ones in a row are a trend")] int Years,
    [Limit("days", 0, 120, "what happened so shortly before a growth was done counts for the next")] int Next,
    [Limit("hours", 6, 16, "a growth made in days this short had little light")] double ShortDays,
    [Limit("feeds", 0, 20, "fewer while it grew were few")] int Feeds,
    [Limit("days", 0, 120, "two growths that overlap by so much shared what there was")] int Shared
);

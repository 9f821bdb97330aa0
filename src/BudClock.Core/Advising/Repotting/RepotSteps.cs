using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R6: what is done while a plant is out of its pot, in order, and what follows.</summary>
/// <param name="Steps">One thing each, as sentences.</param>
/// <param name="Noted">What the grower wanted to do when it is out of its pot, newest last.</param>
/// <param name="After">When it gets water and feed again, as sentences.</param>
public sealed record RepotSteps(IReadOnlyList<string> Steps, IReadOnlyList<Entry> Noted, string After)
{
    /// <summary>The steps for a plant that goes into a chosen pot and mix.</summary>
    public static RepotSteps Read(Situation now, PotChoice choice) => new([.. Lines(now, choice)], Notes(now), Afterwards(now));

    static IEnumerable<string> Lines(Situation now, PotChoice choice)
    {
        yield return choice.Mix.First;
        yield return now.Sheet.Is(Traits.Reservoir) ? "A clean pot, its wick and reservoir rinsed." : "A clean pot that drains.";
        yield return now.Rot is { Open: true } || now.Arrival is { WrongMedium: not null }
            ? "Wash all of the old medium off."
            : "Loosen the old medium with something blunt, and shake off what falls.";
        yield return "Look at the roots: firm ones stay, hollow brown ones go, with a clean blade.";
        if (now.Sheet.Is(Traits.RootsInFlushes))
        {
            yield return "Take the dry sheaths away: pests hide below them.";
            yield return "Tuck roots that hang in the air in while they still bend.";
        }
        yield return choice.Depth.Words;
        yield return choice.Mix.Handling;
        yield return "A flat hand free below the rim.";
    }

    static List<Entry> Notes(Situation now)
    {
        var last = now.Journal.Last(EntryKinds.Repotted);
        return
        [
            .. now
                .Journal.Of(EntryKinds.Note, EntryKinds.Flagged)
                .Where(entry => entry.Said.Has(SaidFacts.AtRepot) && (last is null || PlantJournal.IsAfter(entry, last))),
        ];
    }

    static string Afterwards(Situation now) =>
        now.Rot is { Open: true } && !now.Sheet.Is(Traits.StandsInWater)
            ? "Dry until every cut has closed, some days to two weeks by its kind; then damp around rather than in the pot. No feed."
        : now.Sheet.Is(Traits.RepottedDry)
            ? now.Resting ? "Dry for 30 to 60 days, then its first water. A bare dry plant needs no second look before that."
                : "Dry for two weeks: its cuts heal first. No feed on the wound."
        : now.Sheet.Is(Traits.Succulent) ? "Dry for a week, that torn roots heal; then a small drink. No feed for two weeks."
        : now.Sheet.Is(Traits.StandsInWater) ? "Back into its tray at once. No feed, ever."
        : now.Roots.State is RootState.None or RootState.Few
            ? "Damp around rather than in the pot, warm, shaded and out of wind, till new roots show. No feed."
        : now.Sheet.Is(Traits.RootsInFlushes)
            ? "A few days dry, then smaller drinks while roots are few; shaded and out of wind. No feed for two weeks."
        : "Water at once and let it drain, then smaller drinks while roots are few. No feed for two weeks.";
}

using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>
/// Rule W7: a seasonal butterwort leaves the tray as it turns to its winter rosette, and goes back with its summer leaves, each in its
/// own week.
/// </summary>
public sealed class WinterRosetteAdviser : IAdviser
{
    const int MovedWithinDays = 21;

    /// <inheritdoc/>
    public string Rule => "W7";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["tray-cut", "sprinkle"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves) is not { } turn)
            yield break;
        var seen = Condition.Sign(turn.Kind.Words.ToLowerInvariant(), turn.On);
        var news = now.Today < turn.On.AddDays(MovedWithinDays);
        if (turn.Kind == EntryKinds.SummerLeaves)
        {
            if (news && now.Journal.FirstSince(turn.On, EntryKinds.Tray, EntryKinds.Moved) is null)
                yield return new(
                    Topics.Tray,
                    Rule,
                    Care.PutBack,
                    Verdict.Do,
                    now.Today,
                    "Its summer leaves are back: into the tray again.",
                    [seen]
                )
                {
                    Because = "Its summer leaves are back",
                };
            yield break;
        }
        if (news && !(now.Plant.Vessel is null && now.Journal.FirstSince(turn.On, EntryKinds.Moved) is not null))
            yield return new(
                Topics.Tray,
                Rule,
                Care.TakeOut,
                Verdict.Do,
                now.Today,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Its winter rosette is here: take it out of the tray, or cut the tray to {now.Needs(Rule, "tray-cut"):0.#} cm."
                ),
                [seen]
            );
        var last = now.Wetness.LastWater is { } drop && drop.On > turn.On ? drop.On : turn.On;
        yield return new(
            Topics.Water,
            Rule,
            Care.WetLightly,
            Verdict.Hold,
            last.AddDays((int)now.Needs(Rule, "sprinkle")),
            string.Create(
                CultureInfo.InvariantCulture,
                $"Winter rosette since {Dates.Near(turn.On, now.Today)}: very dry, a light sprinkle every {now.Needs(Rule, "sprinkle"):0} "
                    + $"days at most."
            ),
            [seen]
        )
        {
            Ground = Ground.Veto,
        };
    }
}

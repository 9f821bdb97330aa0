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

    /// <summary>So many times as long without a sprinkle is longer than anybody means to leave it.</summary>
    const int Forgotten = 2;

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
        yield return Sprinkle(now, turn, seen);
    }

    /// <summary>Very dry is not bone dry for months: limp, or with nothing written of a sprinkle, it is felt.</summary>
    Advice Sprinkle(Situation now, Entry turn, Condition seen)
    {
        var last = now.Wetness.LastWater is { } drop && drop.On > turn.On ? drop.On : turn.On;
        var days = (int)now.Needs(Rule, "sprinkle");
        var since = $"Winter rosette since {Dates.Near(turn.On, now.Today)}";
        var limp = now.Thirst.Kind is ThirstKind.Thirsty or ThirstKind.Unfelt;
        if (now.Thirst.Kind is ThirstKind.Thirsty && now.Wetness.IsDry)
            return Thirsty(now, since, seen);
        var why = limp ? $"{now.Thirst.Words} {Dates.Ago(now.Thirst.Sign!.On, now.Today)}" : Unsprinkled(now, last, turn);
        return limp || now.Today > last.AddDays(Forgotten * days)
            ? new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Look,
                now.Today,
                $"{since}, {why}: feel it. Where it is dry through, a light sprinkle over the rosette; damp, nothing.",
                [seen, Condition.Known("last sprinkle", new("on record"), null, last)]
            )
            {
                Ground = limp ? Ground.Sign : Ground.Interval,
            }
            : new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Hold,
                last.AddDays(days),
                $"{since}: very dry, a light sprinkle every {days} days at most.",
                [seen]
            )
            {
                Ground = Ground.Veto,
            };
    }

    /// <summary>Limp and felt dry; in the cold it is warmed first.</summary>
    Advice Thirsty(Situation now, string since, Condition seen) =>
        new(
            Topics.Water,
            Rule,
            Care.WetLightly,
            now.Temper.Cold ? Verdict.Look : Verdict.Do,
            now.Today,
            $"{since}, {now.Thirst.Words} {Dates.Ago(now.Thirst.Sign!.On, now.Today)} and {now.Thirst.Against}: "
                + (
                    now.Temper.Cold
                        ? "into warmth first, then a light sprinkle."
                        : "a light sprinkle over the rosette, no more; it sleeps on."
                ),
            [
                seen,
                Condition.Known("leaves", new(now.Thirst.Sign.Text!), null, now.Thirst.Sign.On),
                Condition.Known("medium", new("dry"), null, now.Thirst.AgainstSeen),
            ]
        )
        {
            Ground = Ground.Sign,
        };

    static string Unsprinkled(Situation now, DateOnly last, Entry turn) =>
        last == turn.On ? "and nobody wrote of a sprinkle since" : $"last sprinkled {Dates.Ago(last, now.Today)}";
}

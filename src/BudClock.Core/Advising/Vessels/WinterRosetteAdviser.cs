using System.Globalization;
using BudClock.Core.Advising.Resting;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>
/// Rule W7: a seasonal butterwort leaves the tray as it turns to its winter rosette, and goes back with its summer leaves, each in its
/// own week.
/// </summary>
public sealed class WinterRosetteAdviser : IKeepsRest
{
    /// <inheritdoc/>
    public string Rule => "W7";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves) is not { } turn)
            yield break;
        var seen = Condition.Sign(turn.Kind.Words.ToLowerInvariant(), turn.On);
        var news = now.Today < turn.On.AddDays(now.Limits<WinterRosetteLimits>().Moved);
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
                    $"Its winter rosette is here: take it out of the tray, or cut the tray to "
                        + $"{now.Limits<WinterRosetteLimits>().TrayCut:0.#} cm."
                ),
                [seen]
            );
        yield return Sprinkle(now, turn, seen);
    }

    /// <summary>Very dry is not bone dry for months: limp, or with nothing written of a sprinkle, it is felt.</summary>
    Advice Sprinkle(Situation now, Entry turn, Condition seen)
    {
        var last = now.Wetness.LastWater is { } drop && drop.On > turn.On ? drop.On : turn.On;
        var days = now.Limits<WinterRosetteLimits>().Sprinkle;
        var since = $"Winter rosette since {Dates.Near(turn.On, now.Today)}";
        var limp = now.Thirst.Kind is ThirstKind.Thirsty or ThirstKind.Unfelt;
        if (now.Thirst.Kind is ThirstKind.Thirsty && now.Wetness.IsDry)
            return Thirsty(now, since, seen);
        var why = limp ? $"{now.Thirst.Words} {Dates.Ago(now.Thirst.Sign!.On, now.Today)}" : Unsprinkled(now, last, turn);
        return limp || now.Today > last.AddDays(now.Limits<WinterRosetteLimits>().Forgotten * days)
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

/// <summary>Rule W7: a rosette in its winter form.</summary>
[Rule("W7", "a rosette in its winter form")]
public sealed record WinterRosetteLimits(
    [Limit("days", 1, 90, "between a few drops")] int Sprinkle,
    [Limit("cm", 0, 5, "how deep the tray may be where it has to stay in it")] double TrayCut,
    [Limit("days", 3, 90, "so long its change of form is spoken of")] int Moved,
    [Limit("times", 1, 10, "past so many sprinklings without a word, it is looked at")] int Forgotten
);

using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule G5: scorched leaves ask for less light at once; pale ones ask which it is.</summary>
public sealed class LightAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "G5";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Journal.Of(EntryKinds.Leaves).LastOrDefault(e => e.Text is "scorched" or "pale" or "firm") is not { } leaves)
            yield break;
        if (leaves.Text == "firm" || leaves.On <= now.Today.AddDays(-now.Ages.Colour) || now.Resting)
            yield break;
        var seen = Condition.Sign($"leaves {leaves.Text}", leaves.On);
        var moved =
            now.Journal.Last(EntryKinds.Moved) is { } move
            && move.On <= leaves.On
            && move.On > leaves.On.AddDays(-now.Limits<LightSignLimits>().Moved)
                ? move
                : null;
        if (leaves.Text == "scorched")
        {
            if (now.Last<Scorched>() is { Open: true } or { End.Kind.Name: "moved" })
                yield return Burnt(now, leaves, moved, seen);
        }
        else if (now.Pests is not { Open: true })
            yield return Pale(now, leaves, moved, seen);
    }

    Advice Burnt(Situation now, Entry leaves, Entry? moved, Condition seen)
    {
        // Moved on since: what was scorched stays so.
        if (now.In<Scorched>() is null)
            return new(
                Topics.Move,
                Rule,
                Care.Shelter,
                Verdict.Hold,
                null,
                $"Leaves were scorched {Dates.Ago(leaves.On, now.Today)}, and it was moved since: the marks stay, new leaves tell.",
                [seen]
            );
        var dome =
            now.Journal.Of(EntryKinds.Moved) is [.., var under] && under.Said.Has(SaidFacts.UnderDome)
                ? " Take the dome off: under it the sun roasts the plant, shade or not."
                : "";
        var never =
            now.Sheet.Light <= LightClass.Bright
                ? " It is a plant for " + now.Sheet.Light.Words() + ", and does not go there in steps either."
                : " Later back in steps of a week, up to " + now.Sheet.Light.Words() + ".";
        return new(
            Topics.Move,
            Rule,
            Care.Shelter,
            Verdict.Do,
            now.Today,
            $"Leaves scorched {Dates.Ago(leaves.On, now.Today)}{(moved is null ? "" : ", after its move")}: out of the sun today, into "
                + $"shade.{dome}{never}",
            [seen]
        );
    }

    Advice Pale(Situation now, Entry leaves, Entry? moved, Condition seen) =>
        new(
            Topics.Move,
            Rule,
            Care.Lighten,
            Verdict.Look,
            now.Today,
            moved is not null
                ? $"Leaves pale {Dates.Ago(leaves.On, now.Today)}, after a move: into more sun? Then less light. Into a dim place? Then "
                    + $"more, in steps of a week, up to {now.Sheet.Light.Words()}."
                : $"Leaves pale {Dates.Ago(leaves.On, now.Today)}: new leaves in a dim place ask for more light, in steps of a week, up "
                    + $"to {now.Sheet.Light.Words()}; bleached ones in sun for less. Which is it?",
            [seen]
        );
}

/// <summary>Rule G5: leaves that speak of light.</summary>
[Rule("G5", "leaves that speak of light")]
public sealed record LightSignLimits([Limit("days", 7, 120, "leaves scorched so shortly after a move come of the move")] int Moved);

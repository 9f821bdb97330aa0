using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E8: buds fall where air streams over them, from a vent, a heater or an open door.</summary>
public sealed class DraughtAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E8";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Around.Place?.Draughts != true || now.Lanes.LastOrDefault(Budding) is not { } spike)
            yield break;
        var lost = now.Journal.Of(EntryKinds.BudsLost).LastOrDefault(e => e.On >= spike.From);
        var since = now.Journal.Of(EntryKinds.Moved).LastOrDefault(e => e.On >= spike.From)?.On ?? spike.From;
        yield return new(
            Topics.Move,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            (lost is null ? "It is in spike" : $"Buds were lost {Dates.Ago(lost.On, now.Today)}")
                + ", and draughts are on record for its place: does air stream over it from a vent, a heater or a door? Turn the stream "
                + "away, or move the plant out of it in one step, without turning it.",
            [
                Condition.Known("draughts at its place", new("yes"), null, since),
                Condition.Known(lost is null ? "in spike" : "buds lost", new("seen"), null, lost?.On ?? spike.From),
            ]
        );
    }

    static bool Budding(Lane lane) => lane is { Kind: LaneKind.Spike, Open: true };
}

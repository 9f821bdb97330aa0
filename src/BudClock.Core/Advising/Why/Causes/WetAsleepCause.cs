using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule V5: water in the pot while nothing grows.</summary>
public sealed class WetAsleepCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "watered while it slept";

    /// <inheritdoc/>
    public override int Order => 4;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(LostQuestion), typeof(AsleepQuestion), typeof(ShrivelledQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Feel its base or its tuber: firm has borne it, soft has rotted.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (!about.Now.Sheet.Is(Traits.LeaflessRest))
            return null;
        var wet = about
            .Now.Journal.Entries.Where(entry => entry.On >= about.Matter.From && entry.On <= about.Matter.To)
            .Where(entry => (entry.IsWatering || (entry.Kind == Medium && entry.Text == "wet")) && Asleep(about, entry.On))
            .ToList();
        if (wet is not [.., var last])
            return null;
        var firm = about.Now.Journal.Of(Base, Tuber, Bulbs).LastOrDefault(e => e.On > last.On && e.Text is "firm" or "plump");
        return new(
            this,
            [
                Inquiry.By(
                    last,
                    wet.Count >= about.Limits.Spell ? Strength.Sure : Strength.Likely,
                    wet.Count == 1
                        ? $"wet on {about.Day(last.On)} while it slept"
                        : $"wet {wet.Count} times while it slept, last on {about.Day(last.On)}"
                ),
            ],
            firm is null ? [] : [about.By(firm, Strength.Likely)],
            "While it sleeps it stays dry; the first water waits for new growth."
        );
    }

    /// <summary>In a span of rest, past its first days, in which the pot still dries.</summary>
    static bool Asleep(Inquiry about, DateOnly day) =>
        about.Now.Lanes.Any(lane => lane.Kind is LaneKind.Rest && !lane.Expected && lane.From.AddDays(7) <= day && !(lane.To <= day));
}

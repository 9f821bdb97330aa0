using BudClock.Core.Advising.Why.Questions;
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
        var wet = about
            .Now.Journal.Entries.Where(entry => entry.On >= about.Matter.From && entry.On <= about.Matter.To)
            .Where(entry => Wet(entry) && Asleep(about, entry.On))
            .ToList();
        if (wet is not [.., var last])
            return GoingToSleep(about);
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
                .. about.Felt().For,
            ],
            firm is null ? [] : [about.By(firm, Strength.Likely)],
            "While it sleeps it stays dry; the first water waits for new growth."
        );
    }

    /// <summary>A full drink as the last leaves went stands in the pot for weeks, and nothing drinks it.</summary>
    Heard? GoingToSleep(Inquiry about)
    {
        if (about.Question is not LostQuestion)
            return null;
        foreach (var rest in about.Now.Lanes.Where(lane => lane.Kind is LaneKind.Rest && !lane.Expected).Reverse())
            if (
                about.Newest(entry => Wet(entry) && Math.Abs(entry.On.DayNumber - rest.From.DayNumber) <= 7, Watered, Soaked, Medium) is
                { } last
            )
                return new(
                    this,
                    [
                        Inquiry.By(last, Strength.Likely, $"wet on {about.Day(last.On)}, as it went to rest on {about.Day(rest.From)}"),
                        .. about.Felt().For,
                    ],
                    [.. about.Felt().Against],
                    "Less water once its leaves go, and none when the last are gone."
                );
        return null;
    }

    static bool Wet(Entry entry) => entry.IsWatering || (entry.Kind == Medium && entry.Text == "wet");

    /// <summary>In a span of rest, past its first days, in which the pot still dries.</summary>
    static bool Asleep(Inquiry about, DateOnly day) =>
        about.Now.Lanes.Any(lane => lane.Kind is LaneKind.Rest && !lane.Expected && lane.From.AddDays(7) <= day && !(lane.To <= day));
}

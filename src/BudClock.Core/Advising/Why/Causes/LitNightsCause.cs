using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Programmes;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule B6: lamps that break the long nights of a kind that blooms by them.</summary>
public sealed class LitNightsCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "light in its nights";

    /// <inheritdoc/>
    public override int Order => 6;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var now = about.Now;
        var longNights = now.Around.Programmes.All.Any(one =>
            one.Sheets.Contains(now.Sheet.Name) && one.Steps.Any(step => step.Measure is LongNights)
        );
        if (!longNights)
            return null;
        const string Then = "From early autumn on it stands where no lamp reaches it after dusk.";
        if (about.In(NightLit) is [.., var lit])
            return new(this, [Inquiry.By(lit, Strength.Sure, $"lit in the night on {about.Day(lit.On)}")], [], Then);
        return about.PlaceOf(about.PlaceOn(about.Matter.To)) is { LampHours: > 12 and var hours } place
            ? new(this, [Inquiry.That(Strength.Likely, $"lamps burn {hours:0.#} hours a day at {place.Name}")], [], Then)
            : null;
    }
}

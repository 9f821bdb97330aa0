using System.Globalization;
using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule E7: air so dry that buds dry and thin leaves go crisp at their tips.</summary>
public sealed class DryAirCause : Cause
{
    const int LeastDays = 5;

    /// <inheritdoc/>
    public override string Name => "dry air";

    /// <inheritdoc/>
    public override int Order => 16;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [typeof(BudsLostQuestion), typeof(LeavesGoneQuestion), typeof(StalledSpikeQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Stand a hygrometer beside it for a week.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        List<Claim> speaks = [];
        var air = about.Days.Where(day => day.VpdKPa is not null).ToList();
        if (air.Count >= LeastDays && air.Average(day => day.VpdKPa!.Value) is var mean && mean > about.Limits.DryAir)
            speaks.Add(
                Inquiry.That(
                    Strength.Likely,
                    string.Create(CultureInfo.InvariantCulture, $"the air was dry, {mean:0.0} kPa on average over {air.Count} days"),
                    air[^1].Day
                )
            );
        if (about.Newest(note => note.Said.Has(SaidFacts.CrispTips), Note) is { } crisp)
            speaks.Add(Inquiry.By(crisp, speaks.Count > 0 ? Strength.Likely : Strength.Hint, $"tips crisp on {about.Day(crisp.On)}"));
        return speaks.Count == 0
            ? null
            : new(this, speaks, [], "A tray of wet pebbles below, plants closer together, away from the heater.");
    }
}

using System.Globalization;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules B3, B4 and G5: too little light where it stood, measured, by eye or by its window.</summary>
public sealed class DimCause : Cause
{
    /// <summary>Fewer measured days tell nothing of a season.</summary>
    const int LeastDays = 14;

    /// <inheritdoc/>
    public override string Name => "a dim place";

    /// <inheritdoc/>
    public override int Order => 7;

    /// <inheritdoc/>
    public override Care? Act => Care.Lighten;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(NoBloomQuestion),
        typeof(PaleQuestion),
        typeof(StalledSpikeQuestion),
        typeof(BaldTopQuestion),
        typeof(LeafInLeafOutQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) =>
        "Measure the light at its leaves for a fortnight, or stand it brighter for one growth.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var (speaks, against) = (new List<Claim>(), new List<Claim>());
        Measured(about, speaks, against);
        ByEye(about, speaks, against);
        if (about.Newest(note => note.Said.Has(SaidFacts.Leggy), Note) is { } leggy)
            speaks.Add(Inquiry.By(leggy, Strength.Likely, $"leggy on {about.Day(leggy.On)}"));
        if (about.Question is BaldTopQuestion)
            speaks.Add(Inquiry.By(about.Matter.Signs[0], Strength.Likely, "light does not reach its top"));
        if (about.Question is PaleQuestion && speaks.Count == 0 && about.Newest(_ => true, Moved) is null)
            speaks.Add(Inquiry.By(about.Matter.Signs[^1], Strength.Hint, "pale leaves without a move are more often hungry for light"));
        return speaks.Count + against.Count == 0
            ? null
            : new(
                this,
                [.. speaks.OrderByDescending(claim => claim.Strength)],
                against,
                about.Question is BaldTopQuestion
                    ? "Hang it so that light reaches the top, and lay long vines back on it."
                    : $"Brighter, in steps of a week, up to {about.Now.Sheet.Light.Words()}."
            )
            {
                Expect = about.Question is SmallerQuestion ? "In more light the next one is likely to gain." : null,
            };
    }

    static void Measured(Inquiry about, List<Claim> speaks, List<Claim> against)
    {
        var light = about.Days.Where(day => day.Light is not null).Select(day => day.Light!.Estimate).ToList();
        var least = about.Now.Limits<BloomLightLimits>().For(about.Now.Sheet.Light);
        if (light.Count < LeastDays)
            light = about.Now.Around.Weather.MeanLight(about.Now.Today, LeastDays) is { } lately ? [lately.Value] : [];
        if (light.Count == 0)
            return;
        var mean = light.Average(one => one.Dli);
        var words = string.Create(CultureInfo.InvariantCulture, $"{mean:0.#} mol of light a day as measured, {least:0.#} wanted");
        if (light.Average(one => one.High) < least)
            speaks.Add(Inquiry.That(Strength.Sure, words, about.Matter.To));
        else if (light.Average(one => one.Low) > least)
            against.Add(Inquiry.That(Strength.Likely, words, about.Matter.To));
    }

    /// <summary>What the grower said of the place; its window says only that it faces away from the sun.</summary>
    static void ByEye(Inquiry about, List<Claim> speaks, List<Claim> against)
    {
        if (speaks.Count + against.Count > 0)
            return;
        foreach (var (place, days) in about.Stood(about.Matter.Growths?.Last.Began ?? about.Matter.From))
            if (days >= LeastDays)
                ByEye(about, place, days, speaks, against);
        // A dark month is not undone by a bright one.
        if (speaks.Count > 0)
            against.Clear();
    }

    static void ByEye(Inquiry about, Place place, int days, List<Claim> speaks, List<Claim> against)
    {
        var wants = about.Now.Sheet.Light;
        if (LightWords.Read(place.Light) is { } eye)
        {
            var words = $"{place.Name}: {eye.Words()} by eye, {wants.Words()} wanted";
            if (eye < wants)
                speaks.Add(Inquiry.That(Strength.Likely, words));
            else
                against.Add(Inquiry.That(Strength.Hint, words));
        }
        else if (place.LampHours is not > 0 && (place.Window is "none" || place.Setting is "store" && place.Window is null))
            speaks.Add(Inquiry.That(Strength.Sure, $"{days} days at {place.Name}, without a window or a lamp"));
        else if (place.Window is { } side && side == (about.Now.Around.Garden.Southern ? "south" : "north") && wants > LightClass.Bright)
            speaks.Add(Inquiry.That(Strength.Hint, $"its window faces {side}"));
    }
}

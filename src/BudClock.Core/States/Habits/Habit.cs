using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using MathNet.Numerics.Statistics;

namespace BudClock.Core.States.Habits;

/// <summary>
/// Rule L5: what a grower does again and again by habit. It has the sheet's rhythm until three were logged, then the grower's own; once
/// three in a row were left out it is no habit any more, and nobody asks for it.
/// </summary>
public abstract class Habit : State
{
    const int Own = 3;

    /// <summary>What is done.</summary>
    public abstract EntryKind Does { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens => field ??= [new(Does, Does.Words.ToLowerInvariant())];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends => [];

    /// <inheritdoc/>
    public override string Afterwards => "It is not asked for any more until it is done again.";

    /// <summary>Days from one to the next by the sheet; null where its habit knows no such thing.</summary>
    protected abstract double? Usual(CultureSheet sheet);

    /// <summary>Days from one to the next: the grower's own, else the sheet's.</summary>
    public static double? Every(Span span, CultureSheet sheet) =>
        span.Since.Count + 1 >= Own
            ? span.Since.Prepend(span.Opened).Zip(span.Since, (from, to) => (double)(to.On.DayNumber - from.On.DayNumber)).Median()
            : ((Habit)span.State).Usual(sheet);

    /// <summary>The last day on which it is a habit.</summary>
    public static DateOnly? Until(Span span, CultureSheet sheet) =>
        ((Habit)span.State).Lasts(span, sheet) is { } days ? span.Newest.On.AddDays(days - 1) : null;

    /// <inheritdoc/>
    protected override Span Again(Span open, Entry sign, PlantLog log) =>
        sign.On == open.Newest.On ? open : open with { Sign = sign, Since = [.. open.Since, sign] };

    /// <inheritdoc/>
    protected override int? Lasts(Span open, CultureSheet sheet) =>
        Every(open, sheet) is { } days ? (int)Math.Ceiling(days * (sheet.Limits<AskingLimits>().LeftOut + 1)) : null;

    /// <inheritdoc/>
    public override string LapsesInWords(CultureSheet sheet) =>
        $"when it was left out {sheet.Limits<AskingLimits>().LeftOut} times in a row, by the grower's own rhythm";
}

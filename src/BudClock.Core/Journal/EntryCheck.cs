using System.Globalization;

namespace BudClock.Core.Journal;

/// <summary>What an entry may hold. The note line, the forms, the API and the garden file all ask here.</summary>
public static class EntryCheck
{
    /// <summary>Most characters of a text.</summary>
    public const int LongestText = 2000;

    /// <summary>The fault of an entry as a sentence for the grower, or null when it is sound.</summary>
    /// <param name="today">The last day that may be logged.</param>
    public static string? Fault(EntryKind kind, DateOnly on, Quantity? amount, string? text, DateOnly today) =>
        DateFault(on, today) ?? AmountFault(kind, amount) ?? TextFault(kind, amount, text);

    /// <summary>The fault of a number for this kind, or null.</summary>
    public static string? AmountFault(EntryKind kind, Quantity? amount)
    {
        if (kind.Measure is not { } measure)
            return amount is null ? null : $"{kind.Words} takes no number; {amount} is left over.";
        if (amount is not { } given)
            return measure.Required && kind.States.Length == 0 ? $"{kind.Words} needs a number, such as {Example(measure)}." : null;
        if (given.Dimension != measure.Dimension)
            return $"{kind.Words} is given like {Example(measure)}; {given} is something else.";
        if (!double.IsFinite(given.Value) || given.InBase < measure.Min || given.InBase > measure.Max)
            return $"{kind.Words} can be {Number(measure.Min)} to {With(measure.Max, measure)}; {given} is outside that.";
        return null;
    }

    static string? DateFault(DateOnly on, DateOnly today) =>
        on > today ? $"{Dates.Long(on)} is still to come; the log holds what has happened."
        : on.Year < 1900 ? $"{Dates.Long(on)} is too long ago."
        : null;

    static string? TextFault(EntryKind kind, Quantity? amount, string? text)
    {
        if (text?.Length > LongestText)
            return $"A note holds at most {LongestText} characters; this one has {text.Length}.";
        if (kind.States.Length == 0)
            return null;
        if (text is null)
            return amount is null ? $"{kind.Words} needs a word: {string.Join(", ", kind.States)}." : null;
        return kind.States.Contains(text) ? null : $"{kind.Words} can be {string.Join(", ", kind.States)}; \"{text}\" is none of these.";
    }

    static string Example(Measure measure) => With(measure.Dimension is Dimension.Volume ? 400 : 8, measure);

    static string With(double value, Measure measure) => new Quantity(value, Unit.Default(measure.Dimension, us: false)).ToString();

    static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}

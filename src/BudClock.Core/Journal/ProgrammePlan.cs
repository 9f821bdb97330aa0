using System.Globalization;

namespace BudClock.Core.Journal;

/// <summary>What the start of a programme plans, beside its name.</summary>
/// <param name="From">A later start; null for the day of the entry.</param>
/// <param name="BloomOn">The day on which it is wanted in bloom; null for none.</param>
/// <param name="Bulbs">How many bulbs, 0 to 9,999; null where it does not say.</param>
/// <param name="EveryDays">A succession: days from one planting to the next, 0 to 999; null for none.</param>
public sealed record ProgrammePlan(DateOnly? From = null, DateOnly? BloomOn = null, int? Bulbs = null, int? EveryDays = null)
{
    /// <summary>It plans nothing.</summary>
    public static readonly ProgrammePlan None = new();

    /// <summary>As files write it: "from 2031-11-01", "for 2031-12-24", "bulbs 12", "every 28"; empty for nothing.</summary>
    public IEnumerable<string> Words =>
        new[] { Word("from", From), Word("for", BloomOn), Word("bulbs", Bulbs), Word("every", EveryDays) }.OfType<string>();

    /// <summary>The plan with what one word of a file says; null where the word says nothing of a plan.</summary>
    /// <param name="word">As <see cref="Words"/> gives it.</param>
    public ProgrammePlan? With(string word) =>
        word.Split(' ') switch
        {
            ["from", var day] when Day(day) is { } from => this with { From = from },
            ["for", var day] when Day(day) is { } bloom => this with { BloomOn = bloom },
            ["bulbs", var number] when Number(number) is { } bulbs => this with { Bulbs = bulbs },
            ["every", var number] when Number(number) is { } days => this with { EveryDays = days },
            _ => null,
        };

    /// <summary>A day as 2031-11-01; null for anything else.</summary>
    internal static DateOnly? Day(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;

    /// <summary>A whole number without a sign; null for anything else.</summary>
    internal static int? Number(string text) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : null;

    static string? Word(string name, DateOnly? day) =>
        day is { } on ? string.Create(CultureInfo.InvariantCulture, $"{name} {on:yyyy-MM-dd}") : null;

    static string? Word(string name, int? number) => number is { } n ? string.Create(CultureInfo.InvariantCulture, $"{name} {n}") : null;
}

using System.Globalization;

namespace BudClock.Core.Programmes;

/// <summary>What the entry "programme started" says: which programme, from when, for which day of bloom.</summary>
/// <remarks>
/// Its words are for people: "cool nights", "cool nights from 2031-11-01", "in bloom for 2031-12-24, 12 bulbs", "succession every 28
/// days". They are read once, when the entry is written; what is not understood is left to the reader.
/// </remarks>
/// <param name="Entry">The entry.</param>
public sealed record ProgrammeOrder(Entry Entry)
{
    readonly ProgrammePlan plan = Entry.Said.Plan ?? ProgrammePlan.None;

    /// <summary>Its words; empty for none.</summary>
    public string Text => Entry.Text ?? "";

    /// <summary>A later start that it plans; null for the day of the entry.</summary>
    public DateOnly? From => plan.From;

    /// <summary>The day on which it is wanted in bloom; null for none.</summary>
    public DateOnly? BloomOn => plan.BloomOn;

    /// <summary>How many bulbs; null where it does not say.</summary>
    public int? Bulbs => plan.Bulbs;

    /// <summary>A succession: days from one planting to the next; null for none.</summary>
    public int? EveryDays => plan.EveryDays;

    /// <summary>The day on which it starts.</summary>
    public DateOnly Start => From > Entry.On ? From.Value : Entry.On;

    /// <summary>The words of a programme that starts on another day than it is written down.</summary>
    public static string Words(string programme, DateOnly from, DateOnly today) =>
        from > today ? $"{programme} from {Iso(from)}" : programme;

    /// <summary>The words for bulbs that are wanted in bloom on a day.</summary>
    public static string InBloomFor(DateOnly day, int bulbs) => $"in bloom for {Iso(day)}, {bulbs} {(bulbs == 1 ? "bulb" : "bulbs")}";

    /// <summary>Its words with another day of bloom; as they are where it names none.</summary>
    public string MovedTo(DateOnly bloomOn) =>
        BloomOn is { } wanted ? Text.Replace($"for {Iso(wanted)}", $"for {Iso(bloomOn)}", StringComparison.OrdinalIgnoreCase) : Text;

    static string Iso(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}

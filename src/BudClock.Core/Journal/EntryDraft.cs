using System.Globalization;

namespace BudClock.Core.Journal;

/// <summary>One entry understood from a line.</summary>
/// <param name="Organ">The id of the organ it names, or "new" or "unnamed"; null when it names none.</param>
/// <param name="Mix">The code of the batch that was given, or of a recipe; null when it names none.</param>
public sealed record EntryDraft(
    EntryKind Kind,
    DateOnly On,
    Quantity? Amount = null,
    string? Text = null,
    string? Organ = null,
    string? Mix = null
)
{
    /// <summary>What it changes about its plant, where that is known beforehand and not read from its words.</summary>
    public IReadOnlyList<FactChange> Sets { get; init; } = [];

    /// <summary>The file of a picture; null for anything else.</summary>
    public string? File { get; init; }

    /// <summary>For the live reading: "Roots 8.5 cm".</summary>
    public string Words => string.Join(' ', new[] { Kind.Words, Amount?.ToString(), Mix, Text }.Where(part => part is not null));

    /// <summary>The grower means it, however unlikely it is.</summary>
    public bool Sure { get; init; }

    internal string Canonical
    {
        get
        {
            var amount = Amount is { } a ? $" {a.Value.ToString("R", CultureInfo.InvariantCulture)} {a.Unit}".TrimEnd() : "";
            var text =
                Text is null ? ""
                : Kind.States.Length > 0 ? $" {Text}"
                : $" \"{Text.Replace('"', '″')}\"";
            var organ = $"{(Organ is null ? "" : $" #{Organ}")}{(Mix is null ? "" : $" #{Mix}")}";
            var date = On.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
            return $"{Kind.Words.ToLowerInvariant()}{amount}{text}{organ}{(Sure ? "!" : "")} {date}";
        }
    }
}

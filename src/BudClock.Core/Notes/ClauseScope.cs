using System.Text.RegularExpressions;

namespace BudClock.Core.Notes;

/// <summary>A clause that is being read: its items, what it is read against, and what was found in it so far.</summary>
sealed partial record ClauseScope(string Line, List<Item> Items, NoteContext Context, IReadOnlyList<string> Tags)
{
    /// <summary>What is said of a word that the line does not know.</summary>
    public const string NoWord = "is not a word of the log.";

    /// <summary>What batches and recipes are given with.</summary>
    public static readonly EntryKind[] Given = [EntryKinds.Fed, EntryKinds.Watered, EntryKinds.Soaked, EntryKinds.ToppedUp];

    /// <summary>Spoons and drops go into the water; they are no amount of it.</summary>
    public static readonly Unit?[] Spoons = [Unit.Tsp, Unit.Tbsp, Unit.Drop];

    /// <summary>What was found.</summary>
    public Clause Clause { get; } = new();

    /// <summary>Whether an act can be of so much.</summary>
    public static bool Takes(EntryKind kind, Quantity quantity) =>
        kind.Measure is { } measure
        && (measure.Dimension == quantity.Dimension || quantity.Unit is null || Ounces(kind, quantity))
        && !(kind == EntryKinds.Fed && Spoons.Contains(quantity.Unit));

    /// <summary>Of water, ounces are fluid ounces.</summary>
    static bool Ounces(EntryKind kind, Quantity quantity) => kind.Measure?.Dimension is Dimension.Volume && quantity.Unit == Unit.Oz;

    /// <summary>Why a batch cannot stand here.</summary>
    public static string NotGiven(string code) => $"{code} is a batch: it is given, such as fed #{code}.";

    /// <summary>The plant is a rosette of leaves, which is measured across.</summary>
    public bool Rosette() => Tags.Count == 1 && Context.Sheets(Tags[0])?.Organs.Shoot == Organ.Leaf;

    /// <summary>Nothing else that says anything stands in the Clause.</summary>
    public bool OnlyItem(Item? one) =>
        Items.TrueForAll(i => i == one || i.Filler || i.Kind is ItemKind.Date or ItemKind.Organ or ItemKind.Sure or ItemKind.Quoted);

    /// <summary>A bare number in the unit that the garden has for the kind.</summary>
    public Quantity? InUnits(EntryKind kind, Quantity? quantity)
    {
        if (quantity is not { } q || kind.Measure is not { } measure)
            return quantity;
        if (Ounces(kind, q))
            return q with { Unit = Unit.FlOz };
        return q.Unit is null && Unit.Default(measure.Dimension, Context.UsUnits) is { } unit ? q with { Unit = unit } : q;
    }

    /// <summary>Writes an entry down, or why it cannot be one.</summary>
    public void Keep(Found entry)
    {
        entry = entry with { Text = entry.Text is { } text ? Blanks().Replace(text, " ").Trim() : null };
        if (entry.Kind == EntryKinds.Note && entry.Text is null)
            Refuse(entry, "A note needs some words behind it.");
        else if (EntryCheck.Fault(entry.Kind, Context.Today, entry.Amount, entry.Text, Context.Today) is { } fault)
            Refuse(entry, fault);
        else if (entry.Mix is { } code && !Given.Contains(entry.Kind))
            Refuse(entry, NotGiven(code));
        else
            Clause.Found.Add(entry);
    }

    void Refuse(Found entry, string why) => Clause.Unread.Add(new(entry.Start, Line[entry.Start..entry.End], why));

    /// <summary>Gives a piece back unread.</summary>
    public void Refuse(Item item, string why)
    {
        // Words beside each other that say nothing are one piece.
        if (item.Kind is ItemKind.Unknown && Clause.Unread is [.., { } last] && last.Why.EndsWith(NoWord, StringComparison.Ordinal))
            if (last.Start + last.Fragment.Length is var end && end < item.Start && string.IsNullOrWhiteSpace(Line[end..item.Start]))
            {
                var piece = Line[last.Start..item.End];
                Clause.Unread[^1] = last with { Fragment = piece, Why = $"\"{piece}\" {NoWord}" };
                return;
            }
        Clause.Unread.Add(new(item.Start, Raw(item, item), why, Nearest(item)));
    }

    static string? Nearest(Item item) => item.Kind is ItemKind.Unknown ? Slips.Near(item.Text).FirstOrDefault() : null;

    /// <summary>A piece of the line as it was typed.</summary>
    public string Raw(Item first, Item last) => Line[first.Start..last.End];

    [GeneratedRegex(@"\s{2,}")]
    private static partial Regex Blanks();
}

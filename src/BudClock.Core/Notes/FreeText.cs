namespace BudClock.Core.Notes;

/// <summary>Where the free words of an act end: at a day, at another act, at a thing of which something is measured or seen.</summary>
/// <param name="of">The kind of entry that the words belong to; null for none.</param>
sealed class FreeText(List<Item> items, EntryKind? of)
{
    static readonly HashSet<string> Joining = ["and", "&", "+", "then", "so", "but", "also"];

    static readonly HashSet<string> Before = ["on", "in", "with", "w", "w/", "of", "under", "from", "to", "into", "at", "for", "the"];

    /// <summary>Another clause begins with it.</summary>
    public static bool Ends(Item item) => item.Word?.Act is not null || (item.Filler && item.Text is "and" or "&" or "+" or "then");

    /// <summary>Where free text ends: at a day, at an act, at a thing of which something is measured or seen.</summary>
    public int End(int from)
    {
        var to = from;
        while (to < items.Count && !Stops(to))
            to++;
        while (to > from && Trailing(items[to - 1], to == items.Count))
            to--;
        return to;
    }

    /// <summary>Free text does not go over this item.</summary>
    public bool Stops(int index)
    {
        var item = items[index];
        if (item.Kind is ItemKind.Date or ItemKind.Sure or ItemKind.Quoted or ItemKind.Organ || item.Text == ":")
            return true;
        if (item.Word is not { } word)
            return false;
        var joined = Joined(index);
        if (word.Act is { } act && (joined || Past(word.Text)) && !(of == act.Kind))
            return joined || !Joins(index);
        if (word.Thing is not { } thing || Joins(index))
            return false;
        var next = items.Skip(index + 1).FirstOrDefault(i => !i.Filler);
        return next is { Kind: ItemKind.Amount, Measured: true } || (joined && next?.Word is { } sign && sign.SignOf(thing) is not null);
    }

    /// <summary>A word that joins clauses stands before it.</summary>
    public bool Joined(int index) => index > 0 && items[index - 1].Filler && Joining.Contains(items[index - 1].Text);

    /// <summary>Behind a preposition a word belongs to what stands before it: "on 2 back bulbs", "with water".</summary>
    bool Joins(int index) => index > 0 && Before.Contains(items[index - 1].Text);

    /// <summary>It says that something was done.</summary>
    public static bool Past(string text) =>
        text is not "feed" && (text.EndsWith("ed", StringComparison.Ordinal) || text.Contains("ed ", StringComparison.Ordinal));

    /// <summary>What joins clauses is no text of either; a preposition left by a plant's name neither.</summary>
    static bool Trailing(Item item, bool atEnd) =>
        item.Filler && (Joining.Contains(item.Text) || item.Text == ":" || (atEnd && item.Text is "on" or "of" or "for"));
}

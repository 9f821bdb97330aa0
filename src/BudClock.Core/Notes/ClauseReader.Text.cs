using System.Text.RegularExpressions;

namespace BudClock.Core.Notes;

/// <summary>The words that go with an act or a pest: how water was given, what a plant was potted into.</summary>
sealed partial class ClauseReader
{
    void TakeHow(Item item)
    {
        if (open?.Act is not { Text: ActText.How })
        {
            scope.Refuse(item, $"\"{scope.Raw(item, item)}\" belongs to nothing before it.");
            return;
        }
        // What joins two pieces joins their text: "with rain from below", "1/4 strength".
        if (open.Text.Count > 0 && items.Where(i => i.Start >= open.Text[^1].End && i.End <= item.Start).All(i => i.Filler))
            open.Text[^1] = (open.Text[^1].Start, item.End);
        else
            open.Text.Add((item.Start, item.End));
        open.End = item.End;
    }

    void TakeText()
    {
        while (at < items.Count)
        {
            while (at < items.Count && items[at].Text == ":")
                at++;
            var to = Texts.End(at);
            if (to > at)
            {
                open!.Text.Add((items[at].Start, items[to - 1].End));
                open.End = items[to - 1].End;
                at = to;
            }
            // A day in the middle parts the text in two: "repotted yesterday into fresh bark".
            if (at >= items.Count || items[at].Kind is not ItemKind.Date || at + 1 >= items.Count || Texts.Stops(at + 1))
                return;
            TakeDay(items[at++]);
        }
    }

    /// <summary>"moved to the sill", "moved outside"; "moved on well" is no move.</summary>
    void Direction(Item item)
    {
        var next = items.Skip(at).FirstOrDefault(i => i.Kind is not (ItemKind.Date or ItemKind.Sure or ItemKind.Quoted));
        if (next is null || FreeText.Ends(next))
            return;
        if (next.Is(Lexicon.Direction) && at < items.Count && items[at] == next)
            TakeText();
        else
            scope.Refuse(item, $"\"{scope.Raw(item, item)}\" needs a place or a direction, such as {item.Text} to the sill.");
    }

    void InDays()
    {
        while (at < items.Count && items[at].Filler)
            at++;
        var (days, next) = (0.0, at);
        if (next < items.Count && items[next] is { Kind: ItemKind.Amount, Amount: { Unit: null } number })
            (days, next) = (number.Value, next + 1);
        else if (next < items.Count && items[next].Text is "a")
            (days, next) = (1, next + 1);
        if (next < items.Count && items[next].Text.TrimEnd('.') is "days" or "day" or "d")
            next++;
        else if (next < items.Count && items[next].Text.TrimEnd('.') is "week" or "weeks" or "wk" or "wks")
            (days, next) = (days == 0 ? 7 : days * 7, next + 1);
        if (days > 0)
            open!.Amount = items[Math.Min(at, items.Count - 1)] with { Kind = ItemKind.Amount, Amount = new(days) };
        at = next;
        while (at < items.Count && items[at].Text is ":")
            at++;
        if (at < items.Count && items[at].Kind is not (ItemKind.Date or ItemKind.Sure or ItemKind.Quoted or ItemKind.Organ))
            TakeText();
        open!.End = items[at - 1].End;
    }

    void RestOfLine()
    {
        var from = open!.End;
        var text = scope.Line[from..].TrimStart(' ', ':', ',').TrimEnd();
        if (items.Skip(at).FirstOrDefault() is { Kind: ItemKind.Quoted or ItemKind.Date or ItemKind.Organ })
            return;
        if (text.Length > 0)
            open.Text.Add((scope.Line.Length - scope.Line[from..].TrimStart(' ', ':', ',').Length, scope.Line.TrimEnd().Length));
        at = items.Count;
    }

    /// <summary>A pest or rot is written down in the words of its clause: "scale on 2 back bulbs", "2 mealies under a leaf".</summary>
    void WholeText(Item item, EntryKind kind, string? state)
    {
        var first = new[]
        {
            amount,
            signs.FirstOrDefault(),
            isNew,
            open?.Thing is not null && open.Amount is null ? open.First : null,
            item,
        }
            .OfType<Item>()
            .MinBy(i => i.Start)!;
        if (open is { Thing: not null, Amount: null })
            open = null;
        Close();
        (amount, isNew) = (null, null);
        signs.Clear();
        while (at < items.Count && items[at].Text == ":")
            at++;
        var to = Texts.End(at);
        var last = to > at ? items[to - 1] : item;
        at = to;
        string? text = scope.Line[first.Start..last.End];
        if (kind == EntryKinds.Rot && first == last)
            text = null;
        var quoted = at < items.Count && items[at].Kind is ItemKind.Quoted ? items[at++] : null;
        if (
            kind == EntryKinds.Pest
            && last.Word is { } word
            && word.Signs.Any(s => s.Meaning.Kind == EntryKinds.RootsLost)
            && last.Text == "gone"
        )
            text = $"none: {text}";
        scope.Keep(new(first.Start, quoted?.End ?? last.End, kind, null, quoted?.Text ?? text ?? state, organ, mix));
        (organ, mix) = (null, null);
    }

    /// <summary>"11cm" as "11 cm", and without the "with" or colon before it.</summary>
    static string Tidy(string text) => BesideUnit().Replace(text.Trim().TrimStart(':').Trim(), " ");

    [GeneratedRegex(@"(?<=\d)(?=(cm|mm|in|ml|l|g)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex BesideUnit();
}

namespace BudClock.Core.Notes;

/// <summary>What belongs to an entry beside its words: numbers, lengths, days, parts of the plant, mixes, quoted text.</summary>
sealed partial class ClauseReader
{
    void TakeAmount(Item item)
    {
        if (IsDepth(item))
            at++;
        else if (open is { Act: { } act, Amount: null } && ClauseScope.Takes(act.Kind, item.Amount!.Value) && !CountsAhead(item))
            (open.Amount, open.End) = (item, item.End);
        else if (open is { Act: { Text: ActText.How } } && (ClauseScope.Spoons.Contains(item.Amount!.Value.Unit) || HowAhead()))
            TakeHow(item);
        else if (open is { Thing: { } thing, Amount: null } && ThingEnd.Fits(thing, item.Amount!.Value) && !CountsAhead(item))
            (open.Amount, open.End) = (item, item.End);
        else
        {
            Closed(ifFull: true);
            if (amount is not null)
                Flush();
            amount = item;
        }
    }

    /// <summary>"moist 5 cm down": how deep it was felt.</summary>
    bool IsDepth(Item item) =>
        item.Amount is { Dimension: Dimension.Length }
        && at < items.Count
        && items[at].Text is "down" or "deep"
        && (open?.Thing?.Name == "medium" || signs.Exists(sign => sign.Word!.Signs.Exists(s => s.Thing.Name == "medium")));

    /// <summary>"1/4 strength", "20 min".</summary>
    bool HowAhead() => at < items.Count && items[at].Text is "strength" or "min" or "minute" or "minutes" or "hour" or "hours";

    /// <summary>
    /// A number before a thing belongs to that: "spike 9 cm 12 buds"; one with a unit only where what is open has its say already:
    /// "plump bulbs and 9 cm roots".
    /// </summary>
    bool CountsAhead(Item item)
    {
        if (at >= items.Count || (item.Measured && open is not { Signs.Count: > 0 }))
            return false;
        var next = items.Skip(at).FirstOrDefault(i => !i.Filler && !i.Is(Lexicon.New));
        return next?.Word?.Thing is { } thing && ThingEnd.Fits(thing, item.Amount!.Value) && next.Word.SignOf(open?.Thing ?? thing) is null
            || (HowAhead() && open?.Act is { Text: ActText.How });
    }

    void Dimensioned(Item item)
    {
        if (open is { Thing: not null, Amount: not null })
            (open.Long, open.Wide, open.End) = (true, item.Word!.Dimension == "wide", item.End);
        else if (amount is not null || open is null)
            dimension = item;
        else
            open.Long = true;
    }

    void TakeDay(Item item)
    {
        if (item.Date.Day is { } day)
            clause.Days.Add((clause.Found.Count + (open is null ? 0 : 1), day));
        else
            scope.Refuse(item, item.Date.Fault!);
    }

    void TakeOrgan(Item item)
    {
        if (item.Text.Length == 0)
        {
            var name = scope.Raw(item, item).TrimStart('#');
            scope.Refuse(
                item,
                scope.Tags.Count == 1 ? $"\"{name}\" is no part of {scope.Tags[0]}." : "A part can be named for one plant at a time."
            );
        }
        else if (open is { Organ: null })
            (open.Organ, open.End) = (item.Text, item.End);
        else if (open is null && clause.Found.Count > 0 && clause.Found[^1].Organ is null && signs.Count == 0)
            clause.Found[^1] = clause.Found[^1] with { Organ = item.Text, End = item.End };
        else
            organ = item.Text;
    }

    void TakeMix(Item item)
    {
        if (item.Text.Length == 0)
            TakeHow(item);
        else if (open is { Mix: null })
            (open.Mix, open.End) = (item.Text, item.End);
        else if (open is null && clause.Found.Count > 0 && clause.Found[^1].Mix is null)
            clause.Found[^1] = clause.Found[^1] with { Mix = item.Text, End = item.End };
        else
            mix = item.Text;
        if (
            open is { Act: null, Mix: not null }
            || (clause.Found.Count > 0 && clause.Found[^1] is { Mix: not null } last && !ClauseScope.Given.Contains(last.Kind))
        )
            scope.Refuse(item, ClauseScope.NotGiven(item.Text));
    }

    void MakeSure()
    {
        if (open is not null)
            open.Sure = true;
        else if (clause.Found.Count > 0)
            clause.Found[^1] = clause.Found[^1] with { Sure = true };
    }

    void TakeQuoted(Item item)
    {
        if (open is { Quoted: null })
            (open.Quoted, open.End) = (item.Text, item.End);
        else if (open is null && clause.Found.Count > 0 && clause.Found[^1] is { Text: null, Kind.States.Length: 0 } last)
            clause.Found[^1] = last with { Text = item.Text, End = item.End };
        else
            scope.Refuse(item, $"\"{item.Text}\" belongs to nothing before it.");
    }
}

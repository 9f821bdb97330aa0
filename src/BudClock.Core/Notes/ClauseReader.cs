namespace BudClock.Core.Notes;

/// <summary>
/// Reads one clause: things with what is said of them in any order ("roots 11 cm", "11 cm roots", "wrinkled bulbs"), acts with what was
/// given and how, phrases that are an entry by themselves. A clause with a question or a plan in it is read as nothing at all.
/// </summary>
sealed partial class ClauseReader
{
    readonly ClauseScope scope;
    readonly List<Item> items;
    readonly Clause clause;
    readonly Found? before;
    readonly List<Item> signs = [];
    Item? amount;
    Item? isNew;
    Item? dimension;
    Item? how;
    string? organ;
    string? mix;
    OpenEntry? open;
    Item? name;
    int at;

    ClauseReader(ClauseScope scope, Found? before) => (this.scope, items, clause, this.before) = (scope, scope.Items, scope.Clause, before);

    /// <param name="before">The last entry of the line so far: "1 cup" alone is how much of it.</param>
    public static Clause Read(string line, List<Item> items, NoteContext context, IReadOnlyList<string> tags, Found? before) =>
        new ClauseReader(new(line, items, context, tags), before).Read();

    Clause Read()
    {
        if (IsThought() || IsPlan())
            return Thinking();
        var told = items.FindIndex(item => item.Word?.Act is { Text: not (ActText.None or ActText.How or ActText.Whole) });
        var none = items.FindIndex(item => item.Is(Lexicon.None) && item.Word!.Event is null);
        if (none >= 0 && (told < 0 || none < told) && !Denied(none))
            return Thinking();
        while (at < items.Count)
            Take(items[at]);
        Close();
        Flush();
        return clause;
    }

    bool IsThought()
    {
        if (items[^1].Text == "?" && !items.Exists(item => item.Word?.Act is { Text: ActText.Rest or ActText.Days }))
            return true;
        var until = items.FindIndex(item => item.Word?.Act is { Text: ActText.Rest or ActText.Days or ActText.Tale });
        return items.Take(until < 0 ? items.Count : until).Any(item => item.Is(Lexicon.Thought));
    }

    /// <summary>"water it on monday" says what is to be done, "watered on monday" what was.</summary>
    bool IsPlan() =>
        items.Exists(item => item.Kind is ItemKind.Date && item.Text.Split(' ').Any(NoteDates.IsWeekday))
        && items.Exists(item => item.Word?.Act is not null && Orders.Contains(item.Text.Split(' ')[0]))
        && !items.Exists(item => item.Word?.Act is not null && FreeText.Past(item.Text));

    static readonly HashSet<string> Orders =
    [
        "water",
        "soak",
        "feed",
        "flush",
        "rinse",
        "top",
        "dunk",
        "treat",
        "turn",
        "move",
        "repot",
        "cut",
    ];

    Clause Thinking()
    {
        clause.Thought = true;
        var fault = items.Find(item => item is { Kind: ItemKind.Date, Date.Fault: not null });
        clause.Unread.Add(
            fault is null
                ? new(
                    items[0].Start,
                    scope.Raw(items[0], items[^1]),
                    $"\"{scope.Raw(items[0], items[^1])}\" reads like a thought or a plan."
                )
                : new(fault.Start, scope.Raw(fault, fault), fault.Date.Fault!)
        );
        return clause;
    }

    void Take(Item item)
    {
        at++;
        switch (item.Kind)
        {
            case ItemKind.Date:
                TakeDay(item);
                break;
            case ItemKind.DateOrShare:
                ClauseAsks.DayOrShare(scope, item, open);
                break;
            case ItemKind.Organ:
                TakeOrgan(item);
                break;
            case ItemKind.Mix:
                TakeMix(item);
                break;
            case ItemKind.Sure:
                MakeSure();
                break;
            case ItemKind.Quoted:
                TakeQuoted(item);
                break;
            case ItemKind.Amount:
                TakeAmount(item);
                break;
            case ItemKind.Strength:
                TakeHow(item);
                break;
            case ItemKind.Conductivity:
                AskScale(item);
                break;
            case ItemKind.Word:
                TakeWord(item);
                break;
            default:
                scope.Refuse(item, $"\"{scope.Raw(item, item)}\" {ClauseScope.NoWord}");
                break;
        }
    }

    void TakeWord(Item item)
    {
        var word = item.Word!;
        if (open?.Thing is { } thing && word.SignOf(thing) is { } sign && !BelongsAhead(word))
            AddSign(item, sign);
        else if (open?.Act is { Text: ActText.How } && word.Is(Lexicon.How) && !StartsThing(item))
            TakeHow(item);
        else if (word.Signs.Count > 0 && BelongsAhead(word))
            signs.Add(item);
        else if (word.Thing is not null && !(open?.Act is { Text: ActText.How } && word.Is(Lexicon.How) && !StartsThing(item)))
            Begin(item, word.Thing);
        else if (word.Act is { } again && open?.Act?.Kind == again.Kind)
            open.End = item.End; // "watered with rain water"
        else if (word.Act is { } act && open?.Act is not null && !FreeText.Past(word.Text) && !Texts.Joined(at - 1))
            scope.Refuse(item, $"\"{scope.Raw(item, item)}\" says nothing here.");
        else if (word.Act is { } begun)
            Begin(item, begun);
        else if (word.Event is { } said)
            Event(item, said);
        else if (word.Asked is { } asked)
            Ask(item, asked);
        else if (word.Is(Lexicon.Pest))
            WholeText(item, EntryKinds.Pest, null);
        else if (word.Signs.Count > 0)
            Sign(item);
        else if (word.Is(Lexicon.New))
            (isNew, _) = (item, Closed(ifFull: true));
        else if (word.Dimension is not null)
            Dimensioned(item);
        else if (word.Is(Lexicon.How))
            how = item;
        else if (!word.Filler)
            scope.Refuse(item, $"\"{scope.Raw(item, item)}\" says nothing here.");
    }

    /// <summary>A sign that stands alone, or before a thing that comes later: "dry so watered".</summary>
    void Sign(Item item)
    {
        Closed(ifFull: true);
        signs.Add(item);
    }

    /// <summary>The next thing takes this sign: "wrinkled bulbs", "lost 2 buds", "dead roots".</summary>
    bool BelongsAhead(Word word)
    {
        for (var next = at; next < items.Count; next++)
        {
            var item = items[next];
            if (item.Word?.Thing is { } thing)
                return word.SignOf(thing) is not null
                    && !(open?.Thing is not null && open.Signs.Count == 0 && word.SignOf(open.Thing) is not null);
            if (item.Kind is ItemKind.Organ || (item.Kind is ItemKind.Amount && !item.Measured) || item.Filler || item.Is(Lexicon.New))
                continue;
            return false;
        }
        return false;
    }

    /// <summary>What follows says something of the thing: "growth 9 cm" beside "growth mix".</summary>
    bool StartsThing(Item item)
    {
        if (item.Word?.Thing is not { } thing)
            return false;
        var next = items.Skip(at).FirstOrDefault(i => !i.Filler);
        return next is { Kind: ItemKind.Amount, Amount: { Dimension: Dimension.Length } }
            || (next?.Word is { } word && word.SignOf(thing) is not null);
    }

    void AddSign(Item item, Meaning sign)
    {
        open!.Signs.Add(sign);
        open.End = item.End;
    }

    void Begin(Item item, Thing thing)
    {
        Close();
        // What stands before and is not about this thing is said by itself: "dry, roots 9 cm" without its comma.
        var mine = signs.FindAll(sign => sign.Word!.SignOf(thing) is not null);
        var others = signs.Except(mine).ToList();
        signs.Clear();
        signs.AddRange(others);
        var fits = amount is { } a && ThingEnd.Fits(thing, a.Amount!.Value);
        var taken = fits ? amount : null;
        if (fits)
            amount = null;
        var (fresh, size) = (isNew, dimension);
        (isNew, dimension) = (null, null);
        if (others.Count > 0 || amount is not null)
            Flush();
        open = new()
        {
            First = new[] { taken, mine.FirstOrDefault(), fresh, item }.OfType<Item>().MinBy(i => i.Start)!,
            Thing = thing,
            End = item.End,
            Amount = taken,
            Counted = taken is not null,
            New = fresh is not null,
            Long = size is not null || thing.Lengths.Contains(item.Text),
            Organ = organ,
            Mix = mix,
        };
        (organ, mix) = (null, null);
        open.Signs.AddRange(mine.Select(sign => sign.Word!.SignOf(thing)!));
        name = item;
    }

    void Begin(Item item, Act act)
    {
        if (act.Text is ActText.Whole)
        {
            WholeText(item, act.Kind, act.State);
            return;
        }
        Close();
        var given = amount is { } a && ClauseScope.Takes(act.Kind, a.Amount!.Value) ? amount : null;
        if (given is not null)
            amount = null;
        var manner = act.Text is ActText.How ? how : null;
        if (manner is not null)
            how = null;
        Flush();
        open = new()
        {
            First = given is { } g && g.Start < item.Start ? g : item,
            Act = act,
            End = item.End,
            Amount = given,
            Organ = organ,
            Mix = mix,
        };
        (organ, mix) = (null, null);
        if (manner is not null)
            open.Text.Add((manner.Start, manner.End));
        if (act.Text is ActText.Rest)
            RestOfLine();
        else if (act.Text is ActText.Days)
            InDays();
        else if (act.Text is ActText.Free or ActText.Tale)
            TakeText();
        else if (act.Text is ActText.To)
            Direction(item);
    }

    bool Denied(int none)
    {
        if (!new Denial(scope).Read(none))
            return false;
        foreach (var day in items.Where(item => item.Kind is ItemKind.Date))
            TakeDay(day);
        at = items.Count;
        return true;
    }

    void AskScale(Item item)
    {
        if (open is { Thing: not { } } || open?.Thing?.Measure(Dimension.DissolvedSolids) is null)
            Close();
        var named = open is null ? "run-off " : "";
        open = null;
        ClauseAsks.Scale(scope, item, named);
    }
}

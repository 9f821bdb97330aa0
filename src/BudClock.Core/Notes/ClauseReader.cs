using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Notes;

/// <summary>
/// Reads one clause: things with what is said of them in any order ("roots 11 cm", "11 cm roots", "wrinkled bulbs"), acts with what was
/// given and how, phrases that are an entry by themselves. A clause with a question or a plan in it is read as nothing at all.
/// </summary>
sealed partial class ClauseReader
{
    static readonly EntryKind[] Given = [EntryKinds.Fed, EntryKinds.Watered, EntryKinds.Soaked, EntryKinds.ToppedUp];

    /// <summary>Spoons and drops go into the water; they are no amount of it.</summary>
    static readonly Unit?[] Spoons = [Unit.Tsp, Unit.Tbsp, Unit.Drop];

    readonly string line;
    readonly List<Item> items;
    readonly NoteContext context;
    readonly IReadOnlyList<string> tags;
    readonly Found? before;
    readonly Clause clause = new();
    readonly List<Item> signs = [];
    Item? amount;
    Item? isNew;
    Item? dimension;
    Item? how;
    string? organ;
    string? mix;
    Open? open;
    int at;

    sealed class Open
    {
        public required Item First { get; init; }
        public Thing? Thing { get; init; }
        public Act? Act { get; init; }
        public int End { get; set; }
        public Item? Amount { get; set; }
        public bool Counted { get; set; }
        public List<Meaning> Signs { get; } = [];
        public bool New { get; set; }
        public bool Long { get; set; }
        public bool Wide { get; set; }
        public string? Organ { get; set; }
        public string? Mix { get; set; }
        public bool Sure { get; set; }
        public string? Quoted { get; set; }
        public List<(int Start, int End)> Text { get; } = [];
    }

    ClauseReader(string line, List<Item> items, NoteContext context, IReadOnlyList<string> tags, Found? before) =>
        (this.line, this.items, this.context, this.tags, this.before) = (line, items, context, tags, before);

    /// <param name="before">The last entry of the line so far: "1 cup" alone is how much of it.</param>
    public static Clause Read(string line, List<Item> items, NoteContext context, IReadOnlyList<string> tags, Found? before) =>
        new ClauseReader(line, items, context, tags, before).Read();

    Clause Read()
    {
        if (IsThought())
            return Thinking();
        var told = items.FindIndex(item => item.Word?.Act is { Text: not (ActText.None or ActText.How or ActText.Whole) });
        var none = items.FindIndex(item => item.Is(Lexicon.None) && item.Word!.Event is null);
        if (none >= 0 && (told < 0 || none < told) && !Negative(none))
            return Thinking();
        while (at < items.Count)
            Take(items[at]);
        Close();
        Flush();
        return clause;
    }

    bool IsThought()
    {
        var until = items.FindIndex(item => item.Word?.Act is { Text: ActText.Rest or ActText.Days or ActText.Tale });
        return items.Take(until < 0 ? items.Count : until).Any(item => item.Is(Lexicon.Thought));
    }

    Clause Thinking()
    {
        clause.Thought = true;
        var fault = items.Find(item => item is { Kind: ItemKind.Date, Date.Fault: not null });
        clause.Unread.Add(
            fault is null
                ? new(items[0].Start, Raw(items[0], items[^1]), $"\"{Raw(items[0], items[^1])}\" reads like a thought or a plan.")
                : new(fault.Start, Raw(fault, fault), fault.Date.Fault!)
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
                Ask(item);
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
                Refuse(item, $"\"{Raw(item, item)}\" {NoWord}");
                break;
        }
    }

    // ---- words

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
        else if (word.Act is { } act && open?.Act is not null && !Past(word.Text) && !Joined(at - 1))
            Refuse(item, $"\"{Raw(item, item)}\" says nothing here.");
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
            Refuse(item, $"\"{Raw(item, item)}\" says nothing here.");
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
                return word.SignOf(thing) is not null && !(open?.Thing is not null && open.Signs.Count == 0 && word.SignOf(open.Thing) is not null);
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
        var fits = amount is { } a && Fits(thing, a.Amount!.Value);
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
        Name = item;
    }

    Item? Name { get; set; }

    static bool Fits(Thing thing, Quantity quantity) =>
        thing.Measure(quantity.Dimension) is not null
        || quantity.Unit is null;

    /// <summary>An entry that says how many: of lost buds a number, of dropped leaves in words.</summary>
    static bool Countable(EntryKind kind) => kind == EntryKinds.LeafDropped || kind.Measure?.Dimension is Dimension.Count;

    void Begin(Item item, Act act)
    {
        if (act.Text is ActText.Whole)
        {
            WholeText(item, act.Kind, act.State);
            return;
        }
        Close();
        var given = amount is { } a && Takes(act.Kind, a.Amount!.Value) ? amount : null;
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
            FreeText();
        else if (act.Text is ActText.To)
            Direction(item);
    }

    static bool Takes(EntryKind kind, Quantity quantity) =>
        kind.Measure is { } measure
        && (measure.Dimension == quantity.Dimension || quantity.Unit is null || Ounces(kind, quantity))
        && !(kind == EntryKinds.Fed && Spoons.Contains(quantity.Unit));

    /// <summary>Of water, ounces are fluid ounces.</summary>
    static bool Ounces(EntryKind kind, Quantity quantity) => kind.Measure?.Dimension is Dimension.Volume && quantity.Unit == Unit.Oz;

    // ---- numbers

    void TakeAmount(Item item)
    {
        if (IsDepth(item))
            at++;
        else if (open is { Act: { } act, Amount: null } && Takes(act.Kind, item.Amount!.Value) && !CountsAhead(item))
            (open.Amount, open.End) = (item, item.End);
        else if (open is { Act: { Text: ActText.How } } && (Spoons.Contains(item.Amount!.Value.Unit) || HowAhead()))
            TakeHow(item);
        else if (open is { Thing: { } thing, Amount: null } && Fits(thing, item.Amount!.Value) && !CountsAhead(item))
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
    bool HowAhead() => at < items.Count && items[at].Is(Lexicon.How);

    /// <summary>A bare number before a thing that is counted belongs to that: "spike 9 cm 12 buds".</summary>
    bool CountsAhead(Item item)
    {
        if (item.Measured || at >= items.Count)
            return false;
        var next = items.Skip(at).FirstOrDefault(i => !i.Filler && !i.Is(Lexicon.New));
        return next?.Word?.Thing is { } thing && Fits(thing, item.Amount!.Value) && next.Word.SignOf(open?.Thing ?? thing) is null
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

    // ---- text

    void TakeHow(Item item)
    {
        if (open?.Act is not { Text: ActText.How })
        {
            Refuse(item, $"\"{Raw(item, item)}\" belongs to nothing before it.");
            return;
        }
        // What joins two pieces joins their text: "with rain from below", "1/4 strength".
        if (open.Text.Count > 0 && items.Where(i => i.Start >= open.Text[^1].End && i.End <= item.Start).All(i => i.Filler))
            open.Text[^1] = (open.Text[^1].Start, item.End);
        else
            open.Text.Add((item.Start, item.End));
        open.End = item.End;
    }

    void FreeText()
    {
        while (at < items.Count)
        {
            while (at < items.Count && items[at].Text == ":")
                at++;
            var to = TextEnd(at);
            if (to > at)
            {
                open!.Text.Add((items[at].Start, items[to - 1].End));
                open.End = items[to - 1].End;
                at = to;
            }
            // A day in the middle parts the text in two: "repotted yesterday into fresh bark".
            if (at >= items.Count || items[at].Kind is not ItemKind.Date || at + 1 >= items.Count || StopsText(at + 1))
                return;
            TakeDay(items[at++]);
        }
    }

    /// <summary>"moved to the sill", "moved outside"; "moved on well" is no move.</summary>
    void Direction(Item item)
    {
        var next = items.Skip(at).FirstOrDefault(i => i.Kind is not (ItemKind.Date or ItemKind.Sure or ItemKind.Quoted));
        if (next is null || Ends(next))
            return;
        if (next.Is(Lexicon.Direction) && at < items.Count && items[at] == next)
            FreeText();
        else
            Refuse(item, $"\"{Raw(item, item)}\" needs a place or a direction, such as {item.Text} to the sill.");
    }

    static bool Ends(Item item) => item.Word?.Act is not null || (item.Filler && item.Text is "and" or "&" or "+" or "then");

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
            FreeText();
        open!.End = items[at - 1].End;
    }

    void RestOfLine()
    {
        var from = open!.End;
        var text = line[from..].TrimStart(' ', ':', ',').TrimEnd();
        if (items.Skip(at).FirstOrDefault() is { Kind: ItemKind.Quoted or ItemKind.Date or ItemKind.Organ })
            return;
        if (text.Length > 0)
            open.Text.Add((line.Length - line[from..].TrimStart(' ', ':', ',').Length, line.TrimEnd().Length));
        at = items.Count;
    }

    /// <summary>A pest or rot is written down in the words of its clause: "scale on 2 back bulbs", "2 mealies under a leaf".</summary>
    void WholeText(Item item, EntryKind kind, string? state)
    {
        var first = new[] { amount, signs.FirstOrDefault(), isNew, open?.Thing is not null && open.Amount is null ? open.First : null, item }
            .OfType<Item>()
            .MinBy(i => i.Start)!;
        if (open is { Thing: not null, Amount: null })
            open = null;
        Close();
        (amount, isNew) = (null, null);
        signs.Clear();
        while (at < items.Count && items[at].Text == ":")
            at++;
        var to = TextEnd(at);
        var last = to > at ? items[to - 1] : item;
        at = to;
        string? text = line[first.Start..last.End];
        if (kind == EntryKinds.Rot && first == last)
            text = null;
        var quoted = at < items.Count && items[at].Kind is ItemKind.Quoted ? items[at++] : null;
        if (kind == EntryKinds.Pest && last.Word is { } word && word.Signs.Any(s => s.Meaning.Kind == EntryKinds.RootsLost) && last.Text == "gone")
            text = $"none: {text}";
        Keep(new(first.Start, quoted?.End ?? last.End, kind, null, quoted?.Text ?? text ?? state, organ, mix));
        (organ, mix) = (null, null);
    }

    /// <summary>Where free text ends: at a day, at an act, at a thing of which something is measured or seen.</summary>
    int TextEnd(int from)
    {
        var to = from;
        while (to < items.Count && !StopsText(to))
            to++;
        while (to > from && Trailing(items[to - 1], to == items.Count))
            to--;
        return to;
    }

    bool StopsText(int index)
    {
        var item = items[index];
        if (item.Kind is ItemKind.Date or ItemKind.Sure or ItemKind.Quoted or ItemKind.Organ || item.Text == ":")
            return true;
        if (item.Word is not { } word)
            return false;
        var joined = Joined(index);
        if (word.Act is { } act && (joined || Past(word.Text)) && !(open?.Act?.Kind == act.Kind))
            return joined || !Joins(index);
        if (word.Thing is not { } thing || Joins(index))
            return false;
        var next = items.Skip(index + 1).FirstOrDefault(i => !i.Filler);
        return next is { Kind: ItemKind.Amount, Measured: true } || (joined && next?.Word is { } sign && sign.SignOf(thing) is not null);
    }

    bool Joined(int index) =>
        index > 0 && items[index - 1].Filler && items[index - 1].Text is "and" or "&" or "+" or "then" or "so" or "but" or "also";

    /// <summary>Behind a preposition a word belongs to what stands before it: "on 2 back bulbs", "with water".</summary>
    bool Joins(int index) =>
        index > 0
        && items[index - 1].Text is "on" or "in" or "with" or "w" or "w/" or "of" or "under" or "from" or "to" or "into" or "at" or "for" or "the";

    static bool Past(string text) => text.EndsWith("ed", StringComparison.Ordinal) || text.Contains("ed ", StringComparison.Ordinal);

    /// <summary>What joins clauses is no text of either; a preposition left by a plant's name neither.</summary>
    static bool Trailing(Item item, bool atEnd) =>
        item.Filler && (item.Text is "and" or "&" or "+" or "then" or "so" or "but" or "also" or ":" || (atEnd && item.Text is "on" or "of" or "for"));

    // ---- other pieces

    void TakeDay(Item item)
    {
        if (item.Date.Day is { } day)
            clause.Days.Add((clause.Found.Count + (open is null ? 0 : 1), day));
        else
            Refuse(item, item.Date.Fault!);
    }

    void TakeOrgan(Item item)
    {
        if (item.Text.Length == 0)
        {
            var name = Raw(item, item).TrimStart('#');
            Refuse(item, tags.Count == 1 ? $"\"{name}\" is no part of {tags[0]}." : "A part can be named for one plant at a time.");
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
        if (open is { Act: null, Mix: not null } || (clause.Found.Count > 0 && clause.Found[^1] is { Mix: not null } last && !Given.Contains(last.Kind)))
            Refuse(item, NotGiven(item.Text));
    }

    static string NotGiven(string code) => $"{code} is a batch: it is given, such as fed #{code}.";

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
            Refuse(item, $"\"{item.Text}\" belongs to nothing before it.");
    }

    void Event(Item item, Meaning said)
    {
        Close();
        var number = amount is { Measured: false } && said.Kind.Measure is not null ? amount : null;
        if (number is not null)
            amount = null;
        Flush();
        Keep(new(item.Start, item.End, said.Kind, said.Amount ?? number?.Amount, said.State, organ, null) { Number = number });
        organ = null;
    }

    void Ask(Item item, Asked asked)
    {
        Close();
        Flush();
        clause.Doubts.Add(
            new(Raw(item, item), asked.Question, item.Start, item.End, [.. asked.Answers.Select(answer => (answer.Key, answer.Value))])
        );
    }

    void Ask(Item item)
    {
        var written = Raw(item, item);
        var day = NoteDates.Read([.. Tokens.Of(written, 0)], context.Today, context.UsUnits)?.Day;
        var answers = new List<(string, string)>();
        if (day is { } on)
            answers.Add((Dates.Long(on), on.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)));
        if (open?.Act is { } act && act.Kind == EntryKinds.Fed)
            answers.Add(($"{written} strength", $"{written} strength"));
        else if (open?.Act?.Kind.Measure?.Dimension is Dimension.Volume)
            answers.AddRange([($"{written} cup", $"{written} cup"), ($"{written} L", $"{written} L")]);
        clause.Doubts.Add(new(written, $"Is {written} a day or a share?", item.Start, item.End, answers));
    }

    void AskScale(Item item)
    {
        if (open?.Thing is null && open is not null)
            Close();
        if (open?.Thing is { } thing && thing.Measure(Dimension.DissolvedSolids) is null)
            Close();
        var named = open?.Thing is not null ? "" : "run-off ";
        open = null;
        clause.Doubts.Add(
            new(
                $"{item.Amount} mS/cm",
                "Which scale does the meter show?",
                item.Start,
                item.End,
                [
                    .. Mixing.MeterScale.All.Select(scale =>
                        ($"{item.Amount!.Value.Value * scale.PpmPerMilliSiemens:0} ppm, scale {scale.Name}",
                        $"{named}{(item.Amount!.Value.Value * scale.PpmPerMilliSiemens).ToString("0", CultureInfo.InvariantCulture)} ppm")
                    ),
                ]
            )
        );
    }

    // ---- "no roots yet"

    /// <summary>"no roots yet", "no sign of thrips", "no water in the tray"; false where more is said than that.</summary>
    bool Negative(int none)
    {
        var rest = items.Skip(none + 1).Where(item => item.Kind is not ItemKind.Date).ToList();
        var what = rest.Find(item => item.Word is { } w && (w.Thing is not null || w.Is(Lexicon.Pest) || w.Act?.Kind == EntryKinds.Pest));
        var around = items.Take(none).Concat(rest.Where(item => item != what));
        if (what is null || around.Any(i => i.Kind is not ItemKind.Date && !i.Filler && !i.Is(Lexicon.Yet) && !i.Is(Lexicon.Left) && !i.Is(Lexicon.New)))
            return false;
        foreach (var day in items.Where(item => item.Kind is ItemKind.Date))
            TakeDay(day);
        at = items.Count;
        var (first, last) = (items.First(i => i.Kind is not ItemKind.Date), items.Last(i => i.Kind is not ItemKind.Date));
        if (what.Word!.Thing is not { } thing)
            Keep(new(first.Start, last.End, EntryKinds.Pest, null, what.Word.Is(Lexicon.Pest) ? $"none: {what.Text}" : "none", null, null));
        else if ((rest.Exists(i => i.Is(Lexicon.Left)) ? thing.Left ?? thing.None : thing.None) is { } meaning)
            Keep(new(first.Start, last.End, meaning.Kind, Local(meaning.Amount), meaning.State, null, null));
        else
            Keep(new(first.Start, last.End, EntryKinds.Note, null, Raw(items[none], last), null, null));
        return true;
    }

    Quantity? Local(Quantity? amount) =>
        amount is { Unit: { } unit } a ? a.In(Unit.Default(unit.Dimension, context.UsUnits)!) : amount;

    // ---- closing

    bool Closed(bool ifFull)
    {
        if (ifFull && open is { Thing: not null } && open.Amount is null && open.Signs.Count == 0)
            return false;
        Close();
        return true;
    }

    void Close()
    {
        if (open is not { } done)
            return;
        open = null;
        if (done.Thing is not null)
            CloseThing(done, done.Thing);
        else
            CloseAct(done, done.Act!);
    }

    void CloseAct(Open done, Act act)
    {
        var text = done.Quoted ?? string.Join(", ", done.Text.Select(span => Tidy(line[span.Start..span.End])));
        if (text.Length == 0)
            text = act.State;
        else if (act.State is not null && done.Quoted is null)
            text = $"{act.State}, {text}";
        var state = act.Kind.States.Length > 0 ? signs.Select(s => s.Text).FirstOrDefault(act.Kind.States.Contains) : null;
        if (state is not null)
            signs.RemoveAll(s => s.Text == state);
        Keep(
            new(done.First.Start, done.End, act.Kind, InUnits(act.Kind, done.Amount?.Amount), state ?? text, done.Organ, done.Mix)
            {
                Sure = done.Sure,
                Number = done.Amount,
            }
        );
    }

    /// <summary>"11cm" as "11 cm", and without the "with" or colon before it.</summary>
    static string Tidy(string text) => BesideUnit().Replace(text.Trim().TrimStart(':').Trim(), " ");

    [GeneratedRegex(@"(?<=\d)(?=(cm|mm|in|ml|l|g)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex BesideUnit();

    [GeneratedRegex(@"\s{2,}")]
    private static partial Regex Blanks();

    void CloseThing(Open done, Thing thing)
    {
        var left = done.Amount;
        foreach (var sign in done.Signs.Distinct())
        {
            var number = left is { Measured: false } && (done.Counted || Countable(sign.Kind) || CountedAs(thing, sign, left) != sign.Kind) && !StaysCount(thing, sign) ? left : null;
            if (number is not null)
                left = null;
            var kind = CountedAs(thing, sign, number);
            if (kind.Measure is { Required: true } && number is null && sign.Amount is null)
                HowMany(done, kind);
            else
                Keep(Make(done, kind, sign.Amount ?? (kind.Measure is null ? null : number?.Amount), SignText(done, sign, kind, number), number));
        }
        if (left is not null)
            Measured(done, thing, left);
        else if (done.Signs.Count == 0)
            Named(done, thing);
    }

    /// <summary>"3 roots showing" counts them too; "2 yellow leaves" says nothing of how many it has.</summary>
    static bool StaysCount(Thing thing, Meaning sign) =>
        sign.Kind == EntryKinds.RootsStarted && thing.Measure(Dimension.Count) is not null;

    /// <summary>"9 flowers open" counts the flowers; "a flower open" is the first.</summary>
    static EntryKind CountedAs(Thing thing, Meaning sign, Item? number) =>
        number is not null && sign.Kind == EntryKinds.BloomOpened && thing.Measure(Dimension.Count) is { } count ? count : sign.Kind;

    void HowMany(Open done, EntryKind kind)
    {
        var last = tags is [var tag] ? context.Books(tag)?.Journal.Last(EntryKinds.Buds)?.Amount?.Value : null;
        var counts = new[] { 1, 2, 3, last ?? 1 }.Distinct().Order();
        clause.Doubts.Add(
            new(kind.Words, "How many?", done.First.Start, done.First.Start, [.. counts.Select(n => ($"{n}", $"{n} "))])
        );
    }

    string? SignText(Open done, Meaning sign, EntryKind kind, Item? number) =>
        sign.State
        ?? done.Quoted
        ?? (sign.Kind == EntryKinds.Rot ? line[done.First.Start..done.End] : null)
        ?? (number is not null && kind.Measure is null ? $"{number.Amount}" : null);

    Found Make(Open done, EntryKind kind, Quantity? quantity, string? text, Item? number) =>
        new(done.First.Start, done.End, kind, quantity, text, done.Organ, done.Mix) { Sure = done.Sure, Number = number };

    void Measured(Open done, Thing thing, Item number)
    {
        var quantity = number.Amount!.Value;
        var kind = quantity.Unit is null ? OfBare(done, thing, quantity) : thing.Measure(quantity.Dimension);
        if (kind == EntryKinds.GrowthHeight && done.Wide)
            kind = Rosette() ? EntryKinds.LeafSpan : null;
        if (done.New && quantity.Unit is null && kind != EntryKinds.RootCount && thing.New is { } fresh && kind?.Measure?.Dimension is Dimension.Count)
            Keep(Make(done, fresh.Kind, null, fresh.Kind.States.Length > 0 ? null : $"{quantity}", null));
        else if (kind is null && quantity.Unit is null && thing.Measures.Length > 1)
            AskWhich(done, thing, number);
        else if (kind is null)
            Refuse(number, $"\"{Raw(number, number)}\" belongs to nothing before it.");
        else
            Keep(Make(done, kind, InUnits(kind, quantity), done.Quoted, number));
    }

    /// <summary>What a bare number says: how many before the word; behind it what the word allows, or what goes on from the last one.</summary>
    EntryKind? OfBare(Open done, Thing thing, Quantity quantity)
    {
        var (length, count) = (thing.Measure(Dimension.Length), thing.Measure(Dimension.Count));
        if (done.Counted)
            return count;
        if (thing.Measures.Length == 1)
            return thing.Measures[0];
        if (done.Long || quantity.Value != Math.Floor(quantity.Value))
            return length;
        if (thing.Counts.Contains(Name!.Text))
            return count;
        return length is not null && GoesOn(length, quantity) ? length : null;
    }

    /// <summary>A plant that was measured before and has grown a little since: "roots 9" after 8.5 cm.</summary>
    bool GoesOn(EntryKind length, Quantity quantity)
    {
        const double most = 6;
        if (tags is not [var tag] || context.Books(tag) is not { } book)
            return false;
        var last = book.Journal.Last(length)?.Amount?.InBase;
        var now = quantity with { Unit = Unit.Default(Dimension.Length, context.UsUnits) };
        return last is > 0 && now.InBase >= last && now.InBase <= last + most;
    }

    void AskWhich(Open done, Thing thing, Item number)
    {
        var unit = Unit.Default(Dimension.Length, context.UsUnits);
        var written = Raw(number, number);
        clause.Doubts.Add(
            new(
                $"{Raw(done.First, done.First)} {written}".Trim(),
                "A length, or how many?",
                done.First.Start,
                done.End,
                [($"{written} {unit}", $"{thing.Name} {written} {unit}"), ($"{written} {thing.Name}", $"{written} {thing.Name}")]
            )
        );
    }

    /// <summary>Nothing but its name: "new roots" have started; "spike" alone shows one, but not in the middle of something else.</summary>
    void Named(Open done, Thing thing)
    {
        var alone = items.TrueForAll(i =>
            i == Name || i.Filler || i.Is(Lexicon.New) || i.Kind is ItemKind.Date or ItemKind.Organ or ItemKind.Sure or ItemKind.Quoted
        );
        if (alone && (done.New ? thing.New ?? thing.Bare : thing.Bare) is { } meaning)
            Keep(Make(done, meaning.Kind, meaning.Amount, meaning.State ?? done.Quoted, null));
        else if (amount is { Measured: true } other && thing.Measures is [var kind, ..])
        {
            Refuse(other, EntryCheck.AmountFault(kind, other.Amount)!);
            amount = null;
        }
        else
            Refuse(Name!, Needs(thing));
    }

    static string Needs(Thing thing)
    {
        var kind = thing.Measures.FirstOrDefault() ?? thing.Signs.Keys.FirstOrDefault()?.Kind;
        return (kind is null ? null : EntryCheck.Fault(kind, DateOnly.MaxValue, null, null, DateOnly.MaxValue))
            ?? $"What of the {thing.Name}?";
    }

    /// <summary>What stands alone: "dry" is the medium, "wrinkled" the bulbs, "640 g" the weight.</summary>
    void Flush()
    {
        foreach (var sign in signs)
            Alone(sign);
        signs.Clear();
        if (amount is { } number)
        {
            amount = null;
            Alone(number, dimension?.Word!.Dimension);
        }
        foreach (var left in new[] { isNew, dimension, how }.OfType<Item>().Where(item => item.Word is not { Filler: true } && amount is null))
            if (left != dimension || !UsedDimension)
                Refuse(left, $"\"{Raw(left, left)}\" belongs to nothing here.");
        (isNew, dimension, how) = (null, null, null);
        UsedDimension = false;
    }

    bool UsedDimension { get; set; }

    void Alone(Item sign)
    {
        var word = sign.Word!;
        var alone = word.Signs.Where(s => s.Thing.Alone && s.Meaning.Kind != EntryKinds.Rot).Select(s => s.Meaning).Distinct().ToList();
        if (alone.Count == 0 && OnlyItem(sign))
            alone = [.. word.Signs.Select(s => s.Meaning).Distinct()];
        if (alone is [var meaning])
            Keep(new(sign.Start, sign.End, meaning.Kind, meaning.Amount, meaning.State, organ, null));
        else if (word.Act?.Kind == EntryKinds.Lost || word.Text == "lost")
            Keep(new(sign.Start, sign.End, EntryKinds.Lost, null, null, organ, null));
        else if (word.Event is { } said)
            Keep(new(sign.Start, sign.End, said.Kind, said.Amount, said.State, organ, null));
        else if (!OnlyItem(sign))
            Refuse(sign, $"\"{Raw(sign, sign)}\" belongs to nothing here.");
        else
            clause.Doubts.Add(
                new(
                    Raw(sign, sign),
                    $"What is {Raw(sign, sign)}?",
                    sign.Start,
                    sign.End,
                    [.. word.Signs.Take(5).Select(s => ($"the {s.Thing.Name}", $"{s.Thing.Say[0]} {word.Text}"))]
                )
            );
        organ = null;
    }

    /// <summary>Nothing else that says anything stands in the clause.</summary>
    bool OnlyItem(Item? one) =>
        items.TrueForAll(i => i == one || i.Filler || i.Kind is ItemKind.Date or ItemKind.Organ or ItemKind.Sure or ItemKind.Quoted);

    void Alone(Item number, string? size)
    {
        var quantity = number.Amount!.Value;
        UsedDimension = size is not null;
        var last = clause.Found.Count > 0 ? clause.Found[^1] : before;
        var mine = clause.Found.Count > 0;
        if (quantity.Unit is null)
            Refuse(number, $"\"{Raw(number, number)}\" belongs to nothing before it.");
        else if (quantity.Dimension is Dimension.Volume && last is { Amount: null } && Takes(last.Kind, quantity))
            Amend(last, mine, number);
        else if (quantity.Dimension is Dimension.Mass && !(quantity.Unit == Unit.Oz && quantity.InBase < 500))
            Keep(new(number.Start, number.End, EntryKinds.Weight, quantity, null, null, null) { Number = number });
        else if (quantity.Dimension is Dimension.Length && last?.Kind == EntryKinds.ToppedUp)
            Keep(new(number.Start, number.End, EntryKinds.Reservoir, quantity, null, null, null) { Number = number });
        else if (size == "tall")
            Keep(new(number.Start, number.End, EntryKinds.GrowthHeight, quantity, null, organ, null) { Number = number });
        else if (size == "wide" && Rosette())
            Keep(new(number.Start, number.End, EntryKinds.LeafSpan, quantity, null, organ, null) { Number = number });
        else if (Choices(quantity) is { Length: > 0 } choices)
            clause.Doubts.Add(new(Raw(number, number), $"What is {Raw(number, number)}?", number.Start, number.End, choices));
        else
            Refuse(number, $"\"{Raw(number, number)}\" belongs to nothing before it.");
    }

    bool Rosette() => tags.Count == 1 && context.Sheets(tags[0])?.Organs.Shoot == Organ.Leaf;

    (string, string)[] Choices(Quantity quantity)
    {
        var written = $"{quantity.Value.ToString("0.###", CultureInfo.InvariantCulture)} {quantity.Unit}";
        return quantity.Dimension switch
        {
            Dimension.Volume => [("Watered", $"watered {written}"), ("Topped up", $"topped up {written}"), ("Fed", $"fed {written}")],
            Dimension.Mass => [("It weighs that", $"weight {written}"), ("Watered, fluid ounces", $"watered {written}")],
            Dimension.Length =>
            [
                ("Roots", $"roots {written}"),
                ("Growth", $"growth {written}"),
                ("Spike", $"spike {written}"),
                ("Leaf", $"leaf span {written}"),
            ],
            Dimension.DissolvedSolids => [("Run-off", $"run-off {written}")],
            _ => [],
        };
    }

    /// <summary>"fed 1/8 tsp per gal, 1 cup": how much of what was said before.</summary>
    void Amend(Found last, bool mine, Item number)
    {
        var amended = last with { Amount = InUnits(last.Kind, number.Amount), Number = number };
        if (mine)
            clause.Found[^1] = amended;
        else
            clause.Amends = amended;
    }

    Quantity? InUnits(EntryKind kind, Quantity? quantity)
    {
        if (quantity is not { } q || kind.Measure is not { } measure)
            return quantity;
        if (Ounces(kind, q))
            return q with { Unit = Unit.FlOz };
        return q.Unit is null && Unit.Default(measure.Dimension, context.UsUnits) is { } unit ? q with { Unit = unit } : q;
    }

    void Keep(Found entry)
    {
        entry = entry with { Text = entry.Text is { } text ? Blanks().Replace(text, " ").Trim() : null };
        if (entry.Kind == EntryKinds.Note && entry.Text is null)
            Refuse(entry, "A note needs some words behind it.");
        else if (EntryCheck.Fault(entry.Kind, context.Today, entry.Amount, entry.Text, context.Today) is { } fault)
            Refuse(entry, fault);
        else if (entry.Mix is { } code && !Given.Contains(entry.Kind))
            Refuse(entry, NotGiven(code));
        else
            clause.Found.Add(entry);
    }

    void Refuse(Found entry, string why) => clause.Unread.Add(new(entry.Start, line[entry.Start..entry.End], why));

    void Refuse(Item item, string why)
    {
        // Words beside each other that say nothing are one piece.
        if (item.Kind is ItemKind.Unknown && clause.Unread is [.., { } last] && last.Why.EndsWith(NoWord, StringComparison.Ordinal))
            if (last.Start + last.Fragment.Length is var end && end < item.Start && string.IsNullOrWhiteSpace(line[end..item.Start]))
            {
                var piece = line[last.Start..item.End];
                clause.Unread[^1] = last with { Fragment = piece, Why = $"\"{piece}\" {NoWord}" };
                return;
            }
        clause.Unread.Add(new(item.Start, Raw(item, item), why, Nearest(item)));
    }

    const string NoWord = "is not a word of the log.";

    static string? Nearest(Item item) =>
        item.Kind is ItemKind.Unknown ? Slips.Near(item.Text).FirstOrDefault() : null;

    string Raw(Item first, Item last) => line[first.Start..last.End];
}

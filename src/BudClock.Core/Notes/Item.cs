namespace BudClock.Core.Notes;

enum ItemKind
{
    /// <summary>A phrase of the lexicon.</summary>
    Word,

    /// <summary>A number, with its unit where it has one.</summary>
    Amount,

    /// <summary>A day, or what is wrong with one.</summary>
    Date,

    /// <summary>"1/2": a day or a share, nobody can tell.</summary>
    DateOrShare,

    /// <summary>An organ behind a #, or by its label.</summary>
    Organ,

    /// <summary>What was given: a batch, a recipe, a feed or a water of the shelf.</summary>
    Mix,

    /// <summary>"1/8 tsp per gal", "2 ml/l".</summary>
    Strength,

    /// <summary>"0.7 mS": ppm only when the meter's scale is known.</summary>
    Conductivity,

    Quoted,

    /// <summary>"!": the grower means it.</summary>
    Sure,

    /// <summary>Nothing that the line knows.</summary>
    Unknown,
}

/// <summary>A piece of a clause with its place in the line.</summary>
sealed record Item(ItemKind Kind, int Start, int End)
{
    /// <summary>The word of the lexicon; null for amounts, dates and unknown words.</summary>
    public Word? Word { get; init; }

    /// <summary>The number with its unit, where it is one.</summary>
    public Quantity? Amount { get; init; }

    /// <summary>The day, where it is one.</summary>
    public DateRead Date { get; init; }

    /// <summary>The text of an unknown word, the id of an organ, the code of a mix, quoted words.</summary>
    public string Text { get; init; } = "";

    /// <summary>Whether it is a word with that role.</summary>
    public bool Is(string role) => Word?.Is(role) == true;

    /// <summary>It adds nothing, unless a neighbour makes something of it.</summary>
    public bool Filler => Kind is ItemKind.Word && Word is { Filler: true, Thing: null, Act: null, Event: null, Signs.Count: 0 };

    /// <summary>Whether it is a number that names its unit.</summary>
    public bool Measured => Kind is ItemKind.Amount && Amount!.Value.Unit is not null;
}

/// <summary>Makes items of the tokens of one clause.</summary>
sealed class ItemReader(IReadOnlyList<Token> tokens, NoteContext context, IReadOnlyList<string> tags)
{
    static readonly (Unit Large, Unit Small)[] Compounds =
    [
        (Unit.Lb, Unit.Oz),
        (Unit.Ft, Unit.In),
        (Unit.M, Unit.Cm),
        (Unit.L, Unit.Ml),
        (Unit.Kg, Unit.G),
    ];

    readonly Token[] tokens = [.. tokens];
    readonly OrganBook? book = tags is [var only] ? context.Books(only) : null;
    int at;

    /// <summary>The whole clause as items, in order.</summary>
    public List<Item> Read()
    {
        var items = new List<Item>();
        while (at < tokens.Length)
            items.Add(Next(items.Count > 0 ? items[^1] : null));
        return items;
    }

    ReadOnlySpan<Token> Ahead => tokens.AsSpan(at);

    Item Next(Item? before)
    {
        var token = tokens[at];
        if (token.Kind is TokenKind.Quoted)
            return Make(ItemKind.Quoted, 1, token.Text);
        if (token.Is("!"))
            return Make(ItemKind.Sure, 1);
        if (token.Kind is TokenKind.Reference)
            return Reference(token.Text);
        if (token.Kind is TokenKind.Word && char.IsAsciiDigit(token.Text[0]))
            return Make(ItemKind.Strength, 1); // 20-20-20
        if (token is { Kind: TokenKind.SlashDate, Text: [.., '.'] })
            return AtItsEnd(token, before);
        if (Label(before) is { } label)
            return label;
        return Mix() ?? (token.Kind is TokenKind.Number ? Number() : Day()) ?? Phrase() ?? Make(ItemKind.Unknown, 1, token.Text);
    }

    Item Make(ItemKind kind, int taken, string text = "")
    {
        var made = new Item(kind, tokens[at].Start, tokens[at + taken - 1].End) { Text = text };
        at += taken;
        return made;
    }

    /// <summary>"20.5." is a day, but behind a thing that is measured the end of a sentence.</summary>
    Item AtItsEnd(Token token, Item? before)
    {
        var number = double.Parse(token.Text[..^1], System.Globalization.CultureInfo.InvariantCulture);
        if (before?.Word is { Thing.Measures.Length: > 0 })
            return Make(ItemKind.Amount, 1) with { Amount = new(number) };
        // At the head of what is said, with something behind it, it can only be the day.
        return (before is null && at + 1 < tokens.Length ? Day() : null) ?? Make(ItemKind.DateOrShare, 1);
    }

    Item Reference(string name)
    {
        if (context.Batches.FirstOrDefault(code => Same(code, name)) is { } code)
            return Make(ItemKind.Mix, 1, code);
        return Make(ItemKind.Organ, 1, book?.Find(name) ?? "");
    }

    /// <summary>"tuber A", "large tuber", "spike 2031 b": an organ by its label, beside its name.</summary>
    Item? Label(Item? before)
    {
        if (book is null)
            return null;
        foreach (var organ in book.Plant.Organs.Where(o => o.Label is not null).OrderByDescending(o => o.Label!.Length))
        {
            var words = organ.Label!.ToLowerInvariant().Split(' ');
            if (!Spells(words))
                continue;
            var number = words[0].All(char.IsAsciiDigit);
            var beside = before?.Word?.Thing is { } thing ? thing : Named(words.Length);
            if (beside is null || (number && before?.Word?.Thing is null) || !Belongs(beside, organ))
                continue;
            return Make(ItemKind.Organ, words.Length, organ.Id);
        }
        return null;
    }

    Thing? Named(int ahead) => Lexicon.Shipped.Longest(tokens.AsSpan(Math.Min(at + ahead, tokens.Length)))?.Thing;

    static bool Belongs(Thing thing, Organ organ) =>
        thing.Signs.Keys.Select(meaning => meaning.Kind).Concat(thing.Measures).Any(kind => OrganParts.Of(kind)?.Has(organ) == true);

    bool Spells(string[] words)
    {
        if (at + words.Length > tokens.Length)
            return false;
        for (var i = 0; i < words.Length; i++)
            if (tokens[at + i].Kind is not (TokenKind.Word or TokenKind.Number) || !Same(tokens[at + i].Text, words[i]))
                return false;
        return true;
    }

    /// <summary>A batch without its #, a recipe by its name.</summary>
    Item? Mix()
    {
        foreach (var code in context.Batches)
            if (Reads(code) is > 0 and var taken)
                return Make(ItemKind.Mix, taken, code);
        foreach (var name in context.Mixes)
            if (Reads(name) is > 1 and var taken)
                return Make(ItemKind.Mix, taken);
        return null;
    }

    /// <summary>How many tokens spell a name out; 0 where they do not.</summary>
    int Reads(string name)
    {
        var (rest, taken) = (name.Replace(" ", "", StringComparison.Ordinal), 0);
        while (rest.Length > 0 && at + taken < tokens.Length)
        {
            var text = tokens[at + taken].Kind is TokenKind.Break ? "\n" : tokens[at + taken].Text;
            if (!rest.StartsWith(text, StringComparison.OrdinalIgnoreCase))
                return 0;
            rest = rest[text.Length..];
            taken++;
        }
        return rest.Length == 0 ? taken : 0;
    }

    /// <summary>
    /// "programme in bloom for 2031-12-24", "programme cool nights from 2031-11-01": the day is the programme's, not the entry's.
    /// </summary>
    bool OfProgramme() =>
        at > 0
        && tokens[at].Kind is TokenKind.Date
        && (tokens[at - 1].Is("for") || tokens[at - 1].Is("from"))
        && tokens.AsSpan(0, at).ToArray().Any(token => token.Is("programme"));

    Item? Day()
    {
        if (OfProgramme())
            return Make(ItemKind.Word, 1);
        if (NoteDates.Read(Ahead, context.Today, context.UsUnits) is not { } date)
            return null;
        var words = string.Join(' ', tokens.Skip(at).Take(date.Taken).Select(token => token.Text));
        return Make(ItemKind.Date, date.Taken, words) with { Date = date };
    }

    Item? Number()
    {
        if (Strength() is { } strength)
            return strength;
        if (IsOrdinal())
            return Day() ?? Make(ItemKind.Unknown, 2, $"{tokens[at].Text}{tokens[at + 1].Text}");
        var (unit, words) = UnitAt(at + 1);
        if (unit is null && NoteDates.Doubtful(Ahead) && !ShareAhead())
            return Make(ItemKind.DateOrShare, 1);
        if (unit is null && !ShareAhead() && Day() is { } day)
            return day;
        if (unit is null && at + 1 < tokens.Length && tokens[at + 1].Text is "ms" or "ms/cm")
            return Make(ItemKind.Conductivity, 2) with { Amount = new(tokens[at - 2].Number) };
        var amount = new Quantity(tokens[at].Number, unit);
        var item = Make(ItemKind.Amount, 1 + words) with { Amount = amount };
        return Compound(item) ?? item;
    }

    /// <summary>"4th": which one it is, and no number of anything.</summary>
    bool IsOrdinal() =>
        at + 1 < tokens.Length
        && tokens[at + 1].Start == tokens[at].End
        && tokens[at + 1] is { Kind: TokenKind.Word, Text: "st" or "nd" or "rd" or "th" };

    /// <summary>"2 lb 3 oz" is 35 oz.</summary>
    Item? Compound(Item large)
    {
        if (at >= tokens.Length || tokens[at].Kind is not TokenKind.Number || large.Amount is not { Unit: { } unit } amount)
            return null;
        var (small, words) = UnitAt(at + 1);
        if (small is null || !Compounds.Contains((unit, small)))
            return null;
        var total = new Quantity(Math.Round(amount.In(small).Value + tokens[at].Number, 6), small);
        return Make(ItemKind.Amount, 1 + words) with { Start = large.Start, Amount = total };
    }

    /// <summary>"1/4 strength", "1/4 of the dose".</summary>
    bool ShareAhead() =>
        at + 1 < tokens.Length && (tokens[at + 1].Is("strength") || tokens[at + 1].Is("dose") || tokens[at + 1].Is("turn"));

    Item? Strength()
    {
        var (_, words) = UnitAt(at + 1);
        var next = at + 1 + words;
        if (words > 0 && next + 1 < tokens.Length && (tokens[next].Is("per") || tokens[next].Is("to") || tokens[next].Is("/")))
        {
            var article = tokens[next + 1].Is("a") || tokens[next + 1].Is("the") ? 1 : 0;
            if (UnitAt(next + 1 + article) is { Unit: not null, Words: var more })
                return Make(ItemKind.Strength, 1 + words + 1 + article + more);
        }
        return
            at + 1 < tokens.Length
            && tokens[at + 1].Text.Split('/') is [var over, var under]
            && Unit.Find(over) is not null
            && Unit.Find(under) is not null
            ? Make(ItemKind.Strength, 2)
            : null;
    }

    (Unit? Unit, int Words) UnitAt(int from)
    {
        for (var words = Math.Min(2, tokens.Length - from); words > 0; words--)
        {
            var name = string.Join(' ', tokens.Skip(from).Take(words).Select(token => token.Text));
            if (Unit.Find(name) is { } unit)
                return (unit, words);
        }
        if (from < tokens.Length && (tokens[from].Is("degrees") || tokens[from].Is("deg") || tokens[from].Is("°")))
            return (Unit.Default(Dimension.Temperature, context.UsUnits), 1);
        return (null, 0);
    }

    Item? Phrase()
    {
        if (Lexicon.Shipped.Longest(Ahead) is not { } word)
            return null;
        return Make(ItemKind.Word, word.Split.Length) with { Word = word, Text = word.Text };
    }

    static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
}

using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace BudClock.Core.Notes;

/// <summary>What a phrase says by itself or beside a thing: a kind of entry, with its state where the kind has states.</summary>
sealed record Meaning(EntryKind Kind, string? State = null, Quantity? Amount = null)
{
    /// <summary>"bulbs wrinkled", "growth-started", "root-length 0 cm".</summary>
    public static Meaning Of(string written)
    {
        var words = written.Split(' ', 2);
        var kind = EntryKinds.Find(words[0]) ?? throw new InvalidDataException($"words.yaml: \"{words[0]}\" is no kind of entry.");
        var rest = words.ElementAtOrDefault(1);
        return kind.Measure is not null && AmountReader.Read(rest, null) is { } amount ? new(kind, Amount: amount) : new(kind, rest);
    }
}

/// <summary>A part of a plant or of its pot, with what can be said of it.</summary>
sealed record Thing(string Name)
{
    /// <summary>How it is said; the first is the one that is shown.</summary>
    public string[] Say { get; init; } = [];

    /// <summary>Shortenings of it.</summary>
    public string[] Short { get; init; } = [];

    /// <summary>What a number beside it measures, one kind for a dimension.</summary>
    public EntryKind[] Measures { get; init; } = [];

    /// <summary>Words that make a bare number a length, or a count.</summary>
    public string[] Lengths { get; init; } = [];
    public string[] Counts { get; init; } = [];

    /// <summary>What "new" or "first" before it means.</summary>
    public Meaning? New { get; init; }

    /// <summary>What it means on its own.</summary>
    public Meaning? Bare { get; init; }

    /// <summary>What "no" before it means.</summary>
    public Meaning? None { get; init; }

    /// <summary>What "left" behind it means.</summary>
    public Meaning? Left { get; init; }

    /// <summary>Its signs are understood without its name.</summary>
    public bool Alone { get; init; }

    /// <summary>What is seen of it, with the words for it.</summary>
    public IReadOnlyDictionary<Meaning, string[]> Signs { get; init; } = new Dictionary<Meaning, string[]>();

    /// <summary>The kind that measures it in that dimension; null where none does.</summary>
    public EntryKind? Measure(Dimension dimension) => Array.Find(Measures, kind => kind.Measure!.Dimension == dimension);
}

/// <summary>How far the words of an act run on.</summary>
enum ActText
{
    None,

    /// <summary>The words under "how", a recipe, a strength.</summary>
    How,

    /// <summary>Whatever follows in its clause.</summary>
    Free,

    /// <summary>Whatever follows, what is doubted and denied too: "inspected, no rot".</summary>
    Tale,

    /// <summary>A direction or a place, then whatever follows.</summary>
    To,

    /// <summary>The whole clause, what stands before it too.</summary>
    Whole,

    /// <summary>The rest of the line.</summary>
    Rest,

    /// <summary>So many days or weeks, then whatever follows.</summary>
    Days,
}

/// <summary>Something that was done.</summary>
/// <param name="State">A text that its words carry, as "leaf feed" is feed on the leaves.</param>
sealed record Act(EntryKind Kind, ActText Text, string? State, string[] Say);

/// <summary>A phrase that can mean several things.</summary>
/// <param name="Answers">What a button says, and what it writes instead.</param>
sealed record Asked(string[] Say, string Question, IReadOnlyDictionary<string, string> Answers);

/// <summary>A phrase of the line with every role it can play.</summary>
sealed class Word(string text)
{
    /// <summary>The word or words, in lower case, parted by one space.</summary>
    public string Text { get; } = text;

    /// <summary>The words one by one.</summary>
    public string[] Split { get; } = text.Split(' ');

    /// <summary>The thing it names.</summary>
    public Thing? Thing { get; set; }

    /// <summary>The signs it can be, each with its thing.</summary>
    public List<(Thing Thing, Meaning Meaning)> Signs { get; } = [];

    /// <summary>The act it names.</summary>
    public Act? Act { get; set; }

    /// <summary>What it says happened, on its own.</summary>
    public Meaning? Event { get; set; }

    /// <summary>The question it leads to.</summary>
    public Asked? Asked { get; set; }

    /// <summary>What a number beside it measures of anything: height, length, width.</summary>
    public string? Dimension { get; set; }

    /// <summary>The reading of a place that it names.</summary>
    public string? Weather { get; set; }

    /// <summary>Its roles in the grammar, the constants of <see cref="Lexicon"/>.</summary>
    public HashSet<string> Roles { get; } = [];

    /// <summary>Whether it has that role.</summary>
    public bool Is(string role) => Roles.Contains(role);

    /// <summary>What it says of that thing; null where it says nothing of it.</summary>
    public Meaning? SignOf(Thing thing)
    {
        foreach (var sign in Signs)
            if (sign.Thing == thing)
                return sign.Meaning;
        return null;
    }

    /// <summary>It stands between others and adds nothing.</summary>
    public bool Filler => Is(Lexicon.Fill);
}

/// <summary>The words of the note line, read from words.yaml.</summary>
sealed class Lexicon
{
    public const string Pest = "pest";
    public const string How = "how";
    public const string Direction = "direction";
    public const string GoesOn = "goes-on";
    public const string New = "new";
    public const string None = "none";
    public const string Yet = "yet";
    public const string Left = "left";
    public const string Thought = "thought";
    public const string Fill = "fill";

    readonly Dictionary<string, Word> words = [];
    readonly ILookup<string, Word> byFirst;

    Lexicon(File file)
    {
        Things = [.. file.Things.Select(Read)];
        Acts = [.. file.Acts.Select(Read), .. OwnNames(file)];
        Asks = [.. file.Asks.Select(ask => new Asked(ask.Say, ask.Question, ask.Answers))];
        Events = file.Events.ToDictionary(pair => Meaning.Of(pair.Key), pair => pair.Value);
        (Pests, Hows, OwnWords) = (file.Pests, file.How, file.OwnWords.ToHashSet());
        foreach (var thing in Things)
            Add(thing);
        foreach (var act in Acts)
            foreach (var say in act.Say)
                At(say).Act ??= act;
        foreach (var (meaning, says) in Events)
            foreach (var say in says)
                At(say).Event = meaning;
        foreach (var ask in Asks)
            foreach (var say in ask.Say)
                At(say).Asked = ask;
        foreach (var (dimension, says) in file.Dimensions)
            foreach (var say in says)
                At(say).Dimension = dimension;
        foreach (var (weather, says) in file.Weather)
            foreach (var say in says)
                At(say).Weather = weather;
        foreach (var (role, says) in Roles(file))
            foreach (var say in says)
                At(say).Roles.Add(role);
        byFirst = words.Values.OrderByDescending(word => word.Split.Length).ToLookup(word => word.Split[0]);
        Single = [.. words.Keys.SelectMany(text => text.Split(' ')).Where(text => text.Length >= 4).Distinct()];
    }

    /// <summary>The words that ship with Bud Clock.</summary>
    public static Lexicon Shipped { get; } = ReadShipped();

    /// <summary>All things, in the order of the file.</summary>
    public IReadOnlyList<Thing> Things { get; }

    /// <summary>All acts, in the order of the file.</summary>
    public IReadOnlyList<Act> Acts { get; }

    /// <summary>Phrases that are asked about.</summary>
    public IReadOnlyList<Asked> Asks { get; }

    /// <summary>What happened, with the phrases for it.</summary>
    public IReadOnlyDictionary<Meaning, string[]> Events { get; }

    /// <summary>Pests by name.</summary>
    public IReadOnlyList<string> Pests { get; }

    /// <summary>Ways in which water and feed are given.</summary>
    public IReadOnlyList<string> Hows { get; }

    /// <summary>Single words of four letters and more, which a slip of the pen can have meant.</summary>
    public IReadOnlyList<string> Single { get; }

    /// <summary>Words of English that are near to a word of the line and mean themselves: "fine" is no slip of "vine".</summary>
    public IReadOnlySet<string> OwnWords { get; }

    /// <summary>Every phrase, in no order.</summary>
    public IEnumerable<string> Phrases => words.Keys;

    /// <summary>It is a phrase of the line.</summary>
    public bool Knows(string text) => words.ContainsKey(text);

    /// <summary>The word begins some phrase, or is one.</summary>
    public bool Begins(string text) => byFirst.Contains(text);

    /// <summary>The longest phrase that the tokens begin with, or null.</summary>
    public Word? Longest(ReadOnlySpan<Token> tokens)
    {
        if (tokens.IsEmpty || tokens[0].Kind is not TokenKind.Word)
            return null;
        foreach (var word in byFirst[tokens[0].Text.TrimEnd('.')])
            if (Matches(word.Split, tokens))
                return word;
        return null;
    }

    static bool Matches(string[] phrase, ReadOnlySpan<Token> tokens)
    {
        if (phrase.Length > tokens.Length)
            return false;
        for (var i = 0; i < phrase.Length; i++)
            if (tokens[i].Kind is not TokenKind.Word || tokens[i].Text.TrimEnd('.') != phrase[i])
                return false;
        return true;
    }

    void Add(Thing thing)
    {
        foreach (var say in thing.Say.Concat(thing.Short))
            At(say).Thing = thing;
        foreach (var (meaning, says) in thing.Signs)
            foreach (var say in says)
                At(say).Signs.Add((thing, meaning));
    }

    Word At(string text)
    {
        if (!words.TryGetValue(text, out var word))
            words.Add(text, word = new(text));
        return word;
    }

    static IEnumerable<(string, string[])> Roles(File file) =>
        [
            (Pest, file.Pests),
            (How, file.How),
            (Direction, file.Directions),
            (GoesOn, file.GoesOn),
            (New, file.New),
            (None, file.None),
            (Yet, file.Yet),
            (Left, file.Left),
            (Thought, file.Thoughts),
            (Fill, file.Fill),
        ];

    /// <summary>Every kind answers to its own name, so that the journal's vocabulary is always complete.</summary>
    IEnumerable<Act> OwnNames(File file)
    {
        var things = Things.SelectMany(thing => thing.Say).ToHashSet();
        var texts = file.Acts.Where(act => act.State is null).ToLookup(act => act.Kind, act => TextOf(act.Text));
        foreach (var kind in EntryKinds.All)
        {
            string[] names =
            [
                .. new[] { kind.Words.ToLowerInvariant(), kind.Name }
                    .Distinct()
                    .Where(name => !things.Contains(name) && !Things.Any(thing => Says(thing, name))),
            ];
            yield return new(kind, texts[kind.Name].FirstOrDefault(), null, names);
        }
    }

    /// <summary>"flowers open" is read as flowers that are open.</summary>
    static bool Says(Thing thing, string name) =>
        thing.Signs.Values.SelectMany(signs => signs).Any(sign => thing.Say.Any(say => $"{say} {sign}" == name));

    static Act Read(File.ActRow row) => new(Meaning.Of(row.Kind).Kind, TextOf(row.Text), row.State, row.Say);

    static ActText TextOf(string? written) => written is null ? ActText.None : Enum.Parse<ActText>(written, ignoreCase: true);

    static Thing Read(File.ThingRow row) =>
        new(row.Name)
        {
            Say = row.Say,
            Short = row.Short,
            Measures = [.. row.Measures.Select(name => Meaning.Of(name).Kind)],
            Lengths = row.Lengths,
            Counts = row.Counts,
            New = Optional(row.New),
            Bare = Optional(row.Bare),
            None = Optional(row.None),
            Left = Optional(row.Left),
            Alone = row.Alone,
            Signs = row.Signs.ToDictionary(pair => Meaning.Of(pair.Key), pair => pair.Value),
        };

    static Meaning? Optional(string? written) => written is null ? null : Meaning.Of(written);

    static Lexicon ReadShipped()
    {
        using var text = new StreamReader(typeof(Lexicon).Assembly.GetManifestResourceStream("words")!);
        return new(new DeserializerBuilder().WithNamingConvention(HyphenatedNamingConvention.Instance).Build().Deserialize<File>(text));
    }

    /// <summary>words.yaml as it is written.</summary>
    sealed class File
    {
        public ThingRow[] Things { get; set; } = [];
        public ActRow[] Acts { get; set; } = [];
        public Dictionary<string, string[]> Events { get; set; } = [];
        public AskRow[] Asks { get; set; } = [];
        public string[] Pests { get; set; } = [];
        public string[] How { get; set; } = [];
        public string[] Directions { get; set; } = [];
        public string[] GoesOn { get; set; } = [];
        public Dictionary<string, string[]> Dimensions { get; set; } = [];
        public Dictionary<string, string[]> Weather { get; set; } = [];
        public string[] New { get; set; } = [];
        public string[] None { get; set; } = [];
        public string[] Yet { get; set; } = [];
        public string[] Left { get; set; } = [];
        public string[] Thoughts { get; set; } = [];
        public string[] Fill { get; set; } = [];
        public string[] OwnWords { get; set; } = [];

        public sealed class ThingRow
        {
            public string Name { get; set; } = "";
            public string[] Say { get; set; } = [];
            public string[] Short { get; set; } = [];
            public string[] Measures { get; set; } = [];
            public string[] Lengths { get; set; } = [];
            public string[] Counts { get; set; } = [];
            public string? New { get; set; }
            public string? Bare { get; set; }
            public string? None { get; set; }
            public string? Left { get; set; }
            public bool Alone { get; set; }
            public Dictionary<string, string[]> Signs { get; set; } = [];
        }

        public sealed class ActRow
        {
            public string Kind { get; set; } = "";
            public string? Text { get; set; }
            public string? State { get; set; }
            public string[] Say { get; set; } = [];
        }

        public sealed class AskRow
        {
            public string[] Say { get; set; } = [];
            public string Question { get; set; } = "";
            public Dictionary<string, string> Answers { get; set; } = [];
        }
    }
}

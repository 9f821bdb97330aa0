using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace BudClock.Core.Notes;

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

    Lexicon(WordsFile file)
    {
        Things = [.. file.Things.Select(Read)];
        Acts = [.. file.Acts.Select(Read), .. OwnNames(file)];
        Asks = [.. file.Asks.Select(ask => new Asked(ask.Say, ask.Question, ask.Answers))];
        Events = file.Events.ToDictionary(pair => Meaning.Of(pair.Key), pair => pair.Value);
        (Pests, Hows, ownWords, Whereabouts) = (file.Pests, file.How, file.OwnWords.ToHashSet(), file.Whereabouts.ToHashSet());
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

    /// <summary>Words that say where a plant went without naming a place of the garden: "the shade", "a warmer spot".</summary>
    public IReadOnlySet<string> Whereabouts { get; }

    readonly HashSet<string> ownWords;

    /// <summary>Common words of English, 4 to 12 letters (the SCOWL lists up to size 50, British and American).</summary>
    static readonly Lazy<HashSet<string>> English = new(() =>
    {
        using var text = new StreamReader(typeof(Lexicon).Assembly.GetManifestResourceStream("english")!);
        return [.. text.ReadToEnd().Split('\n')];
    });

    /// <summary>The word means itself: "stake" is no slip of "staked", a "plantlet" none of "planted".</summary>
    public bool MeansItself(string word) => ownWords.Contains(word) || English.Value.Contains(word);

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

    static IEnumerable<(string, string[])> Roles(WordsFile file) =>
        [
            (Pest, file.Pests),
            // Many or few is half of what a finding says, and is kept with it.
            (Pest, [.. file.HowMany.SelectMany(many => file.Pests.Append("bugs").Select(pest => $"{many} {pest}"))]),
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
    IEnumerable<Act> OwnNames(WordsFile file)
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

    static Act Read(WordsFile.ActRow row) => new(Meaning.Of(row.Kind).Kind, TextOf(row.Text), row.State, row.Say);

    static ActText TextOf(string? written) => written is null ? ActText.None : Enum.Parse<ActText>(written, ignoreCase: true);

    static Thing Read(WordsFile.ThingRow row) =>
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
        return new(
            new DeserializerBuilder().WithNamingConvention(HyphenatedNamingConvention.Instance).Build().Deserialize<WordsFile>(text)
        );
    }
}

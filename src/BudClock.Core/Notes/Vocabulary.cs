using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Notes;

/// <summary>A way of saying something: its words and the kind of entry they mean.</summary>
/// <param name="State">The state that the words already carry, as in "wrinkled bulbs".</param>
/// <param name="Bare">What the words mean when no number follows: "new roots" alone says that they started.</param>
/// <param name="Counted">What they mean behind a bare number: "3 roots".</param>
sealed record Phrase(string Words, EntryKind Kind, string? State = null, EntryKind? Bare = null, EntryKind? Counted = null)
{
    public string[] Split { get; } = Words.Split(' ');
}

/// <summary>The words that growers use for the journal's kinds and states.</summary>
static class Vocabulary
{
    static readonly Dictionary<EntryKind, Dictionary<string, string>> StateWords = new()
    {
        [Bulbs] = Map(
            "plump:plump,full,filled,fat,firm",
            "wrinkled:wrinkled,wrinkly,wrinkling",
            "shrivelled:shrivelled,shriveled,shrivelling,shrunken"
        ),
        [Leaves] = Map(
            "firm:firm,stiff",
            "limp:limp,droopy,drooping,wilted",
            "pliable:pliable,floppy,soft",
            "yellowing:yellowing,yellow",
            "scorched:scorched,burnt,burned",
            "pale:pale"
        ),
        [Tuber] = Map("firm:firm,hard", "soft:soft,squishy", "mouldy:mouldy,moldy", "sprouting:sprouting,sprouted"),
        [Base] = Map("firm:firm,hard", "soft:soft,squishy", "smelling:smelling,smells,smelly"),
        [Medium] = Map("wet:wet,soggy", "damp:damp,moist", "dry:dry"),
        [Tray] = Map("empty:empty,dry"),
        [Reservoir] = Map("empty:empty,dry"),
        [Looked] = Map("better:better", "same:same", "worse:worse"),
    };

    /// <summary>Further ways of saying a kind.</summary>
    static readonly (EntryKind Kind, string Phrases)[] Plain =
    [
        (GrowthStarted, "growth started, growth showing, new growth started, new growth showing, new growth seen"),
        (GrowthMatured, "growth mature, growth finished, growth full size"),
        (
            GrowthStopped,
            "growth aborted, growth died, growth dead, growth lost, growth rotted, new growth died, new growth aborted, new growth stopped"
        ),
        (EyeSwelling, "eye, eye swells, swelling eye, eye moving"),
        (RootsStarted, "roots started, roots showing, new roots showing, new roots started, roots seen, root tips showing"),
        (
            RootsAtBase,
            "roots at base, roots at the base, roots at bottom, roots at the bottom, roots at the base of the pot, roots circling, roots "
                + "turning round, roots round the pot"
        ),
        (RootsLost, "roots dead, roots rotted, roots died, lost roots, dead roots"),
        (SheathStarted, "sheath, new sheath"),
        (GrowthStarted, "second growth, another growth, second new growth"),
        (SpikeStarted, "spike started, spike seen, new spike showing"),
        (BudsLost, "lost buds, buds blasted, buds dropped"),
        (BloomOpened, "bloom opened, first flower, in bloom, flower open, opened, blooming"),
        (BloomEnded, "flowers faded, bloom over, bloom finished, faded, finished flowering"),
        (SpikeLost, "spike died, spike dead, spike broken, lost spike"),
        (LeafStarted, "new leaf showing, leaf started"),
        (LeafDropped, "leaf fell, dropped a leaf, dropped leaf, leaf drop, lost a leaf"),
        (LeavesGone, "all leaves gone, leaves fallen, leafless, leaves dropped"),
        (Watered, "water, watering, sip, sipped, gave water, drink"),
        (Soaked, "soak, drenched, soaking, soaked through"),
        (ToppedUp, "top up, topped, top-up"),
        (Fed, "feed, fertilised, fertilized"),
        (RunOff, "runoff, run off"),
        (Rinsed, "flushed, flush"),
        (CutSpike, "cut spike, cut the spike"),
        (SpikeKept, "kept spike"),
        (Repotted, "repot, potted on"),
        (Turned, "turned round, rotated"),
        (Pest, "pests"),
        (Flagged, "look again, look again in, flag"),
        (Note, "nb, remark"),
    ];

    /// <summary>Words that stand between the others and add nothing. "not" is none of them.</summary>
    public static readonly HashSet<string> Filler =
    [
        "a",
        "an",
        "the",
        "its",
        "is",
        "are",
        "was",
        "were",
        "has",
        "have",
        "with",
        "and",
        "&",
        "at",
        "of",
        "about",
        "around",
        "now",
        "looks",
        "look",
        "looking",
        "still",
        "got",
        "it",
        "on",
        ":",
        "=",
        "-",
        "–",
        "—",
        "~",
        "+",
    ];

    /// <summary>Kinds whose words run on freely to the end of their clause.</summary>
    public static readonly HashSet<EntryKind> TakesText =
    [
        Pest,
        Rot,
        Treated,
        Repotted,
        Divided,
        Moved,
        Acquired,
        GivenAway,
        Died,
        Renamed,
        Changed,
        Stored,
        Planted,
        ProgrammeStarted,
        Photo,
        Flagged,
        Inspected,
        Lost,
        Cut,
        SpikeLost,
        BudsLost,
        RecipeSet,
    ];

    /// <summary>All phrases, longest first, so that "roots at the base" is not read as "roots".</summary>
    public static readonly IReadOnlyList<Phrase> All =
    [
        .. Build().DistinctBy(phrase => phrase.Words).OrderByDescending(phrase => phrase.Split.Length),
    ];

    static readonly ILookup<string, Phrase> ByFirstWord = All.ToLookup(phrase => phrase.Split[0]);

    /// <summary>The longest phrase that the words begin with, or null.</summary>
    public static Phrase? Longest(ReadOnlySpan<Token> tokens)
    {
        if (tokens.IsEmpty || tokens[0].Kind is not TokenKind.Word)
            return null;
        foreach (var phrase in ByFirstWord[tokens[0].Text])
            if (Matches(phrase.Split, tokens))
                return phrase;
        return null;
    }

    public static string? State(EntryKind kind, string word) =>
        StateWords.TryGetValue(kind, out var words) ? words.GetValueOrDefault(word) : null;

    /// <summary>The known phrase or state nearest to a word that is not known.</summary>
    public static string? Nearest(string fragment) =>
        Journal.Nearest.To(fragment, All.Select(phrase => phrase.Words).Concat(StateWords.Values.SelectMany(words => words.Keys)));

    static bool Matches(string[] words, ReadOnlySpan<Token> tokens)
    {
        if (words.Length > tokens.Length)
            return false;
        for (var i = 0; i < words.Length; i++)
            if (!tokens[i].Is(words[i]))
                return false;
        return true;
    }

    static IEnumerable<Phrase> Build()
    {
        foreach (var words in (string[])["new growth", "growth", "new shoot", "shoot", "new lead", "lead"])
            yield return new(words, GrowthHeight, Bare: GrowthStarted);
        yield return new("new roots", RootLength, Bare: RootsStarted, Counted: RootCount);
        foreach (var words in (string[])["roots", "root", "root length", "root tips", "root tip"])
            yield return new(words, RootLength, Counted: RootCount);
        foreach (var words in (string[])["spike", "new spike", "inflorescence"])
            yield return new(words, SpikeLength, Bare: SpikeStarted);
        foreach (var words in (string[])["flowers", "flower", "blooms", "flowers open"])
            yield return new(words, Blooms, Bare: words.EndsWith("open", StringComparison.Ordinal) ? BloomOpened : null, Counted: Blooms);

        foreach (var words in (string[])["fed slow release", "slow release", "fed with slow release"])
            yield return new(words, Fed, "slow release");
        foreach (var words in (string[])["fed on the leaves", "leaf feed", "misted leaf feed"])
            yield return new(words, Fed, "on the leaves");
        foreach (var (kind, phrases) in Plain)
            foreach (var words in phrases.Split(','))
                yield return new(words.Trim(), kind, Counted: kind.Measure?.Dimension is Dimension.Count ? kind : null);

        foreach (var (kind, states) in StateWords)
            foreach (var (word, state) in states)
                foreach (var noun in Nouns(kind))
                    yield return new($"{word} {noun}", kind, state);
        foreach (var kind in StateWords.Keys)
            foreach (var noun in Nouns(kind))
                yield return new(noun, kind, Counted: kind == Leaves ? LeafCount : null);

        // Every kind answers to its own name, so that the journal's vocabulary is always complete.
        foreach (var kind in EntryKinds.All)
        {
            yield return new(kind.Words.ToLowerInvariant(), kind, Counted: kind.Measure?.Dimension is Dimension.Count ? kind : null);
            yield return new(kind.Name, kind);
        }
    }

    static string[] Nouns(EntryKind kind) =>
        kind == Bulbs ? ["bulbs", "bulb", "pseudobulbs", "pseudobulb"]
        : kind == Leaves ? ["leaves", "leaf"]
        : kind == Tuber ? ["tuber", "tubers"]
        : kind == Medium ? ["medium", "mix", "bark", "moss", "soil"]
        : kind == Looked ? ["second look", "looked"]
        : [kind.Name];

    static Dictionary<string, string> Map(params string[] lines) =>
        lines
            .Select(line => line.Split(':'))
            .SelectMany(pair => pair[1].Split(','), (pair, word) => (word, state: pair[0]))
            .ToDictionary(pair => pair.word, pair => pair.state);
}

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

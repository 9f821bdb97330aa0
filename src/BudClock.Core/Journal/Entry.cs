namespace BudClock.Core.Journal;

/// <summary>One line of a plant's journal: a fact with its date. Never edited; a mistake is struck.</summary>
public sealed record Entry
{
    /// <summary>Its own for good.</summary>
    public required Guid Id { get; init; }

    /// <summary>The day it was seen or done, which is not always the day it was written down.</summary>
    public required DateOnly On { get; init; }

    /// <summary>What was seen or done.</summary>
    public required EntryKind Kind { get; init; }

    /// <summary>The organ it is about; null means the newest of its kind.</summary>
    public string? Organ { get; init; }

    /// <summary>How much, with its unit; null for none.</summary>
    public Quantity? Amount { get; init; }

    /// <summary>A state, or free words.</summary>
    public string? Text
    {
        get;
        init => (field, heard.Said) = (value, null);
    }

    /// <summary>The file of a picture beside the database, such as 0198….jpg; null for anything else.</summary>
    public string? File { get; init; }

    /// <summary>The code of the batch that was given, or of the recipe that the plant was set to; null for anything else.</summary>
    public string? Mix { get; init; }

    /// <summary>When it was written down; orders the entries of one day.</summary>
    public required DateTimeOffset Logged { get; init; }

    /// <summary>Entries written in one act are undone together.</summary>
    public Guid Act { get; init; }

    /// <summary>What it changed about its plant from its day on: its place, pot, medium, names; none for most.</summary>
    public IReadOnlyList<FactChange> Sets { get; init; } = [];

    /// <summary>The entry that this one corrects, which is struck and stays in the log; null for none.</summary>
    public Guid? Amends { get; init; }

    /// <summary>Crossed out: it stands in the log and says nothing.</summary>
    public bool Struck { get; init; }

    /// <summary>Struck because the act that wrote it was taken back as a whole.</summary>
    public bool Undone { get; init; }

    /// <summary>What it did to the plant; nothing for what was only seen.</summary>
    public Effects Does => EntryEffects.Of(this);

    /// <summary>It put water into the pot.</summary>
    public bool IsWatering => Does.HasFlag(Effects.WetsMedium);

    /// <summary>It says that the plant asks for water: a dry medium, a leaf that gives way, an empty tray or reservoir.</summary>
    public bool AsksForWater =>
        Text switch
        {
            "dry" => Kind == EntryKinds.Medium,
            "limp" or "pliable" => Kind == EntryKinds.Leaves,
            "empty" => Kind == EntryKinds.Tray || Kind == EntryKinds.Reservoir,
            _ => false,
        };

    /// <summary>What its words say, as structure; read from them where nobody gives it.</summary>
    /// <remarks>Other words are read anew: in an initialiser it comes after the text.</remarks>
    public Said Said
    {
        get => heard.Said ??= SaidReader.Read(Kind, Text);
        init => heard.Said = value is null ? null : SaidReader.Whole(Kind, Text, value);
    }

    ReadWords heard;

    /// <summary>As the log says it: "Roots 8.5 cm", "Bulbs wrinkled".</summary>
    public override string ToString() => string.Join(' ', Parts());

    IEnumerable<string> Parts()
    {
        if (Kind != EntryKinds.Note || Text is null)
            yield return Kind.Words;
        if (Amount is { } amount)
            yield return amount.ToString();
        if (Mix is { } mix)
            yield return mix;
        if (Text is { } text)
            yield return text;
    }
}

/// <summary>What was read of the words, or not yet: it makes no difference to whether two entries are the same.</summary>
struct ReadWords : IEquatable<ReadWords>
{
    public Said? Said;

    public readonly bool Equals(ReadWords other) => true;

    public override readonly bool Equals(object? obj) => obj is ReadWords;

    public override readonly int GetHashCode() => 0;
}

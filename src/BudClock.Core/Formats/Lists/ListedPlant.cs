namespace BudClock.Core.Formats.Lists;

/// <summary>A line of somebody's list, as it is proposed: every field can be mended before it is taken in.</summary>
/// <param name="Line">Its line in the list, from 1.</param>
/// <param name="Written">What stood there.</param>
public sealed record ListedPlant(int Line, string Written)
{
    /// <summary>The tag, given or proposed.</summary>
    public string Tag { get; init; } = "";

    /// <summary>What the grower calls it; empty for none.</summary>
    public string Name { get; init; } = "";

    /// <summary>Its botanical name as found; what was typed where nothing was.</summary>
    public string Taxon { get; init; } = "";

    /// <summary>How many of it the line counts, 1 to <see cref="PlantList.MostOfOne"/>.</summary>
    public int Count { get; init; } = 1;

    /// <summary>What is counted stands in one pot, and is one plant on record.</summary>
    public bool OnePot { get; init; }

    /// <summary>The place in words; one that is not there yet is made.</summary>
    public string Place { get; init; } = "";

    /// <summary>The pot in words, such as "11 cm plastic".</summary>
    public string Pot { get; init; } = "";

    /// <summary>What it stands in.</summary>
    public string Medium { get; init; } = "";

    /// <summary>What it is doing now, in the words of the list.</summary>
    public string Stage { get; init; } = "";

    /// <summary>When it was last repotted, as written.</summary>
    public string Repotted { get; init; } = "";

    /// <summary>When it came, as written.</summary>
    public string Acquired { get; init; } = "";

    /// <summary>Whatever else the list says of it.</summary>
    public string Note { get; init; } = "";

    /// <summary>Names that were perhaps meant, the nearest first; empty where the name is known.</summary>
    public IReadOnlyList<string> Near { get; init; } = [];

    /// <summary>What to look at, as sentences; it can be taken in as it stands.</summary>
    public IReadOnlyList<string> Doubts { get; init; } = [];

    /// <summary>How its cells were understood where that is worth a word, as sentences.</summary>
    public IReadOnlyList<string> Says { get; init; } = [];

    /// <summary>What has to be mended before it can be taken in, as sentences.</summary>
    public IReadOnlyList<string> Faults { get; init; } = [];

    /// <summary>The name is a guess, or leads to no sheet, or to one of several ways of life.</summary>
    public bool Doubtful { get; init; }

    /// <summary>What its cells say beyond what could be read of them, as words for its log; empty for nothing.</summary>
    public string Kept { get; init; } = "";
}

/// <summary>A column of a list, and what it was taken for.</summary>
/// <param name="Heading">Its heading; empty where the list has none.</param>
/// <param name="Sample">The first cell that says something.</param>
/// <param name="Field">One of <see cref="ListColumns.Fields"/>; empty for a column that is left.</param>
public sealed record ListColumn(string Heading, string Sample, string Field);

/// <summary>A list as it was read.</summary>
/// <param name="Plants">Its lines, each a proposal.</param>
/// <param name="Columns">Its columns with what each became; empty for names alone.</param>
/// <param name="Aside">Lines that are no plants: titles, rules, totals, as they were written.</param>
/// <param name="Trouble">Why nothing could be read; null where something was.</param>
public sealed record PlantListRead(
    IReadOnlyList<ListedPlant> Plants,
    IReadOnlyList<ListColumn> Columns,
    IReadOnlyList<string> Aside,
    string? Trouble = null
)
{
    /// <summary>Nothing could be read.</summary>
    public static PlantListRead Nothing(string trouble) => new([], [], [], trouble);
}

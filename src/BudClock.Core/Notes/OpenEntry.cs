namespace BudClock.Core.Notes;

/// <summary>A thing or an act of which the words are still being gathered.</summary>
sealed class OpenEntry
{
    /// <summary>Where it begins.</summary>
    public required Item First { get; init; }

    /// <summary>The thing it is about; null for an act.</summary>
    public Thing? Thing { get; init; }

    /// <summary>The act it is; null for a thing.</summary>
    public Act? Act { get; init; }

    /// <summary>Where its last word ends in the line.</summary>
    public int End { get; set; }

    /// <summary>Its number; null while there is none.</summary>
    public Item? Amount { get; set; }

    /// <summary>The number stands before it: how many.</summary>
    public bool Counted { get; set; }
    public List<Meaning> Signs { get; } = [];

    /// <summary>"New" stands before it.</summary>
    public bool New { get; set; }

    /// <summary>A word says that the number is a length.</summary>
    public bool Long { get; set; }

    /// <summary>A word says that the number is across.</summary>
    public bool Wide { get; set; }

    /// <summary>The part that was named.</summary>
    public string? Organ { get; set; }

    /// <summary>The recipe or batch that was named.</summary>
    public string? Mix { get; set; }

    /// <summary>The grower means it.</summary>
    public bool Sure { get; set; }

    /// <summary>Words in quotation marks, as they are.</summary>
    public string? Quoted { get; set; }

    /// <summary>Where its free words stand.</summary>
    public List<(int Start, int End)> Text { get; } = [];
}

namespace BudClock.Core.Notes;

/// <summary>An entry found in a clause, with where it stands, so that an answer can be written into the line.</summary>
sealed record Found(int Start, int End, EntryKind Kind, Quantity? Amount, string? Text, string? Organ, string? Mix)
{
    /// <summary>The grower means it.</summary>
    public bool Sure { get; init; }

    /// <summary>Where its number stands; null without one.</summary>
    public Item? Number { get; init; }
}

/// <summary>A question that a clause raises, with what each answer writes in place of a part of the line.</summary>
sealed record Doubt(string Entry, string Ask, int Start, int End, IReadOnlyList<(string Words, string Instead)> Answers);

/// <summary>What a clause says.</summary>
sealed record Clause
{
    /// <summary>The entries that were understood.</summary>
    public List<Found> Found { get; } = [];

    /// <summary>What has to be asked before anything is logged.</summary>
    public List<Doubt> Doubts { get; } = [];

    /// <summary>Words that nothing was made of.</summary>
    public List<Unread> Unread { get; } = [];

    /// <summary>Its days, each with how many entries stood before it.</summary>
    public List<(int Before, DateOnly Day)> Days { get; } = [];

    /// <summary>The last entry before it, with a number that this clause gives; null for none.</summary>
    public Found? Amends { get; set; }

    /// <summary>It reads like a question or a plan.</summary>
    public bool Thought { get; set; }

    /// <summary>Nothing but days stands in it.</summary>
    public bool OnlyDays => Days.Count > 0 && Amends is null && Found.Count == 0 && Unread.Count == 0 && Doubts.Count == 0;

    /// <summary>Whether the clause said nothing at all.</summary>
    public bool Empty => Days.Count == 0 && Amends is null && Found.Count == 0 && Unread.Count == 0 && Doubts.Count == 0;

    /// <summary>Nothing in it was left unread.</summary>
    public bool Whole => Unread.Count == 0;

    /// <summary>Where it stands in the line.</summary>
    public (int Start, int End) Span { get; set; }

    /// <summary>Its own words.</summary>
    public string Raw(string line) => line[Span.Start..Span.End];
}

namespace BudClock.Core.Planning;

/// <summary>What an item of the agenda is about.</summary>
public enum AgendaKind
{
    /// <summary>Something begins: a programme, a planting.</summary>
    Start,

    /// <summary>A plant goes to another place, or into or out of the dark.</summary>
    Move,

    /// <summary>A programme turns to its next step.</summary>
    Turn,

    /// <summary>The last day for something.</summary>
    LastDay,

    /// <summary>Something to look at, feel or compare.</summary>
    Look,

    /// <summary>Flowers are expected.</summary>
    Bloom,

    /// <summary>What the year of a habit usually brings; too general for a calendar.</summary>
    Season,
}

/// <summary>Something that is ahead: what the garden wants of its grower, and what it gives.</summary>
/// <param name="Key">The same for the same thing however its day moves, so that a calendar updates it: "ctm-01/turn/dry/…".</param>
/// <param name="On">The likely day.</param>
/// <param name="Words">One sentence, without the plant.</param>
/// <param name="Tags">The plants it is about; empty for the garden.</param>
public sealed record AgendaItem(string Key, AgendaKind Kind, DateOnly On, string Words, IReadOnlyList<string> Tags)
{
    /// <summary>The early end of its range; its day where it has none.</summary>
    public DateOnly From
    {
        get => field == default ? On : field;
        init;
    }

    /// <summary>The late end of its range; its day where it has none.</summary>
    public DateOnly To
    {
        get => field == default ? On : field;
        init;
    }

    /// <summary>"CLI-01", "CLI-01 and 2 more".</summary>
    public string Who =>
        Tags switch
        {
            [] => "",
            [var one] => one,
            [var one, var two] => $"{one} and {two}",
            _ => $"{Tags[0]} and {Tags.Count - 1} more",
        };
}

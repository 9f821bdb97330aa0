namespace BudClock.Core.Lanes;

/// <summary>The five things a plant can be doing, several at once. Their order is the dial's, from outside in.</summary>
public enum LaneKind
{
    /// <summary>A flower is open.</summary>
    Bloom,

    /// <summary>A spike rises.</summary>
    Spike,

    /// <summary>A growth or leaf grows.</summary>
    Growth,

    /// <summary>New roots grow.</summary>
    Roots,

    /// <summary>Without leaves, or in store.</summary>
    Rest,
}

/// <summary>A stretch of days in which an organ did something.</summary>
/// <param name="To">The last day; null while it goes on.</param>
/// <param name="Expected">Ahead of today, from the sheet's usual year rather than from the journal.</param>
/// <param name="Ending">How it ended: matured, aborted, lost, faded, cut, divided off, opened, woke, died back, grown in, next leaf,
/// died, given away.</param>
public sealed record Lane(LaneKind Kind, DateOnly From, DateOnly? To, string? Organ = null, bool Expected = false, string? Ending = null)
{
    /// <summary>It goes on.</summary>
    public bool Open => To is null && !Expected;
}

using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why;

/// <summary>Something that a grower asks about a plant: why it is smaller, why it does not bloom. One file a question.</summary>
/// <remarks>A class that derives from it is a question: there is no list to add it to. It needs a constructor without parameters.</remarks>
public abstract class Question
{
    /// <summary>In addresses: "smaller".</summary>
    public abstract string Code { get; }

    /// <summary>As a grower asks: "Why is it smaller?"</summary>
    public abstract string Asks { get; }

    /// <summary>What the log holds of it on the day; null where nothing there raises it.</summary>
    public abstract Matter? Read(Situation now);

    /// <summary>What to write down so that next time the log can tell, as a sentence.</summary>
    public abstract string Note { get; }

    /// <summary>It is asked of what has died: nothing of the plant is left to be looked at but what was found.</summary>
    public virtual bool OfTheDead => false;

    /// <summary>Whether it makes sense for a habit at all.</summary>
    public virtual bool Fits(Situation now) => true;
}

/// <summary>What is asked about: the sign, and the days in which its cause lies.</summary>
/// <param name="Sign">As a sentence: "Leaves limp on 3 Jul."</param>
/// <param name="From">The first day that a cause may be of.</param>
/// <param name="To">The last.</param>
/// <param name="Signs">The entries that show it; none where it is something that never came.</param>
public sealed record Matter(string Sign, DateOnly From, DateOnly To, IReadOnlyList<Entry> Signs)
{
    /// <summary>The growth before, and the one that came smaller; null for any other question.</summary>
    public (Measuring.Grown Before, Measuring.Grown Last)? Growths { get; init; }

    /// <summary>It is what its kind does at this time, as a sentence; null where it is not.</summary>
    public string? Normal { get; init; }
}

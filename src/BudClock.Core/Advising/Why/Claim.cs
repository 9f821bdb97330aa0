namespace BudClock.Core.Advising.Why;

/// <summary>How much a claim says of a cause.</summary>
public enum Strength
{
    /// <summary>It fits, and would fit other things as well.</summary>
    Hint = 1,

    /// <summary>It makes the cause likely.</summary>
    Likely = 2,

    /// <summary>It shows the cause itself.</summary>
    Sure = 3,
}

/// <summary>One thing that speaks for a cause or against it.</summary>
/// <param name="Words">As a clause: "leaves limp on 3 Jul, with the medium dry".</param>
/// <param name="Strength">How much it says.</param>
/// <param name="On">The day of it; null for what was never written down.</param>
public sealed record Claim(string Words, Strength Strength, DateOnly? On)
{
    /// <summary>The entry it rests on; null for readings, for the calendar, and for what was never written down.</summary>
    public Guid? Entry { get; init; }
}

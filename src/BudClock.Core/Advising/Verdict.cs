namespace BudClock.Core.Advising;

/// <summary>The answer of a rule: act today, leave alone, or measure and check first.</summary>
public enum Verdict
{
    /// <summary>The evidence is whole: do it.</summary>
    Do,

    /// <summary>Something is missing or uncertain: look first.</summary>
    Look,

    /// <summary>Leave it, and why.</summary>
    Hold,
}

/// <summary>What an advice is about.</summary>
public static class Topics
{
    /// <summary>The first water of a plant that rested dry.</summary>
    public const string FirstSoak = "first-soak";

    /// <summary>Water, and its taking away.</summary>
    public const string Water = "water";

    /// <summary>Feed.</summary>
    public const string Feed = "feed";

    /// <summary>Repotting.</summary>
    public const string Repot = "repot";

    /// <summary>Dividing and taking pups.</summary>
    public const string Divide = "divide";

    /// <summary>Something to measure.</summary>
    public const string Measure = "measure";

    /// <summary>Looking again after something was done.</summary>
    public const string SecondLook = "second-look";

    /// <summary>How it grows.</summary>
    public const string GrowthCheck = "growth-check";

    /// <summary>Going to rest, and resting.</summary>
    public const string Rest = "rest";

    /// <summary>Waking.</summary>
    public const string Wake = "wake";

    /// <summary>What brings on bloom.</summary>
    public const string Trigger = "trigger";

    /// <summary>Trays, reservoirs and cover pots.</summary>
    public const string Tray = "tray";

    /// <summary>Rot, pests and roots.</summary>
    public const string Health = "health";

    /// <summary>Where it stands.</summary>
    public const string Move = "move";

    /// <summary>Every topic, in the order in which a plant's advice is given: what cannot wait first.</summary>
    public static readonly IReadOnlyList<string> All =
    [
        Health,
        FirstSoak,
        SecondLook,
        Water,
        Tray,
        Move,
        Wake,
        Rest,
        Feed,
        Repot,
        Divide,
        Trigger,
        GrowthCheck,
        Measure,
    ];
}

namespace BudClock.Core.Advising;

/// <summary>The answer of a rule: act today, leave alone, or measure and check first.</summary>
public enum Verdict
{
    Do,
    Look,
    Hold,
}

/// <summary>What an advice is about.</summary>
public static class Topics
{
    public const string FirstSoak = "first-soak";
    public const string Water = "water";
    public const string Feed = "feed";
    public const string Repot = "repot";
    public const string Divide = "divide";
    public const string Measure = "measure";
    public const string SecondLook = "second-look";
    public const string GrowthCheck = "growth-check";
    public const string Rest = "rest";
    public const string Wake = "wake";
    public const string Trigger = "trigger";
    public const string Tray = "tray";
    public const string Health = "health";
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

namespace BudClock.Core.Advising;

/// <summary>The answer of a rule: act today, leave alone, or measure and check first.</summary>
public enum Verdict { Do, Look, Hold }

/// <summary>What an advice is about. One plant never hears Do and Hold on one topic.</summary>
public static class Topics
{
    public const string FirstSoak = "first-soak";
    public const string Water = "water";
    public const string Feed = "feed";
    public const string Measure = "measure";
    public const string SecondLook = "second-look";
    public const string GrowthCheck = "growth-check";
    public const string Rest = "rest";
    public const string Wake = "wake";
    public const string Tray = "tray";
    public const string Health = "health";
    public const string Move = "move";
}

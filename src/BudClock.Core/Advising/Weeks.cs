namespace BudClock.Core.Advising;

/// <summary>Numbers of days, nights and weeks in words.</summary>
static class Weeks
{
    /// <summary>"1 day", "12 days".</summary>
    public static string Days(int days) => days == 1 ? "1 day" : $"{days} days";

    /// <summary>"1 night", "12 nights".</summary>
    public static string Nights(int nights) => nights == 1 ? "1 night" : $"{nights} nights";
}

namespace BudClock.Core.Potting;

/// <summary>How long a cut dries before it is set, where the kind wants it (rule L8's wounds; common practice, from memory).</summary>
public static class DryingDays
{
    const int OfSucculent = 7;
    const int OfOther = 1;

    /// <summary>Days until it may be set; 0 for what is set at once.</summary>
    /// <param name="succulent">The plant keeps water in its stem or leaves.</param>
    public static int For(RaisingMethod method, bool succulent) =>
        !method.Cut ? 0
        : succulent ? OfSucculent
        : method.Name is "tuber" or "back-bulb" ? 2
        : method.Name is "cutting" ? 0
        : OfOther;
}

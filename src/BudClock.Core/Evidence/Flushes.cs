using BudClock.Core.States;

namespace BudClock.Core.Evidence;

/// <summary>When salts were last washed out of the medium.</summary>
public static class Flushes
{
    /// <summary>The newest flush, or repot into fresh medium; null for none.</summary>
    public static Entry? Last(Situation now)
    {
        for (var i = now.Journal.Entries.Count - 1; i >= 0; i--)
            if (Salted.Washes(now.Log, now.Journal.Entries[i]))
                return now.Journal.Entries[i];
        return null;
    }
}

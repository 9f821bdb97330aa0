using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Health;

/// <summary>Who stood beside an ill plant in the same tray, vessel or store: named for a look (rules V2 and H1).</summary>
public static class Neighbours
{
    const int Named = 8;

    /// <summary>A sentence with their tags, with a space before it; empty for none.</summary>
    public static string Words(Situation now)
    {
        var beside = now.Around.Neighbours;
        if (beside.Count == 0)
            return "";
        var more = beside.Count > Named ? $" and {beside.Count - Named} more" : "";
        return $" Look at what stood with it: {string.Join(", ", beside.Take(Named))}{more}.";
    }
}

namespace BudClock.Core.Journal;

/// <summary>What a dated entry changed about its plant: a move its place, a repotting its pot and medium.</summary>
/// <param name="What">One of <see cref="Facts"/>.</param>
/// <param name="From">What it was until that day; null for nothing or unknown.</param>
/// <param name="To">What it is from that day on; null for nothing.</param>
public sealed record FactChange(string What, string? From, string? To);

/// <summary>What of a plant has a past: the names that <see cref="FactChange.What"/> may have.</summary>
public static class Facts
{
    /// <summary>The code of the place it stands at.</summary>
    public const string Place = "place";

    /// <summary>The code of the tray, reservoir or cover pot it stands in.</summary>
    public const string Vessel = "vessel";

    /// <summary>What the grower calls it.</summary>
    public const string Name = "name";

    /// <summary>Its botanical name.</summary>
    public const string Taxon = "taxon";

    /// <summary>The culture sheet chosen for it.</summary>
    public const string Sheet = "sheet";

    /// <summary>The pot's diameter in cm.</summary>
    public const string PotDiameter = "potDiameterCm";

    /// <summary>The pot's height in cm.</summary>
    public const string PotHeight = "potHeightCm";

    /// <summary>What the pot is made of, or reservoir.</summary>
    public const string PotKind = "potKind";

    /// <summary>What it stands in, in the grower's words.</summary>
    public const string Medium = "medium";

    /// <summary>Begins the name of a chosen school: school:first-water.</summary>
    public const string School = "school:";

    /// <summary>All but the schools.</summary>
    public static readonly IReadOnlyList<string> All = [Place, Vessel, Name, Taxon, Sheet, PotDiameter, PotHeight, PotKind, Medium];

    /// <summary>Whether this is the name of something that has a past.</summary>
    public static bool Known(string what) =>
        All.Contains(what) || (what.StartsWith(School, StringComparison.Ordinal) && what.Length > School.Length);
}

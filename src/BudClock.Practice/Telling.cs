using BudClock.Core.Advising;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>How an act stood to the advice of its day.</summary>
public enum Stood
{
    /// <summary>The advice was to do it.</summary>
    With,

    /// <summary>The advice was to look first, and nobody had looked.</summary>
    Unlooked,

    /// <summary>The advice was to leave it.</summary>
    Against,

    /// <summary>Nothing was said of it.</summary>
    Unasked,
}

/// <summary>An act, told afterwards.</summary>
/// <param name="Why">What the advice had said, in its own words; null where it said nothing.</param>
public sealed record Told(DateOnly On, string Tag, string Words, Stood Stood, string? Why)
{
    /// <summary>Water was given.</summary>
    public bool IsWater { get; init; }

    /// <summary>Tells an act by the advice that stood before it.</summary>
    /// <param name="before">The plant as it was before the act; null where it was not known yet.</param>
    public static Told? Of(Entry act, string tag, Assessment? before)
    {
        var deeds = Deeds.Of(act).ToList();
        if (deeds.Count == 0 && act.Kind != EntryKinds.Moved)
            return null;
        var care = Asked(act, deeds);
        var said = before?.All.Where(advice => advice.Care.Facts().Question == care.Facts().Question).MinBy(advice => advice.Verdict);
        return new(act.On, tag, act.ToString(), How(said), said?.Reason)
        {
            IsWater = deeds.Contains(Deed.Water) || deeds.Contains(Deed.Wet),
        };
    }

    static Care Asked(Entry act, List<Deed> deeds) =>
        act.Kind == EntryKinds.Moved ? Care.BringIn
        : deeds.Contains(Deed.Water) || deeds.Contains(Deed.Wet) ? Care.GiveWater
        : deeds[0] switch
        {
            Deed.Feed => Care.Feed,
            Deed.Repot => Care.Repot,
            Deed.CutOut => Care.CutOut,
            Deed.Treat => Care.Treat,
            Deed.Plant => Care.Wake,
            Deed.Lift => Care.Lift,
            _ => Care.Flush,
        };

    static Stood How(Advice? said) =>
        said?.Verdict switch
        {
            null => Stood.Unasked,
            Verdict.Do => Stood.With,
            Verdict.Look => Stood.Unlooked,
            _ => Stood.Against,
        };
}

using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rules W6 to W9 and W11: what a plant drinks from, and with whom it shares it.</summary>
public static class Vessels
{
    /// <summary>The vessel a plant stands in; null for none.</summary>
    public static Vessel? Of(Plant plant, IReadOnlyList<Vessel> vessels) =>
        plant.Vessel is { } code ? vessels.FirstOrDefault(v => v.Code == code) : null;

    /// <summary>Levels and fillings of plants that share one water; the same level written down for several counts once.</summary>
    public static PlantJournal Log(IEnumerable<Plant> plants, DateOnly today) =>
        PlantJournal.UpTo(
            today,
            plants
                .SelectMany(plant => plant.Entries)
                .Where(e => e.Kind == Tray || e.Kind == Reservoir || e.IsWatering)
                .DistinctBy(e => (e.On, e.Kind, e.Text, e.Amount))
        );

    /// <summary>It drinks from a reservoir, a jar or a wick, whatever its habit.</summary>
    public static bool OverReservoir(Situation now)
    {
        if (now.Around.Vessel is { } vessel)
            return vessel.Kind == Vessel.Reservoir;
        if (now.Sheet.Is(Traits.StandsInWater))
            return false;
        if (now.Sheet.Is(Traits.Reservoir) || now.Plant.Pot?.Form.WaterBelow == true)
            return true;
        if (now.Plant.Medium is not null)
            return now.StandsIn.OverWater;
        return now.Journal.Last(Reservoir)?.On >= now.Today.AddDays(-now.Limits<ReservoirLimits>().Read);
    }

    /// <summary>Water that stands where it must not: a cover pot without drainage.</summary>
    public static bool InCoverPot(Situation now) => now.Plant.Pot?.Form.Drains == false || now.Around.Vessel?.Kind == Vessel.CoverPot;

    /// <summary>Water that was seen in its cover pot and neither tipped out nor watered over since; null for none.</summary>
    public static LevelSeen? StandingInCoverPot(Situation now) => InCoverPot(now) && now.Levels.Level is { Cm: > 0 } level ? level : null;

    /// <summary>The water below a plant: its own record, and that of the vessel it shares.</summary>
    public static Levels LevelsOf(Situation now)
    {
        var over = OverReservoir(now);
        var stands = !over && (now.Sheet.Is(Traits.StandsInWater) || now.Around.Vessel?.Kind == Vessel.Tray);
        var journal = now.Around.VesselLog is { } shared ? shared : now.Journal;
        return Levels.Read(
            journal,
            over ? Reservoir : Tray,
            stands,
            over || stands,
            over ? now.Limits<ReservoirLimits>().Low : Levels.EmptyCm,
            now.Today,
            over || now.Sheet.Find<TrayLimits>() is not { } tray ? now.Limits<ReservoirLimits>().Every : tray.Every
        );
    }
}

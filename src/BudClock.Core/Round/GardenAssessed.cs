using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>
/// Every plant of a garden that is wholly in memory, assessed on one day, with what is said of the trays and reservoirs they share.
/// </summary>
public sealed class GardenAssessed
{
    /// <summary>Assesses the plants of a garden, on as many cores as there are.</summary>
    public GardenAssessed(GardenRecord garden, DateOnly today)
    {
        garden = garden with { Plants = [.. garden.Plants.Select(plant => plant.On(today))] };
        var (assessor, around) = (Assessor.With(garden.SheetChanges), new GardenAround(garden, today));
        var alone = Cores.Spread(garden.Plants, plant => assessor.Assess(plant, around.Of(plant), today), worth: 100).ToList();
        Vessels = [.. garden.Vessels.Select(vessel => SharedVessel.Of(vessel, alone, today))];
        Plants = [.. alone.Select(plant => WithShared(plant, Vessels))];
    }

    /// <summary>The plants, in the order of the file.</summary>
    public IReadOnlyList<Assessment> Plants { get; }

    /// <summary>Trays, reservoirs and cover pots with what stands in them.</summary>
    public IReadOnlyList<SharedVessel> Vessels { get; }

    /// <summary>A plant with what is said of the vessel that it shares.</summary>
    public static Assessment WithShared(Assessment plant, IEnumerable<SharedVessel> vessels) =>
        plant.Gone || plant.Plant.Vessel is null
            ? plant
            : plant with
            {
                Shared = vessels.FirstOrDefault(shared => shared.Vessel.Code == plant.Plant.Vessel)?.Said ?? [],
            };
}

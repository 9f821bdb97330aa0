using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R8: into how many parts a plant may be divided, and where.</summary>
/// <param name="Growths">Its growths or bulbs from the oldest to the newest, by name.</param>
/// <param name="Cuts">Each cut comes after this many growths; none where it is left whole.</param>
/// <param name="Words">Whether it may be, as sentences.</param>
/// <param name="May">It may be divided today.</param>
public sealed record DivisionPlan(IReadOnlyList<string> Growths, IReadOnlyList<int> Cuts, string Words, bool May)
{
    /// <summary>The growths after which it is cut, by name.</summary>
    public IEnumerable<string> CutAfter => Cuts.Select(cut => Growths[cut - 1]);

    /// <summary>What a division costs, said before the knife is taken.</summary>
    public const string Expect = "Expect the next growth of each part to be smaller, and perhaps a year without flowers.";

    /// <summary>Reads the plan of a plant as it was assessed.</summary>
    public static DivisionPlan Read(Assessment plant)
    {
        var now = plant.Situation;
        var each = now.Limits<DivideLimits>().Bulbs;
        var growths = Names(now);
        var window = RepotWindow.Read(plant);
        var parts = growths.Count / each;
        if (!now.Sheet.Is(Traits.RootsInFlushes))
            return new(growths, [], "Part it where it falls apart by itself, each part with roots and a growing point.", Open(window));
        if (parts < 2)
            return new(
                growths,
                [],
                $"{growths.Count} growths are on record: {each} with live roots go to each part, so leave it whole.",
                false
            );
        // The newest part is the strongest: what is left over stays with it.
        return new(
            growths,
            [.. Enumerable.Range(1, parts - 1).Select(part => part * each)],
            $"{growths.Count} growths: up to {parts} parts of {each} or more, each with live roots. Count them in your hand. {Expect}"
                + (Open(window) ? "" : $" {window.Words}"),
            Open(window)
        );
    }

    static bool Open(RepotWindow window) => window.State is WindowState.Open or WindowState.Closing;

    static List<string> Names(Situation now)
    {
        var lost = now.Journal.Of(EntryKinds.Lost, EntryKinds.GrowthStopped).Select(entry => entry.Organ).ToHashSet();
        var declared = now
            .Plant.Organs.Where(organ => organ.Kind is Organ.Growth or Organ.Bulb && !lost.Contains(organ.Id))
            .Select(organ => organ.Label ?? organ.Id)
            .ToList();
        return declared.Count > 0 ? declared : [.. LiveBulbs.Read(now).Select(bulb => bulb.On.Year.ToString(CultureInfo.InvariantCulture))];
    }
}

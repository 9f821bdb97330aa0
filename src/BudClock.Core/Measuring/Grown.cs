using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Measuring;

/// <summary>Rule G1: a growth or leaf that is done, and how large it came.</summary>
/// <param name="Part">The organ's id; null when the plant has one of its kind.</param>
/// <param name="Label">What to call it: "2031".</param>
/// <param name="By">The kind of entry that measured it: only like is compared with like.</param>
/// <param name="Began">The day it began.</param>
/// <param name="Done">The day it was finished, or measured last where that was later.</param>
/// <param name="Cm">Its size.</param>
public sealed record Grown(string? Part, string Label, EntryKind By, DateOnly Began, DateOnly Done, double Cm)
{
    /// <summary>Bulbs are measured some weeks after the growth was written off as finished.</summary>
    const int MeasuredLateDays = 90;

    /// <summary>A leaf measured so many days younger than the one before still counts as of its age.</summary>
    const int AlikeDays = 7;

    static readonly EntryKind[] Sizes = [BulbSize, GrowthHeight, LeafSpan];

    /// <summary>Those that are done and measured alike, oldest first; where two measures serve, bulbs before heights.</summary>
    public static IReadOnlyList<Grown> Read(PlantJournal journal, IReadOnlyList<Lane> lanes, IReadOnlyList<Organ> organs, string shoot)
    {
        var growths = lanes.Where(lane => lane.Kind is LaneKind.Growth && !lane.Expected).OrderBy(lane => lane.From).ToList();
        foreach (var kind in Sizes.Where(journal.Has))
        {
            var measured = growths
                .Select((lane, i) => Of(kind, lane, growths.ElementAtOrDefault(i + 1), journal, organs))
                .OfType<Grown>()
                .ToList();
            var done = shoot == Organ.Leaf ? Leaves(measured) : [.. measured.Where(one => Finished(growths, one))];
            if (done.Count > 1)
                return done;
        }
        return [];
    }

    static Grown? Of(EntryKind kind, Lane lane, Lane? next, PlantJournal journal, IReadOnlyList<Organ> organs)
    {
        var last = (lane.To ?? DateOnly.MaxValue.AddDays(-MeasuredLateDays)).AddDays(MeasuredLateDays);
        // What has no name is measured until the next one shows.
        if (next is { From: var from } && from <= last)
            last = from.AddDays(-1);
        var size = journal
            .Of(kind)
            .LastOrDefault(e =>
                e.Organ == lane.Organ && e.Amount is { InBase: > 0 } && e.On >= lane.From && (e.Organ is not null || e.On <= last)
            );
        if (size is null)
            return null;
        // A leaf ends with the next one, which says nothing of how old it was when it was measured.
        var done = lane is { Ending: "matured", To: { } to } && to > size.On ? to : size.On;
        var label = organs.FirstOrDefault(organ => organ.Id == lane.Organ)?.Label ?? $"{lane.From.Year}";
        return new(lane.Organ, label, kind, lane.From, done, size.Amount!.Value.InBase);
    }

    static bool Finished(List<Lane> growths, Grown one) =>
        growths.Exists(lane => lane.Organ == one.Part && lane.From == one.Began && lane.Ending == "matured");

    /// <summary>A leaf has no end: it is done once it was measured as old as the one before it was.</summary>
    static List<Grown> Leaves(List<Grown> measured)
    {
        var done = new List<Grown>();
        foreach (var leaf in measured)
            if (done.Count == 0 || Age(leaf) >= Age(done[^1]) - AlikeDays)
                done.Add(leaf);
        return done;
    }

    static int Age(Grown one) => one.Done.DayNumber - one.Began.DayNumber;
}

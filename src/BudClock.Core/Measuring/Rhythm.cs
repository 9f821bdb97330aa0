using MathNet.Numerics.Statistics;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Measuring;

/// <summary>Rule W13: how many days a plant takes from water to asking again.</summary>
/// <param name="Days">The median of its last five in this season, scaled by the air, or the sheet's guide until it has taught its
/// own.</param>
/// <param name="From">The shortest that is likely.</param>
/// <param name="To">The longest that is likely.</param>
/// <param name="Own">Learned from this plant's log.</param>
public sealed record Rhythm(double Days, double From, double To, bool Own)
{
    /// <summary>Learned from when its grower waters, and not from when it asked: it says when to look, and nothing of thirst.</summary>
    public bool Practised { get; init; }

    const int Learned = 5;
    const int LeastLearned = 3;
    const int SeasonDays = 45; // so far around the same day of another year counts as the same season
    const int WholeDays = 3;
    const double Least = 0.5;
    const double Most = 2;

    /// <summary>Reads the plant's own rhythm; null below three intervals of this season.</summary>
    /// <param name="hung">How much of the days after which leaves hung is one interval, 0 to 1: 1 where a leaf that gives way is the
    /// sign to water, less where it is watered before.</param>
    /// <param name="vpd">The mean vapour pressure deficit of a day at the plant's place, kPa; null where it is not known.</param>
    public static Rhythm? Read(PlantJournal journal, DateOnly today, double hung, Func<DateOnly, double?> vpd)
    {
        var intervals = Intervals(journal).Where(i => Dates.ApartInYear(i.Watered, today) <= SeasonDays).TakeLast(Learned).ToList();
        if (intervals.Count < LeastLearned)
            return Practice(journal, today);
        var days = intervals
            .Select(i => (i.Asked.On.DayNumber - i.Watered.DayNumber) * (i.Asked.Kind == Leaves ? hung : 1))
            .Order()
            .ToList();
        var scale = Scale(intervals, today, vpd);
        return new(days.Median() * scale, days[0] * scale, days[^1] * scale, Own: true);
    }

    /// <summary>
    /// What the grower does in this season, again and again, with the plant well: days from water to water, where nobody wrote what asked
    /// for it (rule L6). Null below five, and where harm came of it.
    /// </summary>
    static Rhythm? Practice(PlantJournal journal, DateOnly today)
    {
        // Counted back from the last: what nobody wrote down since then does not change what was done before.
        if (journal.Waterings is not [.., { } last] || last.On <= today.AddDays(-SeasonDays))
            return null;
        var days = journal.Waterings.Where(e => e.On > last.On.AddDays(-SeasonDays)).Select(e => e.On).Distinct().ToList();
        if (days.Count <= Learned || journal.FirstSince(days[0], RootsLost, EntryKinds.Rot, LeavesGone, Repotted) is not null)
            return null;
        if (journal.Of(Base, Tuber).Any(e => e.On >= days[0] && e.Text is "soft" or "smelling" or "mouldy"))
            return null;
        var gaps = days.Zip(days.Skip(1), (from, to) => (double)(to.DayNumber - from.DayNumber)).TakeLast(Learned).Order().ToList();
        return new(gaps.Median(), gaps[0], gaps[^1], Own: true) { Practised = true };
    }

    /// <summary>From each watering to the first sign that it asked again, oldest first.</summary>
    public static IEnumerable<(DateOnly Watered, Entry Asked)> Intervals(PlantJournal journal)
    {
        DateOnly? watered = null;
        foreach (var entry in journal.Entries)
        {
            if (watered is { } since && entry.On > since && entry.AsksForWater)
            {
                yield return (since, entry);
                watered = null;
            }
            if (entry.IsWatering)
                watered = entry.On;
        }
    }

    /// <summary>Thirstier air now than then shortens the days in the same measure, between half and double.</summary>
    static double Scale(List<(DateOnly Watered, Entry Asked)> intervals, DateOnly today, Func<DateOnly, double?> vpd)
    {
        var then = intervals.Select(i => vpd(i.Watered)).OfType<double>().ToList();
        return Lately(today, vpd) is > 0 and var now && then.Count == intervals.Count ? Math.Clamp(then.Median() / now, Least, Most) : 1;
    }

    /// <summary>The air of the last whole days: today's is not over, and would say another thing at each hour.</summary>
    static double? Lately(DateOnly today, Func<DateOnly, double?> vpd)
    {
        var days = Enumerable.Range(1, WholeDays).Select(back => vpd(today.AddDays(-back))).OfType<double>().Order().ToList();
        return days.Count == 0 ? null : days.Median();
    }
}

using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rule W9: how fast a tray or reservoir falls, from its level entries; a rise is a refill.</summary>
public static class DrinkingRate
{
    /// <summary>What is left below this cannot be drunk.</summary>
    public const double EmptyCm = 0.5;

    const int FallsKept = 6;

    /// <summary>A level as it was last written down; a tray called empty has none.</summary>
    public sealed record Reading(double Cm, DateOnly On);

    public static Reading? Level(PlantJournal journal, EntryKind kind, DateOnly today)
    {
        var last = journal.Of(kind) is [.., var level] && level.On <= today ? level : null;
        return last is null ? null : new(last.Text == "empty" ? 0 : last.Amount?.InBase ?? 0, last.On);
    }

    /// <summary>Centimetres a day of the falls between readings, oldest first.</summary>
    public static IReadOnlyList<(DateOnly On, double CmPerDay)> Falls(PlantJournal journal, EntryKind kind)
    {
        var falls = new List<(DateOnly, double)>();
        Reading? before = null;
        foreach (var entry in journal.Of(kind))
        {
            var now = new Reading(entry.Text == "empty" ? 0 : entry.Amount?.InBase ?? 0, entry.On);
            if (before is not null && now.Cm < before.Cm && now.On > before.On && journal.Of(ToppedUp).All(top => top.On < before.On || top.On >= now.On))
                falls.Add((now.On, (before.Cm - now.Cm) / (now.On.DayNumber - before.On.DayNumber)));
            before = now;
        }
        return falls;
    }

    /// <summary>The usual rate now, cm a day: the median of the last six falls; null below two.</summary>
    public static double? CmPerDay(PlantJournal journal, EntryKind kind)
    {
        var rates = Falls(journal, kind).TakeLast(FallsKept).Select(fall => fall.CmPerDay).Order().ToList();
        return rates.Count < 2 ? null : rates[rates.Count / 2];
    }

    /// <summary>The day it is likely to be empty; null where no rate is known.</summary>
    public static DateOnly? EmptyOn(PlantJournal journal, EntryKind kind, DateOnly today) =>
        Level(journal, kind, today) is { } level && CmPerDay(journal, kind) is > 0 and var rate ? level.On.AddDays((int)Math.Min(400, (level.Cm - EmptyCm) / rate)) : null;
}

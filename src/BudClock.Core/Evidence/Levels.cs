using System.Globalization;
using MathNet.Numerics.Statistics;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rules W6 and W9: the water below a plant, as it was last seen or filled, and how fast it is drunk.</summary>
/// <param name="Kind">The kind of entry that is the level: tray or reservoir.</param>
/// <param name="Stands">It stands in a tray, as bog plants do; else over a reservoir.</param>
/// <param name="OverWater">The plant drinks from it, so that nobody feels its medium to know.</param>
/// <param name="Level">The newest level that no filling has overtaken; null when none is.</param>
/// <param name="Filled">The newest filling; null when none is on record.</param>
/// <param name="LowCm">From here down it is filled.</param>
/// <param name="Falls">How fast it fell between two levels of this season, oldest first.</param>
/// <param name="Refills">Days from filling to filling in this season, oldest first.</param>
/// <param name="SeenEvery">How often its grower looks at it in this season, days, once that was done five times; null before.</param>
/// <param name="Lasts">How long a filling lasts until its rate is known, days.</param>
public sealed record Levels(
    EntryKind Kind,
    bool Stands,
    bool OverWater,
    LevelSeen? Level,
    Entry? Filled,
    double LowCm,
    IReadOnlyList<(DateOnly On, double CmPerDay)> Falls,
    IReadOnlyList<int> Refills,
    double Lasts = Levels.WeekDays,
    int? SeenEvery = null
)
{
    /// <summary>What is left below this cannot be drunk, cm.</summary>
    public const double EmptyCm = 0.5;

    const int Kept = 6;

    /// <summary>About how long a reservoir lasts that nobody knows (from memory).</summary>
    internal const int WeekDays = 7;

    /// <summary>
    /// What a plant drank so long ago it drank in another season, and what lies so far apart has a rest or a gap of the log in between.
    /// </summary>
    const int SeasonDays = 60;

    const int GapDays = 30;

    /// <summary>"reservoir" or "tray".</summary>
    public string Name => Stands ? "tray" : "reservoir";

    /// <summary>The level, where it is down to where it is filled and was not filled since.</summary>
    public LevelSeen? Low => Level is { } level && level.Cm <= (Stands ? EmptyCm : LowCm) ? level : null;

    /// <summary>The newest of level and filling, in words; null where neither is on record.</summary>
    public (string Words, DateOnly On)? LastKnown =>
        Level is { } level ? ($"held {level.Words}", level.On)
        : Filled is { } filled ? ("was filled", filled.On)
        : null;

    /// <summary>
    /// The day until which the newest level or filling says something: when it is drunk by its rate, else when a filling usually is;
    /// null where neither is on record.
    /// </summary>
    public DateOnly? TellsUntil =>
        AsksOn ?? (Level?.On ?? Filled?.On)?.AddDays((int)Math.Ceiling(RefillDays is { } days ? Math.Max(days, Lasts) : Lasts));

    /// <summary>The usual rate, cm a day: the median of the last falls of this season, of which one is enough; null for none.</summary>
    public double? CmPerDay => Falls.Count == 0 ? null : Falls.TakeLast(Kept).Select(fall => fall.CmPerDay).Median();

    /// <summary>Days from filling to filling: the median of the last ones; null below two.</summary>
    public int? RefillDays => Refills.Count < 2 ? null : (int)Math.Round(Refills.TakeLast(Kept).Select(days => (double)days).Median());

    /// <summary>The day it is likely to ask again; null where neither its falls nor its fillings tell.</summary>
    public DateOnly? AsksOn =>
        Level is { } level && CmPerDay is > 0 and var rate ? level.On.AddDays((int)Math.Min(400, Math.Max(0, level.Cm - EmptyCm) / rate))
        : Filled is { } filled && RefillDays is { } days ? filled.On.AddDays(days)
        : null;

    /// <summary>Reads levels and fillings in the order in which they were written down; a rise is a filling, and both teach.</summary>
    /// <param name="today">Rates are learned of the season of this day, and never across a rest or a gap.</param>
    /// <param name="lasts">How long a filling lasts until its rate is known, days.</param>
    public static Levels Read(
        PlantJournal journal,
        EntryKind kind,
        bool stands,
        bool overWater,
        double lowCm,
        DateOnly today,
        double lasts = WeekDays
    )
    {
        var season = SeasonOf(journal, kind, stands, today);
        var (falls, refills) = (new List<(DateOnly, double)>(), new List<int>());
        LevelSeen? level = null;
        Entry? filled = null;
        var seenOn = new List<DateOnly>();
        foreach (var entry in journal.Entries)
        {
            if (entry.Kind == kind && Of(entry) is { } seen)
            {
                if (level is not null && seen.Cm < level.Cm && seen.On > level.On && Teaches(level.On, seen.On, season))
                    falls.Add((seen.On, (level.Cm - seen.Cm) / (seen.On.DayNumber - level.On.DayNumber)));
                level = seen;
                if (seen.On >= season)
                    seenOn.Add(seen.On);
            }
            else if (Fills(entry, stands))
            {
                if (filled is not null && entry.On > filled.On && Teaches(filled.On, entry.On, season))
                    refills.Add(entry.On.DayNumber - filled.On.DayNumber);
                (filled, level) = (entry, null);
            }
        }
        return new(kind, stands, overWater, level, filled, lowCm, falls, refills, lasts, Habit(seenOn));
    }

    /// <summary>
    /// Counted back from when it was last seen or filled, so that days without a word unteach nothing; but what is a season old is.
    /// </summary>
    static DateOnly SeasonOf(PlantJournal journal, EntryKind kind, bool stands, DateOnly today)
    {
        var season = today.AddDays(-SeasonDays);
        for (var i = journal.Entries.Count - 1; i >= 0 && journal.Entries[i].On >= season; i--)
            if (journal.Entries[i] is var entry && (entry.Kind == kind || Fills(entry, stands)))
                return entry.On.AddDays(-SeasonDays);
        return season;
    }

    /// <summary>Who looks again and again with an even hand has a rhythm (rule L6).</summary>
    static int? Habit(List<DateOnly> seenOn) =>
        seenOn.Count < LeastHabit
            ? null
            : (int)Math.Ceiling(seenOn.Zip(seenOn.Skip(1), (from, to) => (double)(to.DayNumber - from.DayNumber)).Median());

    const int LeastHabit = 6;

    static bool Teaches(DateOnly from, DateOnly to, DateOnly season) => to >= season && to.DayNumber - from.DayNumber <= GapDays;

    /// <summary>A sprinkling from above fills no tray; over a reservoir, and in a cover pot, any water does.</summary>
    static bool Fills(Entry entry, bool tray) => entry.Kind == ToppedUp || (!tray && (entry.IsWatering || entry.Kind == Repotted));

    static LevelSeen? Of(Entry entry) =>
        entry.Text == "empty" ? new(0, entry.On)
        : entry.Amount is { } cm ? new(cm.InBase, entry.On)
        : null;
}

/// <summary>A level as it was written down; one called empty has none.</summary>
public sealed record LevelSeen(double Cm, DateOnly On)
{
    /// <summary>"1.5 cm", "empty".</summary>
    public string Words => Cm <= 0 ? "empty" : string.Create(CultureInfo.InvariantCulture, $"{Cm:0.#} cm");
}

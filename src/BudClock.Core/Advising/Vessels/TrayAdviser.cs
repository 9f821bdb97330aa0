using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W6: a plant that stands in a tray of mineral-poor water. Refill when the tray is dry, before the medium is.</summary>
/// <remarks>Common practice: 2.5 to 5 cm of water (2.5 for butterworts), below 100 ppm dissolved solids; flushed from the top every two months.</remarks>
public sealed class TrayAdviser : IAdviser
{
    public string Rule => "W6";

    public IReadOnlyList<string> Thresholds => ["depth", "tds", "flush", "every"];

    public Advice? Advise(Situation now) => now.Plant.Vessel is null && now.InGrowth ? Judge(now, now.Journal) : null;

    /// <summary>The advice for a tray, from the levels in a journal: the plant's own, or all those of a shared tray.</summary>
    public static Advice Judge(Situation now, PlantJournal levels)
    {
        var (depth, tds) = (now.Needs("W6", "depth"), now.Needs("W6", "tds"));
        var fill = string.Create(CultureInfo.InvariantCulture, $"refill to {depth:0.#} cm with water below {tds:0} ppm");
        var level = DrinkingRate.Level(levels, EntryKinds.Tray, now.Today);
        if (now.Journal.State(EntryKinds.Medium, _ => true) is { Value: "dry" } dry && !(level?.On > dry.On))
            return Say(now, Verdict.Do, Ground.Emergency, $"The medium is dry: {fill} now.", [Condition.Sign("medium dry", dry.On)]);
        if (level is null) return Say(now, Verdict.Look, Ground.Interval, $"No level of its tray is on record: look, and {fill}.", [new("water in the tray", null, new(0), "cm", false, null)]);
        if (level.Cm <= DrinkingRate.EmptyCm) return Say(now, Verdict.Do, Ground.Sign, $"The tray was {(level.Cm <= 0 ? "empty" : $"down to {level.Cm:0.#} cm")} {Dates.Ago(level.On, now.Today)}: {fill}.", [Condition.Sign("tray empty", level.On)]);
        if (FlushDue(now) is { } flush) return flush;
        var empty = DrinkingRate.EmptyOn(levels, EntryKinds.Tray, now.Today) ?? level.On.AddDays((int)now.Needs("W6", "every"));
        Condition left = new("water in the tray", new(level.Cm), new(depth), "cm", level.Cm >= depth, level.On);
        return empty <= now.Today
            ? Say(now, Verdict.Look, Ground.Interval, $"At its rate the tray is empty by now: look, and {fill}.", [left])
            : Say(now, Verdict.Hold, Ground.Interval, $"{level.Cm:0.#} cm in the tray {Dates.Ago(level.On, now.Today)}; empty about {Dates.Short(empty)}.", [left], empty);
    }

    /// <summary>Salts stay behind where water only leaves by the leaves.</summary>
    static Advice? FlushDue(Situation now)
    {
        if (now.Needs("W6", "flush") is not (> 0 and var every) || now.Journal.Last(EntryKinds.Rinsed) is not { } last) return null;
        var days = now.Today.DayNumber - last.On.DayNumber;
        return days < every ? null : Say(now, Verdict.Do, Ground.Interval, $"Flushed {Dates.Ago(last.On, now.Today)}: flush it from the top against salts.",
            [new("days since the last flush", new(days), new(every), "days", true, last.On)]) with
        { LoggedAs = EntryKinds.Rinsed };
    }

    static Advice Say(Situation now, Verdict verdict, Ground ground, string reason, Condition[] conditions, DateOnly? due = null) =>
        new(Topics.Water, "W6", verdict, due ?? now.Today, reason, conditions) { Ground = ground, LoggedAs = EntryKinds.Tray };
}

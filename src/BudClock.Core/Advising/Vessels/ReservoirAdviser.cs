using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W9: a reservoir is topped up as it falls, and a change of the drinking rate is news.</summary>
/// <remarks>A plant in spike drinks more; a fall in drinking with limp leaves means roots.</remarks>
public sealed class ReservoirAdviser : IAdviser
{
    public string Rule => "W9";

    public IReadOnlyList<string> Thresholds => ["low", "every", "change"];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth) return null;
        if (News(now) is { } news) return news;
        var level = DrinkingRate.Level(now.Journal, EntryKinds.Reservoir, now.Today);
        var filled = now.Journal.Waterings.LastOrDefault();
        var low = now.Needs(Rule, "low");
        if (level is not null && !(filled?.On > level.On) && level.Cm <= low)
            return Say(now, Verdict.Do, Ground.Sign, $"The reservoir was down to {Cm(level.Cm)} {Dates.Ago(level.On, now.Today)}: top up.", Condition.Sign("reservoir low", level.On));
        var since = level?.On > filled?.On ? level!.On : filled?.On ?? level?.On;
        if (since is not { } day) return Say(now, Verdict.Look, Ground.Interval, "No level is on record: look at the reservoir.", new("reservoir level", null, new(low), "cm", false, null));
        var due = DrinkingRate.EmptyOn(now.Journal, EntryKinds.Reservoir, now.Today) is { } empty && empty > day ? empty : day.AddDays((int)now.Needs(Rule, "every"));
        Condition days = new("days since the level was seen or filled", new(now.Today.DayNumber - day.DayNumber), new(due.DayNumber - day.DayNumber), "days", now.Today >= due, day);
        return now.Today >= due
            ? Say(now, Verdict.Look, Ground.Interval, $"Level last seen or filled {Dates.Ago(day, now.Today)}: look, and top up.", days)
            : Say(now, Verdict.Hold, Ground.Interval, $"Topped up or seen {Dates.Ago(day, now.Today)}; low again about {Dates.Short(due)}.", days, due);
    }

    Advice? News(Situation now)
    {
        var falls = DrinkingRate.Falls(now.Journal, EntryKinds.Reservoir);
        if (falls.Count < 4) return null;
        var (latest, before) = (falls[^1], falls.SkipLast(1).TakeLast(5).Select(f => f.CmPerDay).Order().ToList());
        var usual = before[before.Count / 2];
        var share = latest.CmPerDay / usual;
        var limp = now.Journal.State(EntryKinds.Leaves, _ => true);
        if (share > 1 - (now.Needs(Rule, "change") / 100) || limp?.Value is not ("limp" or "pliable") || now.Phase.Phase is Phase.Recovering) return null;
        return Say(now, Verdict.Look, Ground.Emergency, $"It drinks {share * 100:0} % of its usual and the leaves are {limp.Value}: look at the roots.",
            new("drinking rate", new(Math.Round(latest.CmPerDay, 2)), new(Math.Round(usual, 2)), "cm a day", false, latest.On));
    }

    Advice Say(Situation now, Verdict verdict, Ground ground, string reason, Condition condition, DateOnly? due = null) =>
        new(Topics.Water, Rule, verdict, due ?? now.Today, reason, [condition]) { Ground = ground, LoggedAs = EntryKinds.ToppedUp };

    static string Cm(double cm) => cm.ToString("0.#", CultureInfo.InvariantCulture) + " cm";
}

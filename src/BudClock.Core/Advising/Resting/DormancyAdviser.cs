using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D1: when leaves go, is it dormancy or rot? Season, habit, speed and a firm base tell.</summary>
/// <remarks>
/// Short and shortening days, leaves going oldest first and a firm base: dormant, and normal. All leaves gone quickly, a soft
/// or smelling base, or the wrong season: the roots and stem are looked at first. Until the base is felt, it asks.
/// </remarks>
public sealed class DormancyAdviser : IAdviser
{
    const int AskedForDays = 28;

    public string Rule => "D1";

    public IReadOnlyList<string> Thresholds => ["day-length", "fast"];

    public Advice? Advise(Situation now)
    {
        var since = now.Today.AddDays(-AskedForDays);
        if (now.Journal.Last(LeafDropped, LeavesGone) is not { } gone || gone.On <= since || now.Journal.FirstSince(gone.On, GrowthStarted, LeafStarted, Lifted, Stored) is not null) return null;
        var base_ = now.Journal.Of(Base, Tuber).LastOrDefault(e => e.On >= gone.On.AddDays(-3));
        var (season, speed) = (Season(now), Speed(now, gone));
        var feel = new Condition("base or tuber", base_?.Text is { } felt ? new(felt) : null, new("firm"), null, base_?.Text == "firm", base_?.On);
        Condition[] conditions = speed is null ? [season, feel] : [season, speed, feel];

        if (base_?.Text is "soft" or "smelling" or "mouldy") return Say(Verdict.Look, Topics.Health, $"Leaves go and the base is {base_.Text}: take it out, look at roots and stem, cut to firm tissue, keep it apart.", Ground.Emergency);
        if (base_ is null) return Say(Verdict.Look, Topics.Rest, "Leaves are going: feel the base. Firm, soft, or smelling?", Ground.Sign);
        if (season.Met && speed?.Met != false) return Say(Verdict.Do, Topics.Rest, "Short days, leaves going in their time, a firm base: it is going to rest, which is normal. Water and feed less.", Ground.Sign);
        return Say(Verdict.Look, Topics.Health, $"{(season.Met ? "All leaves went quickly" : "This is not its season to rest")}: look at the roots and the stem before you let it dry.", Ground.Sign);

        Advice Say(Verdict verdict, string topic, string reason, Ground ground) => new(topic, Rule, verdict, now.Today, reason, conditions) { Ground = ground, LoggedAs = verdict is Verdict.Do ? Note : Base };
    }

    Condition Season(Situation now)
    {
        var hours = now.Around.DayHours(now.Today);
        var resting = now.Sheet.Phases.Any(p => p.Phase is Phase.GoingToRest or Phase.Resting && Within(p.From, p.To, now));
        var met = resting || (hours is { } day && now.Around.DaysShorten(now.Today) && day <= now.Needs(Rule, "day-length") + 2);
        return new("season to rest", met ? new("yes") : new("no"), new("yes"), null, met, now.Today);
    }

    /// <summary>Whether today lies in a usual span of the sheet, with two weeks to either side.</summary>
    static bool Within(MonthDay from, MonthDay to, Situation now)
    {
        var southern = now.Around.Garden.Southern;
        return Enumerable.Range(-1, 3).Any(year =>
        {
            var start = from.In(now.Today.Year + year, southern);
            var end = to.In(now.Today.Year + year, southern);
            if (end < start) end = end.AddYears(1);
            return now.Today >= start.AddDays(-14) && now.Today <= end.AddDays(14);
        });
    }

    /// <summary>Days from the first leaf that went to the last: all at once is a warning.</summary>
    Condition? Speed(Situation now, Entry gone)
    {
        var first = now.Journal.Of(LeafDropped, Leaves).FirstOrDefault(e => e.On > gone.On.AddDays(-90) && (e.Kind == LeafDropped || e.Text == "yellowing"));
        var fast = now.Needs(Rule, "fast");
        if (gone.Kind != LeavesGone) return new("leaves go one after another", new("so far"), new("yes"), null, true, gone.On);
        if (first is null) return null; // nobody wrote down how they went
        var days = gone.On.DayNumber - first.On.DayNumber;
        return new("days from first to last leaf", new(days), new(fast), "days", days >= fast, gone.On);
    }
}

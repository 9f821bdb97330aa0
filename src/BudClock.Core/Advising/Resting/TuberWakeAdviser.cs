using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D4: a tuber wakes by warmth; one that sprouts in its bag has woken.</summary>
/// <remarks>Common practice: days about 21 °C, nights 15 °C or more; 4 to 5 cm of medium above it; shoots in 4 to 5 weeks where it is warm.</remarks>
public sealed class TuberWakeAdviser : IAdviser
{
    public string Rule => "D4";

    public IReadOnlyList<string> Thresholds => ["night", "depth", "shoots-from", "shoots-to"];

    public Advice? Advise(Situation now) => now.Rest is { } rest ? Resting(now, rest) : Planted(now);

    Advice? Resting(Situation now, RestState rest)
    {
        var sprouting = rest.Feel is { Text: "sprouting" } sprout ? sprout.On : (DateOnly?)null;
        if (sprouting is null && !(rest.Wakes <= now.Today)) return null;
        var nights = Condition.AtLeast("coolest night", now.CoolestNightC, now.Needs(Rule, "night"), "°C");
        var plant = $"plant it with {now.Needs(Rule, "depth"):0.#} cm of medium above, and keep it warm. Feed and full light only once leaves come.";
        if (sprouting is { } woke && nights.Met) return Say(Verdict.Do, $"It sprouts since {Dates.Near(woke, now.Today)}: {plant}", Condition.Sign("sprouting", woke), nights);
        if (sprouting is not null) return Say(Verdict.Look, $"It sprouts, but {(now.CoolestNightC is { } night ? $"nights are down to {night.Value:0.#} °C" : "no night is known here")}: find it {now.Needs(Rule, "night"):0} °C or more before you plant it.", Condition.Sign("sprouting", sprouting), nights);
        return nights.Met ? Say(Verdict.Look, $"Its time to wake and warm enough: feel it, and {plant}", nights) : null;
    }

    Advice? Planted(Situation now)
    {
        if (now.Journal.Last(EntryKinds.Planted, EntryKinds.GrowthStarted, EntryKinds.LeafStarted, EntryKinds.LeavesGone) is not { } last || last.Kind != EntryKinds.Planted) return null;
        var (from, to) = (last.On.AddDays((int)now.Needs(Rule, "shoots-from")), last.On.AddDays((int)now.Needs(Rule, "shoots-to")));
        Condition days = new("days since planting", new(now.Today.DayNumber - last.On.DayNumber), new(now.Needs(Rule, "shoots-to")), "days", now.Today >= to, last.On);
        return now.Today >= to
            ? Say(Verdict.Look, $"Planted {Dates.Ago(last.On, now.Today)}, no shoot yet: is it warm enough below? Where it is cool it takes months.", days)
            : Say(Verdict.Hold, $"Planted {Dates.Ago(last.On, now.Today)}: shoots about {Dates.Range(from, to)} where it is warm.", days) with { Due = from };
    }

    Advice Say(Verdict verdict, string reason, params Condition[] conditions) => new(Topics.Wake, Rule, verdict, null, reason, conditions) { LoggedAs = EntryKinds.Planted };
}

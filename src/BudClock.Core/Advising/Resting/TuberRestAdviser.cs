using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D3: how a tuber or bulb rests, by its school, and the monthly check by feel.</summary>
/// <remarks>Common practice: dry tubers never below 15 °C; checked monthly for firm, soft, mouldy, sprouting.</remarks>
public sealed class TuberRestAdviser : IAdviser
{
    public const string Question = "tuber-rest";
    public const string InPotDamp = "pot-barely-damp";

    public string Rule => "D3";

    public IReadOnlyList<string> Thresholds => ["warm", "damp"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not { } rest) return null;
        var (school, others) = now.School(Question) ?? default;
        var damp = school?.Name == InPotDamp && !rest.Lifted;
        if (rest.Feel?.Text is "soft" or "mouldy" or "smelling")
            return Say(Verdict.Look, rest.Feel.On, $"It was {rest.Feel.Text} {Dates.Ago(rest.Feel.On, now.Today)}: out of the store, cut to firm tissue, dust, and keep it apart.", Ground.Emergency, Condition.State("tuber", new(rest.Feel.Text, rest.Feel.On), "firm", s => s == "firm"));
        var wetted = now.Journal.Last(EntryKinds.Watered)?.On is { } wet && wet > rest.Since ? wet : rest.Since;
        if (damp && now.Today.DayNumber - wetted.DayNumber >= now.Needs(Rule, "damp"))
            return Say(Verdict.Do, now.Today, "In the pot, barely damp: a light wetting, so that it never shrivels.", Ground.Veto,
                new("days since it was wetted", new(now.Today.DayNumber - wetted.DayNumber), new(now.Needs(Rule, "damp")), "days", true, wetted)) with
            { LoggedAs = EntryKinds.Watered };
        return Say(Verdict.Hold, null, $"Resting {(rest.Lifted ? "out of its pot" : "in its pot")} since {Dates.Near(rest.Since, now.Today)}: {(damp ? "barely damp" : "dry")}, dark, not below {now.Needs(Rule, "warm"):0} °C.", Ground.Veto,
            Condition.AtLeast("coolest night", now.CoolestNightC, now.Needs(Rule, "warm"), "°C"));

        Advice Say(Verdict verdict, DateOnly? due, string reason, Ground ground, Condition condition) =>
            new(Topics.Water, Rule, verdict, due, reason, [condition]) { Ground = ground, School = school?.Name, Others = others ?? [] };
    }
}

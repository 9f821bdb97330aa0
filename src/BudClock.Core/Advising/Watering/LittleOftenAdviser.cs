using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W10: a semi-hydro monopodial in winter root growth: a little twice a week, or the week's water at once.</summary>
/// <remarks>Common practice: about 30 mL twice a week instead of 60 once; the weekly volume is the same and is shown.</remarks>
public sealed class LittleOftenAdviser : IAdviser
{
    public const string Question = "winter-roots";
    const string LittleOften = "little-often";
    const double ShortDayHours = 11;

    public string Rule => "W10";

    public IReadOnlyList<string> Thresholds => ["weekly", "small"];

    public Advice? Advise(Situation now)
    {
        var roots = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Roots, Open: true });
        if (roots is null || now.Around.DayHours(now.Today) > ShortDayHours || now.School(Question) is not var (school, others)) return null;
        var (weekly, small) = (now.Needs(Rule, "weekly"), now.Needs(Rule, "small"));
        var dose = school.Name == LittleOften ? small : weekly;
        var every = Math.Max(1, (int)Math.Round(7 * dose / weekly));
        var last = now.Journal.Waterings.LastOrDefault();
        var days = last is null ? (int?)null : now.Today.DayNumber - last.On.DayNumber;
        var due = days is null || days >= every;
        Condition[] conditions = [Condition.Sign("winter roots under way", roots.From), new("days since water", days is { } d ? new(d) : null, new(every), "days", due && days is not null, last?.On)];
        var verdict = days is null ? Verdict.Look : due ? Verdict.Do : Verdict.Hold;
        return new(Topics.Water, Rule, verdict, last is null ? now.Today : last.On.AddDays(every), $"Winter roots: {dose:0} mL every {every} days, {weekly:0} mL a week{(due ? "" : $"; next {Dates.Short(last!.On.AddDays(every))}")}.", conditions)
        { Ground = Ground.Sign, School = school.Name, Others = others, Amount = $"{dose:0} mL", LoggedAs = EntryKinds.Watered };
    }
}

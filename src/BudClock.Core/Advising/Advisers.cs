using BudClock.Core.Advising.Feeding;
using BudClock.Core.Advising.Health;
using BudClock.Core.Advising.Looking;
using BudClock.Core.Advising.Placing;
using BudClock.Core.Advising.Resting;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Advising.Watering;
using BudClock.Core.Culture;

namespace BudClock.Core.Advising;

/// <summary>Every rule, in the order in which a plant's advice is given.</summary>
public static class Advisers
{
    public static readonly IReadOnlyList<IAdviser> All =
    [
        new FirstSoakAdviser(), new FirstWaterAdviser(), new SecondLookAdviser(),
        new NoRootsAdviser(), new CoverPotAdviser(), new WinterRosetteAdviser(), new TuberRestAdviser(), new HeldBackAdviser(), new AroidRestAdviser(),
        new ShrubRestAdviser(), new ArumRestAdviser(), new RestHoldAdviser(), new DieBackAdviser(),
        new LittleOftenAdviser(), new ReservoirAdviser(), new TrayAdviser(), new PebblesAdviser(), new FromBelowAdviser(), new NeverDryAdviser(), new DryOutAdviser(), new MeterAdviser(),
        new DormancyAdviser(), new StoreCheckAdviser(), new TuberWakeAdviser(),
        new NewcomerFeedAdviser(), new RootLossFeedAdviser(), new NotHungerAdviser(), new SaltAdviser(), new LeafFeedAdviser(), new FeedAdviser(),
        new YellowLeafAdviser(), new LeafInLeafOutAdviser(), new TwoGrowthsAdviser(), new ShelterAdviser(), new TurnAdviser(), new MeasureAdviser(),
    ];

    /// <summary>Rules that only lend their thresholds to others: the stretch of an interval.</summary>
    static readonly Dictionary<string, string[]> Lent = new() { ["W12"] = ["stretch"], ["F3"] = ["share", "rising", "weak", "frequent"], ["W17"] = ["day-length", "stretch"], ["D7"] = ["day-length", "lamps", "stretch"] };

    /// <summary>Thresholds that a rule needs and a sheet that names the rule does not give, as sentences.</summary>
    public static IReadOnlyList<string> MissingOn(IEnumerable<CultureSheet> sheets) =>
    [
        .. from sheet in sheets
           from rule in sheet.Rules
           let advisers = All.Where(a => a.Rule == rule.Key).ToList()
           from fault in Faults(advisers.Count > 0 ? [.. advisers.SelectMany(a => a.Thresholds)] : Lent.GetValueOrDefault(rule.Key), rule.Value)
           select $"Sheet {sheet.Name}, rule {rule.Key}: {fault}",
    ];

    static IEnumerable<string> Faults(IReadOnlyList<string>? needed, RuleSheet rule) => needed is null
        ? ["no such rule"]
        : needed.Where(name => !rule.Thresholds.ContainsKey(name)).Select(name => $"{name} is missing");
}

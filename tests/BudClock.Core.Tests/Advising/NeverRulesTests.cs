using BudClock.Core.Advising;
using BudClock.Core.Advising.Resting;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Formats;
using BudClock.Core.Mixing;
using BudClock.Core.Saying;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>What must hold for any journal, however odd.</summary>
public class NeverRulesTests
{
    /// <summary>One of each habit, and some whose sheet goes by the medium.</summary>
    static readonly string[] Taxa =
    [
        "Lycaste aromatica", "Mormodes buccinator", "Cattleya intermedia", "Miltoniopsis vexillaria", "Phalaenopsis amabilis", "Vanda coerulea", "Paphiopedilum insigne", "Caladium bicolor",
        "Gloriosa superba", "Sinningia speciosa", "Alocasia odora", "Alocasia reginula", "Zantedeschia elliottiana", "Clivia miniata", "Narcissus papyraceus", "Hippeastrum vittatum",
        "Nerine bowdenii", "Hoya carnosa", "Ceropegia woodii", "Saintpaulia ionantha", "Streptocarpus caulescens", "Euphorbia milii", "Pinguicula moranensis", "Drosera capensis", "Schlumbergera truncata",
    ];

    static readonly Gen<Entry> AnyEntry =
        from kind in Gen.OneOf<EntryKind>([.. EntryKinds.All])
        from back in Gen.Int[0, 420]
        from value in Gen.Int[0, 300]
        from struck in Gen.Int[0, 9]
        from state in Gen.Int[0, 5]
        let inBase = kind.Measure is { } m ? Math.Clamp(value / 10.0, m.Min, m.Max) : 0
        select At(Today.AddDays(-back), kind,
            kind.Measure is { } measure ? new Quantity(inBase, Unit.Default(measure.Dimension, false)) : null,
            kind.States.Length > 0 ? kind.States[state % kind.States.Length] : null) with
        { Struck = struck == 0 };

    static readonly Gen<Plant> AnyPlant =
        from entries in AnyEntry.Array[0, 25]
        from taxon in Gen.OneOf(Taxa)
        from deep in Gen.Int[5, 20]
        from school in Gen.OneOf("soak", "sip", "no such school")
        from medium in Gen.OneOf("bark", "semi-hydro", "water")
        from rest in Gen.OneOf("lift-and-dry", "pot-barely-damp", "pot-dry")
        select Lycaste(entries) with { Taxon = taxon, Medium = medium, Pot = new(null, deep, null), Schools = Choices.None.With(FirstWater.Question, school).With(TuberRestAdviser.Question, rest) };

    static readonly Gen<Assessment> AnyAssessment =
        from plant in AnyPlant
        from night in Gen.Int[5, 20]
        from known in Gen.Bool
        select Assess(plant, night: new(night, Today), coldUnknown: !known);

    [Fact]
    public void Nothing_is_done_on_a_condition_that_is_not_met() => Never(a =>
        a.Advice.Any(advice => advice.Verdict is Verdict.Do && advice.Conditions.Any(c => !c.Met)));

    [Fact]
    public void No_first_water_without_a_live_root() => Never(a =>
        a.Advice.Any(advice => advice is { Topic: Topics.FirstSoak, Verdict: Verdict.Do }) && !a.Situation!.Roots.Live);

    [Fact]
    public void No_water_for_a_plant_asleep() => Never(a =>
        a.Situation!.Season.Asleep && a.Advice.Any(advice => advice is { Topic: Topics.FirstSoak or Topics.Water, Verdict: Verdict.Do }));

    [Fact]
    public void No_water_for_a_tuber_out_of_its_pot() => Never(a =>
        a.Situation!.Rest is { Lifted: true } && a.Advice.Any(advice => advice is { Topic: Topics.Water, Verdict: Verdict.Do } && advice.LoggedAs == EntryKinds.Watered));

    [Fact]
    public void No_water_for_a_plant_without_a_live_root_but_to_move_a_tray_or_wet_a_resting_tuber() => Never(a =>
        a.Situation!.RootsDeadSince is not null && a.Situation.Rest is null && a.Advice.Any(advice => advice is { Topic: Topics.Water, Verdict: Verdict.Do, Rule: "W3" or "W4" or "W5" or "W9" or "W10" or "W16" }));

    [Fact]
    public void An_interval_alone_orders_no_water() => Never(a =>
        a.Advice.Any(advice => advice is { Topic: Topics.Water, Verdict: Verdict.Do, Ground: Ground.Interval or Ground.Date } && advice.LoggedAs != EntryKinds.Rinsed && advice.Rule != "W2"));

    [Fact]
    public void Nothing_on_feed_is_ordered_at_rest() => Never(a => a.Situation!.Rest is not null && a.Advice.Any(advice => advice is { Topic: Topics.Feed, Verdict: Verdict.Do }));

    [Fact]
    public void No_feed_for_a_newcomer_nor_without_a_live_root() => Never(a =>
        (a.Phase.Phase is Phase.Newcomer || a.Situation!.RootsDeadSince > Today.AddDays(-200)) && Feeds(a) && a.Situation!.Sheet.Rule("F8") is null);

    [Fact]
    public void Nothing_goes_into_the_medium_of_a_carnivore() => Never(a => a.Situation!.Sheet.Rule("F8") is not null && a.Advice.Any(advice => advice.Bottle is not null and not Bottles.Leaf and not Bottles.Plain));

    [Fact]
    public void Feed_is_never_ordered_before_water_is() => Never(a =>
        Feeds(a) && a.Advice.Any(advice => advice is { Topic: Topics.Water or Topics.FirstSoak, Verdict: not Verdict.Do }) && a.Advice.All(advice => advice is not { Topic: Topics.Water or Topics.FirstSoak, Verdict: Verdict.Do })
        && a.Advice.Single(advice => advice.Topic == Topics.Feed).Bottle != Bottles.Leaf);

    static bool Feeds(Assessment a) => a.Advice.Any(advice => advice is { Topic: Topics.Feed, Verdict: Verdict.Do } && advice.LoggedAs == EntryKinds.Fed);

    [Fact]
    public void No_topic_hears_do_and_hold_at_once() => Never(a =>
        a.Advice.GroupBy(advice => advice.Topic).Any(topic => topic.Count() > 1));

    [Fact]
    public void Every_advice_names_a_rule_of_its_sheet_and_carries_a_reason_and_conditions() => Never(a =>
        a.Advice.Any(advice => a.Situation!.Sheet.Rule(advice.Rule) is null || !advice.Reason.EndsWith('.') && !advice.Reason.EndsWith('?') || advice.Conditions.Count == 0 && advice.Rule != "K4"));

    [Fact]
    public void An_unknown_condition_is_never_a_met_number() => Never(a =>
        a.Advice.SelectMany(advice => advice.Conditions).Any(c => c is { Have: null, Met: true, Need.Number: not null }));

    [Fact]
    public void A_plant_that_is_gone_is_left_in_peace() => Never(a => a.Gone && (a.Advice.Count > 0 || LikelyEntries.For(a).Count > 0));

    [Fact]
    public void The_order_in_which_entries_were_stored_changes_nothing() =>
        (from plant in AnyPlant from shuffled in Gen.Shuffle(plant.Entries.ToArray()) select (plant, shuffled)).Sample(pair =>
            Assert.Equal(AdviceJson.Write(Assess(pair.plant)), AdviceJson.Write(Assess(pair.plant with { Entries = pair.shuffled }))), iter: 500);

    [Fact]
    public void Striking_and_restoring_is_as_if_nothing_had_been() => AnyPlant.Where(plant => plant.Entries.Count > 0).Sample(plant =>
    {
        var struck = plant with { Entries = [plant.Entries[0] with { Struck = true }, .. plant.Entries.Skip(1)] };
        var restored = struck with { Entries = [struck.Entries[0] with { Struck = plant.Entries[0].Struck }, .. struck.Entries.Skip(1)] };
        Assert.Equal(AdviceJson.Write(Assess(plant)), AdviceJson.Write(Assess(restored)));
        Assert.DoesNotContain(Assess(struck).Situation!.Journal.Entries, e => e.Id == plant.Entries[0].Id);
    }, iter: 500);

    [Fact]
    public void What_comes_later_does_not_change_what_is_said_of_today() => (from plant in AnyPlant from later in AnyEntry select (plant, later)).Sample(pair =>
    {
        var tomorrow = pair.later with { On = Today.AddDays(1) };
        Assert.Equal(AdviceJson.Write(Assess(pair.plant)), AdviceJson.Write(Assess(pair.plant with { Entries = [.. pair.plant.Entries, tomorrow] })));
    }, iter: 500);

    static void Never(Func<Assessment, bool> wrong) => AnyAssessment.Sample(a => Assert.False(wrong(a), AdviceJson.Write(a)), iter: 1500);
}

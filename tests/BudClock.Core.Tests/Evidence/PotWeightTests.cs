using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Evidence;

/// <summary>Logs of a grower with a scale. What each weight says was decided before the rule was written.</summary>
public class PotWeightTests
{
    static readonly string[] Learned = ["04-01 watered", "04-01 weight 620", "04-12 leaves limp", "04-12 weight 410", "04-12 watered"];

    static Entry Read(string line)
    {
        var parts = line.Split(' ');
        var kind = EntryKinds.Find(parts[1])!;
        var grams = kind == EntryKinds.Weight ? new Quantity(double.Parse(parts[2], null), Unit.Find("g")) : (Quantity?)null;
        return At($"2031-{parts[0]}", kind, grams, grams is null ? parts.ElementAtOrDefault(2) : null);
    }

    static Assessment On(string day, params string[] log)
    {
        var plant = new Plant
        {
            Tag = "HOY-01",
            Taxon = "Hoya carnosa",
            Place = "south",
            Entries =
            [
                At("2029-06-01", EntryKinds.Watered),
                .. log.Select((line, at) => Read(line) with { Logged = DateTimeOffset.UnixEpoch.AddSeconds(at) }),
            ],
        };
        var around = new Surroundings(new("Test", 51.5, 0, "Europe/London")) { Weather = new([Mild], [], [], []) };
        return Assessor.Shipped.Assess(plant, around, DateOnly.ParseExact($"2031-{day}", "yyyy-MM-dd", null));
    }

    [Theory]
    [InlineData("04-20", "04-20 weight 415", Wet.Dry)] // as light as when it hung
    [InlineData("04-20", "04-20 weight 500", Wet.Damp)] // half way
    [InlineData("04-20", "04-20 weight 460", Wet.Unknown)] // between
    [InlineData("04-20", "04-20 weight 380", Wet.Dry)] // lighter still
    [InlineData("05-20", "04-20 weight 500", Wet.Unknown)] // long ago
    [InlineData("04-20", "04-20 weight 415, 04-20 medium damp", Wet.Damp)] // a finger says more
    [InlineData("04-22", "04-20 medium damp, 04-22 weight 405", Wet.Dry)] // the newer of the two
    [InlineData("04-22", "04-20 weight 405, 04-21 watered", Wet.Unknown)] // watered since
    [InlineData("04-22", "04-15 repotted, 04-20 weight 405", Wet.Unknown)] // another pot
    public void A_weight_says_what_a_finger_says(string day, string more, Wet wet) =>
        Assert.Equal(wet, On(day, [.. Learned, .. more.Split(", ")]).Situation.Wetness.State);

    [Theory]
    [InlineData("04-12 leaves limp", "04-12 weight 410")] // never weighed full
    [InlineData("04-01 watered", "04-01 weight 620")] // never weighed thirsty
    [InlineData("04-01 watered", "04-01 weight 620", "04-12 leaves firm", "04-12 weight 410")] // nothing asked
    [InlineData("04-01 watered", "04-01 weight 620", "04-12 leaves limp", "04-12 medium damp", "04-12 weight 410")] // roots, not thirst
    [InlineData("04-01 watered", "04-01 weight 430", "04-12 leaves limp", "04-12 weight 410")] // too near each other
    public void Until_both_are_known_a_weight_says_nothing(params string[] log) =>
        Assert.Null(PotWeight.Read(On("04-20", log).Situation.Journal, new(2031, 4, 20)));

    [Fact]
    public void Limp_and_light_is_thirst_limp_and_heavy_means_the_roots()
    {
        var thirst = On("04-24", [.. Learned, "04-24 leaves limp", "04-24 weight 412"]);
        Assert.Equal(ThirstKind.Thirsty, thirst.Situation.Thirst.Kind);
        Assert.Contains(thirst.Advice, advice => advice is { Topic: Topics.Water, Verdict: Verdict.Do });
        var roots = On("04-24", [.. Learned, "04-24 leaves limp", "04-24 weight 590"]);
        Assert.Equal(ThirstKind.RootAlarm, roots.Situation.Thirst.Kind);
        Assert.DoesNotContain(roots.Advice, advice => advice is { Topic: Topics.Water, Verdict: Verdict.Do });
        Assert.Contains(roots.Advice, advice => advice.Reason.Contains("590 g, heavy with water", StringComparison.Ordinal));
    }

    [Fact]
    public void A_light_pot_of_a_rotten_plant_is_not_watered() =>
        Assert.DoesNotContain(On("04-24", [.. Learned, "04-23 base soft", "04-24 weight 412"]).Advice, advice =>
            advice is { Verdict: Verdict.Do, Care: Care.GiveWater or Care.WetLightly }
        );
}

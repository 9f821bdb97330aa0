using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Rule G2 beyond its situations: the same log earlier, larger or in the other hemisphere is judged the same way.</summary>
public class SmallerTests
{
    static readonly Organ[] Two = [new("g30", Organ.Growth, "2030"), new("g31", Organ.Growth, "2031", "g30")];
    static readonly DateOnly Done = new(2031, 9, 20);

    static Plant Cattleya(double before, double last, params Entry[] log) =>
        new()
        {
            Tag = "CTT-01",
            Taxon = "Cattleya labiata",
            Acquired = new(2026, 3, 1),
            Medium = "bark",
            Organs = Two,
            Entries =
            [
                At("2030-04-01", EntryKinds.GrowthStarted).Of("g30"),
                At("2030-09-20", EntryKinds.GrowthMatured).Of("g30"),
                At("2030-09-21", EntryKinds.BulbSize, Cm(before)).Of("g30"),
                At("2031-04-01", EntryKinds.GrowthStarted).Of("g31"),
                .. log,
                At(Done, EntryKinds.GrowthMatured).Of("g31"),
                At(Done.AddDays(1), EntryKinds.BulbSize, Cm(last)).Of("g31"),
            ],
        };

    static Advice? Said(Plant plant, DateOnly? on = null, Garden? garden = null) =>
        Assessor
            .Shipped.Assess(
                plant,
                new Surroundings(garden ?? Around.Garden) { Place = new("here", "Here", "indoors") },
                on ?? Done.AddDays(10)
            )
            .Rule("G2");

    /// <summary>What may have happened in between; one of each cause, and what is none.</summary>
    static readonly Entry[] Happened =
    [
        At("2031-03-10", EntryKinds.Divided),
        At("2031-03-12", EntryKinds.Repotted, text: "bark"),
        At("2031-02-10", EntryKinds.RootsLost),
        At("2031-05-01", EntryKinds.Pest, text: "scale on the new growth"),
        At("2031-06-01", EntryKinds.Bulbs, text: "shrivelled"),
        At("2031-07-20", EntryKinds.Leaves, text: "limp"),
        At("2031-05-10", EntryKinds.RootsStarted),
        At("2031-05-12", EntryKinds.Fed),
        At("2031-06-12", EntryKinds.Watered, new Quantity(200, Unit.Ml)),
    ];

    static readonly Gen<Entry[]> Some = Gen.Bool.Array[Happened.Length].Select(takes => Happened.Where((_, n) => takes[n]).ToArray());

    [Fact]
    public void Whatever_happened_it_is_said_with_a_cause_or_a_look_and_never_with_more_feed_or_another_pot() =>
        Some.Sample(log =>
        {
            var said = Said(Cattleya(8, 5, log));
            Assert.NotNull(said);
            Assert.NotEqual(Verdict.Do, said.Verdict);
            Assert.True(said.Care is Care.Look or Care.LeaveAlone);
            Assert.DoesNotContain("more feed", said.Reason, StringComparison.Ordinal);
            // Each cause in the log stands among the conditions with its day.
            foreach (
                var entry in log.Where(e => e.Kind == EntryKinds.Divided || e.Kind == EntryKinds.RootsLost || e.Kind == EntryKinds.Pest)
            )
                Assert.Contains(said.Conditions, condition => condition.Seen == entry.On);
            if (said.Conditions.Count > 2)
                Assert.Contains("cannot be told apart", said.Reason, StringComparison.Ordinal);
        });

    [Fact]
    public void Years_earlier_it_is_the_same() =>
        Some.Sample(log =>
        {
            var plant = Cattleya(8, 5, log);
            var earlier = plant with
            {
                Acquired = plant.Acquired!.Value.AddYears(-4), // a leap year apart, so that days keep their place in the year
                Entries = [.. plant.Entries.Select(e => e with { On = e.On.AddYears(-4), Logged = e.Logged.AddYears(-4) })],
            };
            var (now, then) = (Said(plant)!, Said(earlier, Done.AddDays(10).AddYears(-4))!);
            Assert.Equal((now.Verdict, now.Care, now.Conditions.Count), (then.Verdict, then.Care, then.Conditions.Count));
        });

    [Fact]
    public void In_any_size_what_counts_is_the_share_above_the_error_of_a_reading()
    {
        Assert.NotNull(Said(Cattleya(8, 6.7)));
        Assert.Null(Said(Cattleya(8, 6.9))); // more than 85 %
        Assert.NotNull(Said(Cattleya(40, 33)));
        Assert.Null(Said(Cattleya(2, 1.6))); // 80 % of a miniature is within the error of two readings
        Assert.Null(Said(Cattleya(8, 5), Done.AddDays(60))); // no news any more
    }

    [Theory]
    [InlineData(51.5, 4, 10)] // the one before grew from April, the smaller one from October
    [InlineData(-33.9, 10, 4)]
    public void A_winter_growth_is_normal_in_either_hemisphere(double latitude, int summer, int winter)
    {
        var garden = new Garden("Glass", latitude, 18, "Europe/London");
        var plant = new Plant
        {
            Tag = "D-1",
            Taxon = "Dendrobium bigibbum",
            Acquired = new(2026, 3, 1),
            Organs = Two,
            Entries =
            [
                At(new DateOnly(2029, summer, 1), EntryKinds.GrowthStarted).Of("g30"),
                At(new DateOnly(2029, summer, 1).AddDays(140), EntryKinds.GrowthHeight, Cm(25)).Of("g30"),
                At(new DateOnly(2029, summer, 1).AddDays(141), EntryKinds.GrowthMatured).Of("g30"),
                At(new DateOnly(2030, winter, 10), EntryKinds.GrowthStarted).Of("g31"),
                At(new DateOnly(2030, winter, 10).AddDays(130), EntryKinds.GrowthHeight, Cm(14)).Of("g31"),
                At(new DateOnly(2030, winter, 10).AddDays(131), EntryKinds.GrowthMatured).Of("g31"),
            ],
        };
        var said = Said(plant, new DateOnly(2030, winter, 10).AddDays(135), garden);
        Assert.Equal(Verdict.Hold, said!.Verdict);
        Assert.Contains("short, cool days", said.Reason, StringComparison.Ordinal);
        // Where nothing is known of the days, nothing is concluded from them.
        var unknown = Said(plant, new DateOnly(2030, winter, 10).AddDays(135), garden with { Latitude = null });
        Assert.Equal(Verdict.Look, unknown!.Verdict);
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Core.Tests.Practising;

/// <summary>Between a log and a simulated plant: what an entry does, what is seen of a plant, and how an act stood to the advice.</summary>
public class TellingTests
{
    static readonly DateOnly Day = new(2031, 5, 24);

    [Theory]
    [InlineData("watered", "300 ml", null, new[] { Deed.Water })]
    [InlineData("watered", "30 ml", null, new[] { Deed.Wet })]
    [InlineData("watered", null, "lightly", new[] { Deed.Wet })]
    [InlineData("soaked", null, null, new[] { Deed.Water })]
    [InlineData("tray", "2.5 cm", null, new[] { Deed.Water })]
    [InlineData("tray", null, "empty", new Deed[0])]
    [InlineData("fed", null, null, new[] { Deed.Feed })]
    [InlineData("fed", "200 ml", null, new[] { Deed.Water, Deed.Feed })]
    [InlineData("treated", null, "cut to firm tissue, dusted", new[] { Deed.CutOut })]
    [InlineData("treated", null, "soap", new[] { Deed.Treat })]
    [InlineData("repotted", null, null, new[] { Deed.Repot })]
    [InlineData("rinsed", null, null, new[] { Deed.Flush })]
    [InlineData("lifted", null, null, new[] { Deed.Lift })]
    [InlineData("planted", null, null, new[] { Deed.Plant })]
    [InlineData("leaves", null, "limp", new Deed[0])]
    [InlineData("root-length", "8 cm", null, new Deed[0])]
    public void An_entry_does_what_it_says(string kind, string? amount, string? text, Deed[] deeds)
    {
        var quantity = amount?.Split(' ') is [var value, var unit]
            ? new Quantity(double.Parse(value, System.Globalization.CultureInfo.InvariantCulture), Unit.Find(unit))
            : (Quantity?)null;
        Assert.Equal(deeds, Deeds.Of(Specimens.At(Day, EntryKinds.Find(kind)!, quantity, text)));
    }

    [Fact]
    public void Whatever_a_plant_shows_is_a_word_of_the_journal()
    {
        foreach (var habit in Habits.All)
        {
            var plant = new SimulatedPlant(habit, Beginnings.Fresh(habit, 1, "A-1"));
            for (var day = 0; day < 700; day++)
            {
                var summer = Math.Cos((day - 80) / 365.0 * 2 * Math.PI);
                var air = new Air(Day.AddDays(day), 12 + (4 * summer), 20 + (5 * summer), 0.8, 12 + (4 * summer), 12 - (4 * summer), 0.9);
                plant.Live(air, plant.Medium?.State == "dry" && !plant.Asleep ? [Deed.Water] : []);
                var shown = CarefulEye.Glance(plant, null, null).Concat(plant.Measured()).Append(plant.Base).Append(plant.RootsCounted);
                foreach (var sight in shown)
                {
                    var entry = Deeds.Seen(sight, Day, DateTimeOffset.UnixEpoch, Guid.NewGuid());
                    Assert.NotNull(entry);
                    Assert.Null(EntryCheck.Fault(entry.Kind, entry.On, entry.Amount, entry.Text, Day));
                }
            }
        }
    }

    static Assessment Hoya(params Entry[] log) =>
        Assessor.Shipped.Assess(
            new()
            {
                Tag = "HOY-01",
                Taxon = "Hoya carnosa",
                Acquired = new(2028, 3, 1),
                Entries = log,
            },
            new Surroundings(new("Glass", 51.5, 0.7, "Europe/London")) { Place = new("sill", "Sill", "indoors") },
            Day
        );

    [Fact]
    public void An_act_is_told_by_the_advice_that_stood_before_it()
    {
        var water = Specimens.At(Day, EntryKinds.Watered);
        var dry = Hoya(Specimens.At(Day, EntryKinds.Leaves, text: "pliable"), Specimens.At(Day, EntryKinds.Medium, text: "dry"));
        var wet = Hoya(Specimens.At(Day, EntryKinds.Medium, text: "wet"));
        var unfelt = Hoya(Specimens.At(Day, EntryKinds.Leaves, text: "limp"));
        Assert.Equal(Stood.With, Told.Of(water, "HOY-01", dry)!.Stood);
        Assert.Equal(Stood.Against, Told.Of(water, "HOY-01", wet)!.Stood);
        Assert.Equal(Stood.Unlooked, Told.Of(water, "HOY-01", unfelt)!.Stood);
        Assert.Equal(Stood.Unasked, Told.Of(water, "HOY-01", null)!.Stood);
        Assert.Contains("wet", Told.Of(water, "HOY-01", wet)!.Why, StringComparison.Ordinal);
        Assert.Null(Told.Of(Specimens.At(Day, EntryKinds.Leaves, text: "limp"), "HOY-01", dry));
    }

    [Fact]
    public void A_plant_begins_as_its_log_leaves_it()
    {
        var limp = Beginnings.Of(
            Hoya(Specimens.At(Day, EntryKinds.Medium, text: "wet"), Specimens.At(Day, EntryKinds.Base, text: "soft")),
            1
        )!;
        Assert.True(limp.State is { Moisture: > 0.8, Rot: > 0.3 });
        var bare = Assessor.Shipped.Assess(
            new()
            {
                Tag = "CAT-01",
                Taxon = "Catasetum pileatum",
                Entries =
                [
                    Specimens.At(new DateOnly(2030, 11, 20), EntryKinds.LeavesGone),
                    Specimens.At(new DateOnly(2031, 4, 10), EntryKinds.GrowthStarted),
                    Specimens.At(new DateOnly(2031, 5, 20), EntryKinds.RootLength, new Quantity(6, Unit.Find("cm"))),
                ],
            },
            new Surroundings(new("Glass", 51.5)),
            Day
        );
        var waking = Beginnings.Of(bare, 1)!;
        Assert.Equal((Stage.Waking, 6), (waking.State.Stage, waking.State.RootCm));
        Assert.Null(Beginnings.Of(Hoya(Specimens.At(Day, EntryKinds.Died)), 1)); // what is gone is not simulated
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Measuring;

/// <summary>Rules K6 and G1: what a spike did, and a growth against the one before.</summary>
public class RecordsTests
{
    [Fact]
    public void A_spike_is_on_record_from_its_first_sign_to_its_last_flower()
    {
        var record = Blooms(
                At("2031-01-02", EntryKinds.SpikeStarted),
                At("2031-01-20", EntryKinds.SpikeLength, Cm(22)),
                At("2031-01-30", EntryKinds.Buds, new Quantity(9)),
                At("2031-02-01", EntryKinds.BloomOpened),
                At("2031-02-10", EntryKinds.BudsLost, new Quantity(2), "cold"),
                At("2031-03-01", EntryKinds.BloomEnded)
            )
            .Single();
        Assert.Equal(
            (new DateOnly(2031, 1, 2), new DateOnly(2031, 2, 1), new DateOnly(2031, 3, 1), 28, 9d, 2d, 22d),
            (record.Emerged, record.Opened, record.Faded, record.Days, record.Buds, record.LostBuds, record.LongestCm)
        );
    }

    [Fact]
    public void A_lost_spike_keeps_its_likely_cause() =>
        Assert.Equal(
            ("lost", "eaten"),
            (
                Blooms(At("2031-01-02", EntryKinds.SpikeStarted), At("2031-02-01", EntryKinds.SpikeLost, text: "eaten")).Single()
                    is var lost
                    ? (lost.Ending, lost.Cause)
                    : default
            )
        );

    [Fact]
    public void Flowers_whose_spike_nobody_saw_are_on_record_too_and_days_run_on() =>
        Assert.Equal(
            (null, 23),
            (Blooms(At("2031-05-01", EntryKinds.BloomOpened)).Single() is var open ? (open.Emerged, open.Days) : default)
        );

    [Fact]
    public void A_spike_that_came_with_the_plant_is_marked() =>
        Assert.True(
            BloomRecord
                .Read(
                    Journal(At("2031-01-02", EntryKinds.SpikeStarted)),
                    LaneReader.Read(Journal(At("2031-01-02", EntryKinds.SpikeStarted))),
                    new(2031, 2, 1),
                    Today
                )
                .Single()
                .CameAlong
        );

    [Theory]
    [InlineData(8.0, "Smaller than before.")]
    [InlineData(10.0, "About the same.")]
    [InlineData(12.0, "Bigger: a good season.")]
    public void A_growth_is_compared_with_the_one_before_at_the_same_age(double cm, string verdict)
    {
        var plant = Lycaste(
            At("2030-04-01", EntryKinds.GrowthStarted).Of("g30"),
            At("2030-04-08", EntryKinds.GrowthHeight, Cm(2)).Of("g30"),
            At("2030-05-20", EntryKinds.GrowthHeight, Cm(10)).Of("g30"),
            At("2030-10-01", EntryKinds.GrowthMatured).Of("g30"),
            At("2031-04-01", EntryKinds.GrowthStarted).Of("g31"),
            At("2031-04-08", EntryKinds.GrowthHeight, Cm(2)).Of("g31"),
            At("2031-05-20", EntryKinds.GrowthHeight, Cm(cm)).Of("g31")
        ) with
        {
            Organs = [new("g30", "growth", "2030"), new("g31", "growth", "2031", "g30")],
        };
        var now = Assess(plant).Situation!;
        Assert.Equal(
            $"Growth 2031: {cm:0.#} cm at week 6; growth 2030 was 10 cm then. {verdict}",
            GrowthAgainst.Read(now.Series, now.Journal, plant.Organs)!.Words
        );
    }

    [Fact]
    public void Finished_bulbs_are_compared_by_size()
    {
        var plant = Lycaste(
            At("2029-10-20", EntryKinds.BulbSize, Cm(6)).Of("g29"),
            At("2030-10-20", EntryKinds.BulbSize, Cm(7)).Of("g30")
        ) with
        {
            Organs = [new("g29", "growth", "2029"), new("g30", "growth", "2030")],
        };
        var now = Assess(plant).Situation!;
        Assert.Equal(
            "2030 bulb 7 cm; the 2029 one 6 cm. Bigger: a good season.",
            GrowthAgainst.Read(now.Series, now.Journal, plant.Organs)!.Words
        );
    }

    /// <summary>
    /// Both spikes end at about 32 cm. The first rose 4.5 cm a week and then 0.1 cm in 15 days, where its own rate meant 9.6 cm:
    /// stalled. The second still rises, 2.3 cm in 8 days, at less than half of its earlier 0.7 cm a day: slow.
    /// </summary>
    [Fact]
    public void A_stalled_and_a_slow_spike_with_nearly_the_same_last_value_are_told_apart_by_their_numbers()
    {
        var stalled = Pace.Read(Series(8, (10, 14.5), (17, 19), (24, 23.4), (31, 27.9), (38, 32.2), (45, 32.4), (53, 32.3)))!;
        var slow = Pace.Read(Series(12, (7, 17.2), (14, 22), (21, 27.3), (28, 29.8), (36, 32.1)))!;
        Assert.Equal((PaceKind.Stalled, PaceKind.Slow), (stalled.Kind, slow.Kind));
        Assert.Equal(
            "32.2 to 32.3 cm in 15 days, within the error of a reading; the rate before (0.64 cm a day) meant 9.6 cm more.",
            stalled.Why
        );
        Assert.Equal("2.3 cm in 8 days, 0.29 cm a day; before it was 0.7 cm a day.", slow.Why);
    }

    static OrganSeries Series(double first, params (int Day, double Cm)[] later) =>
        new(
            EntryKinds.SpikeLength,
            "s31",
            "Spike 2031",
            [new(Today.AddDays(-60), first), .. later.Select(p => new Measurement(Today.AddDays(p.Day - 60), p.Cm))],
            Moves: true
        );

    static PlantJournal Journal(params Entry[] entries) => PlantJournal.UpTo(Today, entries);

    static IReadOnlyList<BloomRecord> Blooms(params Entry[] entries) =>
        BloomRecord.Read(Journal(entries), LaneReader.Read(Journal(entries)), null, Today);
}

using BudClock.Core.Measuring;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Measuring;

/// <summary>Rule G1: what is compared with what.</summary>
public class GrownTests
{
    static readonly Organ[] Two = [new("g30", Organ.Growth, "2030"), new("g31", Organ.Growth, "2031", "g30")];

    static IReadOnlyList<Grown> Read(string shoot, params Entry[] log)
    {
        var journal = PlantJournal.UpTo(new(2031, 12, 1), log);
        return Grown.Read(journal, LaneReader.Read(journal), Two, shoot);
    }

    static Entry[] Growth(string organ, int year, double? bulb, double? height) =>
        [
            At($"{year}-04-01", EntryKinds.GrowthStarted).Of(organ),
            .. height is { } cm ? new[] { At($"{year}-09-01", EntryKinds.GrowthHeight, Cm(cm)).Of(organ) } : [],
            At($"{year}-09-20", EntryKinds.GrowthMatured).Of(organ),
            .. bulb is { } size ? new[] { At($"{year}-10-01", EntryKinds.BulbSize, Cm(size)).Of(organ) } : [],
        ];

    [Fact]
    public void Bulbs_are_compared_before_heights()
    {
        var grown = Read(Organ.Growth, [.. Growth("g30", 2030, 8, 24), .. Growth("g31", 2031, 5.5, 26)]);
        Assert.Equal([("2030", 8.0), ("2031", 5.5)], grown.Select(one => (one.Label, one.Cm)));
        Assert.All(grown, one => Assert.Equal(EntryKinds.BulbSize, one.By));
        Assert.Equal(new DateOnly(2031, 10, 1), grown[^1].Done); // measured after it was finished
    }

    [Fact]
    public void Only_like_is_compared_with_like()
    {
        Assert.Empty(Read(Organ.Growth, [.. Growth("g30", 2030, null, 24), .. Growth("g31", 2031, 5.5, null)]));
        Assert.Equal(
            [24.0, 20.0],
            Read(Organ.Growth, [.. Growth("g30", 2030, null, 24), .. Growth("g31", 2031, 5.5, 20)]).Select(one => one.Cm)
        );
    }

    [Fact]
    public void What_is_under_way_or_was_given_up_is_not_compared()
    {
        Entry[] open = [At("2031-04-01", EntryKinds.GrowthStarted).Of("g31"), At("2031-06-01", EntryKinds.GrowthHeight, Cm(9)).Of("g31")];
        Assert.Empty(Read(Organ.Growth, [.. Growth("g30", 2030, null, 24), .. open]));
        Assert.Empty(Read(Organ.Growth, [.. Growth("g30", 2030, null, 24), .. open, At("2031-07-01", EntryKinds.GrowthStopped).Of("g31")]));
    }

    [Fact]
    public void Growths_that_nobody_named_are_told_apart_by_their_time()
    {
        var grown = Read(
            Organ.Growth,
            [.. Growth("x", 2030, 8, null).Concat(Growth("x", 2031, 6, null)).Select(entry => entry with { Organ = null })]
        );
        Assert.Equal([("2030", 8.0), ("2031", 6.0)], grown.Select(one => (one.Label, one.Cm)));
    }

    [Theory]
    [InlineData("2031-07-02", 2)] // 31 days old, as the one before was
    [InlineData("2031-06-26", 2)] // a week younger
    [InlineData("2031-06-20", 1)] // half as old: still unfolding
    public void A_leaf_counts_once_it_was_measured_as_old_as_the_one_before(string measured, int compared)
    {
        Entry[] log =
        [
            At("2031-04-01", EntryKinds.LeafStarted).Of("g30"),
            At("2031-05-01", EntryKinds.LeafSpan, Cm(45)).Of("g30"),
            At("2031-06-01", EntryKinds.LeafStarted).Of("g31"),
            At(measured, EntryKinds.LeafSpan, Cm(24)).Of("g31"),
        ];
        Assert.Equal(compared == 2 ? 2 : 0, Read(Organ.Leaf, log).Count);
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Web.Drawing;
using BudClock.Web.Pages.Plants;

namespace BudClock.Web.Tests.Drawing;

/// <summary>The fan of leaves, the pot with its tubers, the list of parts: numbers and words that a test can read.</summary>
public class OrganDrawingTests
{
    static readonly DateOnly Today = new(2031, 5, 24);
    static int written;

    [Fact]
    public void The_fan_has_a_leaf_for_each_that_is_on_the_plant_and_the_newest_stands_out()
    {
        var fan = LeafFan.Of(
            Assess(
                "Phalaenopsis amabilis",
                [new("l30", "leaf", "2030"), new("l30b", "leaf", "2030 b"), new("l31", "leaf", "2031")],
                Of("l30", EntryKinds.LeafSpan, 20),
                Of("l30b", EntryKinds.LeafSpan, 22),
                Of("l30b", EntryKinds.Lost),
                Of("l31", EntryKinds.LeafSpan, 7)
            )
        )!;
        Assert.Equal("2030: 20 cm, 2031: 7 cm", fan.Summary);
        Assert.Equal([false, true], fan.Leaves.Select(leaf => leaf.Newest));
    }

    [Fact]
    public void The_pot_shows_each_tuber_with_its_state()
    {
        var pot = PotFromAbove.Of(
            Assess(
                "Caladium bicolor",
                [new("t1", "tuber", "large"), new("t2", "tuber", "small"), new("t3", "tuber", "third")],
                Of("t1", EntryKinds.Tuber, text: "firm"),
                Of("t2", EntryKinds.Lost, text: "soft"),
                Of("t1", EntryKinds.BulbSize, 6)
            )
        )!;
        Assert.Equal("large: firm, small: lost, third: not looked at", pot.Summary);
        Assert.True(pot.Tubers[0].Radius > pot.Tubers[1].Radius);
        Assert.Equal(3, pot.Tubers.Select(tuber => tuber.At).Distinct().Count());
    }

    [Fact]
    public void Parts_say_what_they_do_and_how_they_ended()
    {
        var parts = PartView.Of(
            Assess(
                "Oncidium sphacelatum",
                [new("g30", "growth", "2030"), new("s31", "spike", "2031", "g30"), new("s31b", "spike", "2031 b", "g30")],
                Of("s31", EntryKinds.SpikeStarted),
                Of("s31", EntryKinds.SpikeLength, 12),
                Of("s31b", EntryKinds.SpikeStarted),
                Of("s31b", EntryKinds.SpikeLost, text: "eaten")
            )
        );
        Assert.Equal(
            [
                "Spike 2031: spike since 20 May, 12 cm, 20 May, from growth 2030",
                "Spike 2031 b: lost, 20 May, , from growth 2030",
                "Growth 2030: on record, , from ",
            ],
            parts.Select(part => $"{part.Words}: {part.Does}, {part.Measured}, from {part.From}")
        );
    }

    [Fact]
    public void A_family_is_drawn_down_from_a_plant_and_a_circle_in_it_ends()
    {
        Plant Of(string tag, string? parent) =>
            new()
            {
                Tag = tag,
                Taxon = "Hoya",
                Parent = parent,
            };
        var family = FamilyTree.Of(Of("A-2", "a-1"), [Of("A-1", null), Of("A-2", "a-1"), Of("A-3", "A-2")])!;
        Assert.Equal(["A-1", "A-2", "A-3"], family.Nodes.Select(node => node.Tag));
        Assert.Equal("A-2", family.Nodes.Single(node => node.Here).Tag);
        Assert.Null(FamilyTree.Of(Of("B-1", null), [Of("A-1", null)]));
        Assert.NotNull(FamilyTree.Of(Of("C-1", "C-2"), [Of("C-1", "C-2"), Of("C-2", "C-1")]));
        Assert.Equal("not here", FamilyTree.Of(Of("D-1", "D-9"), [Of("D-1", "D-9")])!.Nodes[0].Called);
    }

    static Assessment Assess(string taxon, Organ[] organs, params Entry[] entries) =>
        Assessor.Shipped.Assess(
            new()
            {
                Tag = "A-1",
                Taxon = taxon,
                Organs = organs,
                Entries = entries,
            },
            new Surroundings(new("Glass", 51.5)),
            Today
        );

    static Entry Of(string organ, EntryKind kind, double? cm = null, string? text = null) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            On = new(2031, 5, 20),
            Kind = kind,
            Organ = organ,
            Amount = cm is { } value ? new(value, Unit.Cm) : null,
            Text = text,
            Logged = DateTimeOffset.UnixEpoch.AddSeconds(written++), // entries of one day keep their order
        };
}

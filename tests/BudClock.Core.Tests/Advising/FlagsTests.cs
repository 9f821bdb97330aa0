using BudClock.Core.Advising;
using BudClock.Core.Notes;
using BudClock.Core.Saying;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Rule K4 besides the first water: changes plant flags, growers set them, answers end them.</summary>
public class FlagsTests
{
    public static TheoryData<string, int, int> Changes =>
        new()
        {
            { "repotted", 21, 28 },
            { "moved", 14, 14 },
            { "treated", 7, 7 },
        };

    [Theory]
    [MemberData(nameof(Changes))]
    public void A_change_of_regime_is_looked_at_again(string change, int from, int to) // common practice
    {
        var plant = Hoya(At(Today, EntryKinds.Find(change)!));
        var waiting = Assess(plant).Rule("K4")!;
        Assert.Equal((Verdict.Hold, Today.AddDays(from), Today.AddDays(to)), (waiting.Verdict, waiting.Due, waiting.Until));
        Assert.Equal(Verdict.Look, Assess(plant, Today.AddDays(from)).Rule("K4")!.Verdict);
    }

    [Fact]
    public void A_flag_set_by_hand_asks_its_question_on_its_day()
    {
        var plant = Hoya(At(Today.AddDays(-10), EntryKinds.Flagged, new Quantity(10), "did it stop at the sheath?"));
        Assert.Equal("Flagged 10 days ago: did it stop at the sheath?", Assess(plant).Rule("K4")!.Reason);
        Assert.Equal(Verdict.Hold, Assess(plant, Today.AddDays(-1)).Rule("K4")!.Verdict);
    }

    [Fact]
    public void An_answer_ends_it_and_an_early_one_does_not()
    {
        var moved = At(Today.AddDays(-14), EntryKinds.Moved);
        Assert.Null(Assess(Hoya(moved, At(Today, EntryKinds.Looked, text: "better"))).Rule("K4"));
        Assert.NotNull(Assess(Hoya(moved, At(Today.AddDays(-3), EntryKinds.Looked, text: "same"))).Rule("K4"));
    }

    [Fact]
    public void A_flag_is_answered_as_a_flag_also_on_a_plant_whose_bulbs_were_looked_at()
    {
        var plant = Waking(
            Roots(Today.AddDays(-40), 11),
            At(Today.AddDays(-38), EntryKinds.Soaked),
            Bulbs(Today.AddDays(-34), "plump"),
            At(Today.AddDays(-22), EntryKinds.Repotted)
        );
        Assert.Equal(["better", "same", "worse"], LikelyEntries.For(Assess(plant)).Take(3).Select(tap => tap.Text));
    }

    [Fact]
    public void Before_and_now_stand_side_by_side()
    {
        var plant = Hoya(
            At(Today.AddDays(-40), EntryKinds.Leaves, text: "limp"),
            At(Today.AddDays(-30), EntryKinds.GrowthHeight, new Quantity(12, Unit.Cm)),
            At(Today.AddDays(-14), EntryKinds.Moved),
            At(Today.AddDays(-2), EntryKinds.GrowthHeight, new Quantity(19, Unit.Cm))
        );
        var shown = Assess(plant).Rule("K4")!.Conditions.Select(c => $"{c.Name}: {c.Have?.Word ?? c.Have?.Number?.ToString() ?? "-"}");
        Assert.Equal(["leaves before: limp", "leaves now: -", "growth 2031 before: 12", "growth 2031 now: 19"], shown);
    }

    [Fact]
    public void A_note_can_set_one()
    {
        var note = NoteReader.Read("lyc-01 look again in 10 days: did it stop at the sheath?", new(["LYC-01"], Today));
        Assert.True(note.Complete, string.Join(" ", note.Unread.Select(u => u.Why)));
        Assert.Equal(
            (EntryKinds.Flagged, 10d, "did it stop at the sheath?"),
            (note.Entries[0].Kind, note.Entries[0].Amount!.Value.Value, note.Entries[0].Text)
        );
    }

    [Fact]
    public void Any_plant_that_is_measured_is_due_again_after_seven_days()
    {
        var plant = Hoya(
            At(Today.AddDays(-9), EntryKinds.SpikeLength, new Quantity(4, Unit.Cm)),
            At(Today.AddDays(-3), EntryKinds.Watered)
        );
        Assert.Equal("Spike 2031 last measured 9 days ago: measure again.", Assess(plant).Rule("K3")!.Reason);
        Assert.Equal(EntryKinds.SpikeLength, LikelyEntries.For(Assess(plant))[0].Kind);
        Assert.Null(Assess(plant, Today.AddDays(25)).Rule("K3")); // four weeks unmeasured is not followed any more
    }

    static Plant Hoya(params Entry[] entries) => Lycaste(entries) with { Taxon = "Hoya carnosa" };
}

using BudClock.Core.Advising;
using BudClock.Core.Round;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Round;

public class BenchQueryTests
{
    static readonly Place[] Places = [new("south", "South bench"), new("sill", "Sill")];

    static readonly Plant[] Plants =
    [
        WithRoots(11) with
        {
            Tag = "C-1",
            Name = "Yellow",
        },
        WithRoots(4, At(Today, EntryKinds.SpikeStarted)) with
        {
            Tag = "A-1",
            Place = "sill",
            Medium = "moss",
        },
        Lycaste(At(Today, EntryKinds.Note, text: "a hole in the leaf")) with
        {
            Tag = "B-1",
            Taxon = "Hoya carnosa",
            Place = null,
        },
        Waking(Roots(Today.AddDays(-15), 3)) with
        {
            Tag = "D-1",
        },
        WithRoots(11, At(Today, EntryKinds.Died)) with
        {
            Tag = "E-1",
        },
    ];

    [Theory]
    [InlineData("", "C-1 D-1 A-1 B-1")]
    [InlineData("yellow", "C-1")]
    [InlineData("MOSS sill", "A-1")]
    [InlineData("hole", "B-1")]
    [InlineData("moss yellow", "")]
    [InlineData("unplaced", "B-1")]
    public void Finds_by_any_word_in_walking_order(string search, string expected) =>
        Assert.Equal(expected, Tags(new() { Search = search }));

    [Theory]
    [InlineData("in spike", "A-1")]
    [InlineData("roots moving", "C-1 D-1 A-1")]
    [InlineData("not measured for two weeks", "D-1")]
    [InlineData("asks today", "C-1 B-1")]
    [InlineData("gone", "E-1")]
    public void Answers_ready_made_questions(string only, string expected) => Assert.Equal(expected, Tags(new() { Only = only }));

    [Theory]
    [InlineData("tag", "A-1 B-1 C-1 D-1")]
    [InlineData("verdict", "C-1 B-1 A-1 D-1")]
    public void Sorts(string sort, string expected) => Assert.Equal(expected, Tags(new() { Sort = sort }));

    [Fact]
    public void Narrows_by_place_phase_and_sheet()
    {
        Assert.Equal("A-1", Tags(new() { Place = "sill" }));
        Assert.Equal("A-1", Tags(new() { Phase = "spiking" }));
        Assert.Equal("B-1", Tags(new() { Sheet = "wax-vine-thick" }));
    }

    static string Tags(BenchQuery query) =>
        string.Join(' ', query.Of(Plants.Select(plant => Assess(plant)), Places).Select(a => a.Plant.Tag));
}

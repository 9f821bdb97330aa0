using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.States;

/// <summary>
/// What a grower would write to end a state, decided by hand before it was run: each ends it, and nothing else does. The list is the test's
/// own, and asks the states nothing.
/// </summary>
public class EndsTests
{
    static readonly DateOnly Began = Today.AddDays(-10);

    /// <summary>Something that is written.</summary>
    sealed record Line(EntryKind Kind, string? Text = null, double? Number = null)
    {
        public Entry On(DateOnly day) =>
            At(
                day,
                Kind,
                Number is not { } number ? null
                    : Kind.Measure?.Dimension is Dimension.Length ? Cm(number)
                    : new Quantity(number),
                Text
            );
    }

    sealed record Case(Type State, Line Opens, Line[] Ends, Line[] Leaves);

    /// <summary>What says nothing of any of these states.</summary>
    static readonly Line[] Nothing =
    [
        new(Watered),
        new(Medium, "damp"),
        new(Note, "looks fine"),
        new(Turned),
        new(RunOff, Number: 300),
        new(Photo),
        new(Staked),
        new(BulbSize, Number: 3),
        new(LeafCount, Number: 4),
    ];

    static readonly Case[] All =
    [
        new(
            typeof(Scorched),
            new(Leaves, "scorched"),
            [new(Leaves, "firm"), new(Moved, "into shade"), new(Moved), new(LeafStarted), new(LeavesGone)],
            [new(Moved, "into full sun"), new(Leaves, "pale"), new(Leaves, "limp"), new(Fed), new(Repotted)]
        ),
        new(
            typeof(Sheathed),
            new(SheathStarted),
            [
                new(SpikeStarted),
                new(SpikeLength, Number: 3),
                new(Buds, Number: 4),
                new(BloomOpened),
                new(Blooms, Number: 2),
                new(SpikeLost),
                new(CutSpike),
                new(GrowthStarted),
            ],
            [new(SpikeLength, Number: 0), new(Buds, Number: 0), new(Note, "sheath is brown"), new(Looked, "same"), new(GrowthMatured)]
        ),
        new(
            typeof(Wounded),
            new(Repotted),
            [new(RootsStarted)],
            [new(Fed), new(Leaves, "firm"), new(RootsAtBase), new(Divided), new(RootsLost), new(Moved)]
        ),
        new(
            typeof(OrderedRest),
            new(ProgrammeStarted, "rest"),
            [
                new(GrowthStarted),
                new(LeafStarted),
                new(SummerLeaves),
                new(SpikeStarted),
                new(BloomOpened),
                new(Planted),
                new(Tuber, "sprouting"),
                new(ProgrammeEnded),
            ],
            [new(Leaves, "yellowing"), new(LeavesGone), new(Lifted), new(Stored), new(Tuber, "firm"), new(LeafDropped)]
        ),
        new(
            typeof(SlowlyFed),
            new(Fed, "slow release"),
            [new(Repotted), new(LeavesGone), new(Lifted)],
            [new(Fed), new(Flushed), new(GrowthStarted), new(Moved)]
        ),
        new(
            typeof(PestsFound),
            new(Pest, "mealy bug"),
            [new(Pest, "all clear"), new(Inspected, "all clear")],
            [
                new(Pest, "none"),
                new(Pest, "none seen, looked all over"),
                new(Inspected, "no pests found"),
                new(Treated, "soap"),
                new(Rinsed, "off the leaves"),
                new(Pest, "a few left"),
                new(Looked, "same"),
                new(LeafStarted),
            ]
        ),
    ];

    public static TheoryData<string> States => [.. All.Select(one => one.State.Name)];

    [Theory]
    [MemberData(nameof(States))]
    public void Each_way_to_end_it_ends_it_on_the_same_day_and_later_and_nothing_else_does(string name)
    {
        var one = All.Single(state => state.State.Name == name);
        var wrong = new List<string>();
        foreach (var days in new[] { 0, 1, 5 })
        {
            foreach (var end in one.Ends)
                if (Open(one, end, days))
                    wrong.Add($"{end.Kind.Name} {end.Text} {days} days later leaves it open");
            foreach (var other in one.Leaves.Concat(Nothing))
                if (!Open(one, other, days))
                    wrong.Add($"{other.Kind.Name} {other.Text} {days} days later ends it");
            // What was written before it began ends nothing.
            foreach (var end in one.Ends)
                if (!Open(one, end, -1 - days))
                    wrong.Add($"{end.Kind.Name} {end.Text} before it began ends it");
        }
        Assert.True(wrong.Count == 0, $"{name}:\n{string.Join("\n", wrong)}");
    }

    [Fact]
    public void Every_state_has_its_lines_here_and_its_page_is_printed()
    {
        Assert.Equal(AllStates.All.Select(state => state.GetType().Name).Order(), All.Select(one => one.State.Name).Order());
        var page = new System.Text.StringBuilder("# What ends what\n\nPrinted by the tests from what each state declares.\n");
        foreach (var state in AllStates.All)
        {
            page.Append($"\n## {char.ToUpperInvariant(state.Name[0])}{state.Name[1..]}\n\n");
            page.Append($"Of the {state.Of.ToString().ToLowerInvariant()}. {state.Afterwards}\n\n");
            Rows("begins with", state.Opens);
            Rows("is met by", state.Meets);
            Rows("ends with", state.Ends);
            if (state.Lasts(CultureSheets.Shipped.Find(CultureSheets.General)!) is { } days)
                page.Append($"- lapses by itself after {days} days\n");
        }
        Reference.Printed("states.md", page.ToString());

        void Rows(string what, IReadOnlyList<Mark> marks)
        {
            if (marks.Count > 0)
                page.Append($"- {what}: {string.Join("; ", marks.Select(mark => mark.Words))}\n");
        }
    }

    [Fact]
    public void One_clear_look_ends_nothing_that_needs_two_and_a_week_apart_they_do()
    {
        bool Open(params (int Back, EntryKind Kind, string Text)[] lines) =>
            Assess(Plant([.. lines.Select(line => At(Today.AddDays(-line.Back), line.Kind, text: line.Text))])).Situation.In<PestsFound>()
                is not null;
        Assert.True(Open((20, Pest, "scale"), (10, Pest, "none seen, looked all over")));
        Assert.True(Open((20, Pest, "scale"), (10, Pest, "none"), (9, Pest, "none")));
        Assert.False(Open((20, Pest, "scale"), (10, Pest, "none"), (3, Inspected, "no pests found")));
        Assert.False(Open((20, Pest, "scale"), (10, Treated, "soap"), (9, Pest, "over, all gone")));
    }

    [Fact]
    public void Pests_seen_again_when_a_treatment_has_had_its_time_are_a_new_finding_and_worse_ones_at_once()
    {
        Advice Health(params (int Back, EntryKind Kind, string Text)[] lines) =>
            Assess(Plant([.. lines.Select(line => At(Today.AddDays(-line.Back), line.Kind, text: line.Text))]))
                .Settled.First(advice => advice.Rule == "H1");
        Assert.Equal(Verdict.Hold, Health((9, Pest, "mealy bug"), (2, Treated, "soap"), (0, Pest, "mealy bug")).Verdict);
        Assert.Equal(Verdict.Do, Health((9, Pest, "mealy bug"), (8, Treated, "soap"), (0, Pest, "mealy bug")).Verdict);
        Assert.Equal(Verdict.Do, Health((9, Pest, "mealy bug"), (2, Treated, "soap"), (0, Pest, "mealy bug, many more")).Verdict);
        Assert.Equal(Verdict.Do, Health((9, Pest, "mealy bug"), (2, Treated, "soap"), (0, Pest, "spider mites")).Verdict);
    }

    [Theory]
    [InlineData(typeof(Wounded), "repotted", null, 13, true)]
    [InlineData(typeof(Wounded), "repotted", null, 14, false)]
    [InlineData(typeof(Sheathed), "sheath-started", null, 149, true)]
    [InlineData(typeof(Sheathed), "sheath-started", null, 150, false)]
    [InlineData(typeof(OrderedRest), "programme-started", "rest", 400, true)]
    public void What_nobody_ends_lapses_by_itself(Type state, string kind, string? text, int back, bool open) =>
        Assert.Equal(open, In(state, At(Today.AddDays(-back), EntryKinds.All.Single(one => one.Name == kind), text: text)));

    static bool Open(Case one, Line line, int days)
    {
        Entry[] log = days < 0 ? [line.On(Began.AddDays(days)), one.Opens.On(Began)] : [one.Opens.On(Began), line.On(Began.AddDays(days))];
        return In(one.State, [.. log.Select((entry, order) => entry with { Logged = entry.Logged.AddSeconds(order) })]);
    }

    static bool In(Type state, params Entry[] log) =>
        AllStates.All.Single(one => one.GetType() == state).Read(PlantJournal.UpTo(Today, log), Assess(Plant(log)).Situation.Sheet, Today)
            is [.., { Open: true }];

    static Core.Gardens.Plant Plant(params Entry[] log) => Lycaste(log) with { Taxon = "Cattleya intermedia" };
}

using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Mixing;
using BudClock.Core.Notes;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.States;

/// <summary>
/// What a grower would write to end a state, decided by hand before it was run (ends.txt): each ends it, and nothing else does. The list is
/// the test's own, and asks the states nothing.
/// </summary>
public class EndsTests
{
    static readonly DateOnly Began = Today.AddDays(-30);

    /// <summary>One way to begin a state, and what ends it and what does not.</summary>
    /// <param name="Due">So many days after it began its ends are written; 0 for the same day.</param>
    sealed record Case(string State, string Taxon, int Due)
    {
        public List<string> Begins { get; } = [];
        public List<string> Ends { get; } = [];
        public List<string> Later { get; } = [];
        public List<string> GoesOn { get; } = [];

        public State Reads => AllStates.All.Single(state => state.GetType().Name == State);
    }

    /// <summary>What says nothing of any of these states.</summary>
    static readonly string[] Nothing = ["note looks fine", "photo", "staked", "meter 3", "weight 400 g"];

    static readonly IReadOnlyList<Case> All = Read();

    public static TheoryData<int> Cases => [.. Enumerable.Range(0, All.Count)];

    [Theory]
    [MemberData(nameof(Cases))]
    public void Each_way_to_end_it_ends_it_and_nothing_else_does(int at)
    {
        var one = All[at];
        var wrong = one.Begins.Concat(one.Ends).Concat(one.Later).Concat(one.GoesOn).Concat(Nothing).Where(Unread).ToList();
        foreach (var days in new[] { 0, 1, 5 })
        {
            foreach (var end in one.Ends)
                if (Open(one, end, one.Due + days))
                    wrong.Add($"\"{end}\" {days} days later leaves it open");
            foreach (var end in one.Later)
                if (Open(one, end, days) != (days == 0))
                    wrong.Add($"\"{end}\" {days} days later {(days == 0 ? "ends it at once" : "leaves it open")}");
            foreach (var other in one.GoesOn.Concat(Nothing))
                if (!Open(one, other, one.Due + days))
                    wrong.Add($"\"{other}\" {days} days later ends it");
            // What was written before it began ends nothing.
            foreach (var end in one.Ends.Concat(one.Later))
                if (!Open(one, end, -1 - days))
                    wrong.Add($"\"{end}\" before it began ends it");
        }
        Assert.True(wrong.Count == 0, $"{one.State}, {one.Begins[0]}:\n{string.Join("\n", wrong)}");
    }

    [Fact]
    public void There_are_three_hundred_of_them() =>
        Assert.True(All.Sum(one => one.Ends.Count + one.Later.Count + one.GoesOn.Count) >= 300);

    [Fact]
    public void Every_state_has_its_lines_here_and_its_page_is_printed()
    {
        Assert.Equal(AllStates.All.Select(state => state.GetType().Name).Order(), All.Select(one => one.State).Distinct().Order());
        var page = new System.Text.StringBuilder("# What ends what\n\nPrinted by the tests from what each state declares.\n");
        foreach (var state in AllStates.All)
        {
            page.Append($"\n## {char.ToUpperInvariant(state.Name[0])}{state.Name[1..]}\n\n");
            page.Append($"Of the {state.Of.ToString().ToLowerInvariant()}. {state.Afterwards}\n\n");
            Rows("begins with", state.Opens);
            Rows("is met by", state.Meets);
            Rows("ends with", state.Ends);
            if (state.LapsesInWords(CultureSheets.Shipped.Find(CultureSheets.General)!) is { } lapses)
                page.Append($"- lapses by itself {lapses}\n");
        }
        page.Append("\n# What each part was doing\n\nA growth, a spike, a flower, roots and a rest each have a lane on the dial. ");
        page.Append("Lost, cut, died and given away end every lane of what they name.\n");
        foreach (var lane in LaneReader.Declared)
        {
            page.Append($"\n## {lane.Kind}\n\n");
            Rows("begins with", [.. lane.Open.Select(kind => new Mark(kind, kind.Words.ToLowerInvariant()))]);
            Rows("ends with", [.. lane.Close.Select(kind => new Mark(kind, kind.Words.ToLowerInvariant()))]);
        }
        Reference.Printed("states.md", page.ToString());

        void Rows(string what, IReadOnlyList<Mark> marks)
        {
            if (marks.Count > 0)
                page.Append($"- {what}: {string.Join("; ", marks.Select(mark => mark.Words).Distinct())}\n");
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

    static bool Open(Case one, string line, int days)
    {
        var begins = one.Begins.SelectMany(begin => Entries(begin, Began));
        var other = Entries(line, Began.AddDays(days));
        Entry[] log = [.. (days < 0 ? other.Concat(begins) : begins.Concat(other)).Select(Numbered)];
        return In(one.Reads, Plant(log) with { Taxon = one.Taxon }, days < 0 ? Began : Began.AddDays(days));
    }

    static bool Unread(string line) => line[0] != '=' && !NoteReader.Read($"LYC-01 {line}", new(["LYC-01"], Began)).Complete;

    static Entry Numbered(Entry entry, int order) =>
        entry with
        {
            Logged = new DateTimeOffset(entry.On, TimeOnly.MinValue, TimeSpan.Zero).AddSeconds(order),
        };

    /// <summary>A line as it is typed, or what the product itself writes: "=root-count 7".</summary>
    static IReadOnlyList<Entry> Entries(string line, DateOnly day)
    {
        if (line[0] == '=')
        {
            var (name, rest) = line[1..].Split(' ', 2) is [var only, var words] ? (only, words) : (line[1..], null);
            // Some forms write a fact with a note.
            var kind = EntryKinds.All.Single(one => one.Name == (name == "algae" ? "note" : name));
            return
            [
                kind.Measure is not null && double.TryParse(rest, out var number)
                    ? At(day, kind, kind.Measure.Dimension is Dimension.Length ? Cm(number) : new Quantity(number))
                    : At(day, kind, text: name == "algae" ? "algae" : rest),
            ];
        }
        var note = NoteReader.Read($"LYC-01 {line}", new(["LYC-01"], day));
        return [.. note.Entries.Select(draft => At(draft.On, draft.Kind, draft.Amount, draft.Text))];
    }

    static bool In(Type state, params Entry[] log) => In(AllStates.All.Single(one => one.GetType() == state), Plant(log), Today);

    static bool In(State state, Core.Gardens.Plant plant, DateOnly on) =>
        state
            .Read(new(plant, PlantJournal.UpTo(on, plant.Entries), CultureSheets.Shipped.For(plant)!, Shelf.Empty), on)
            .Any(span => span.Open);

    static Core.Gardens.Plant Plant(params Entry[] log) => Lycaste(log) with { Taxon = "Cattleya intermedia" };

    static List<Case> Read()
    {
        var cases = new List<Case>();
        foreach (var line in File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "States", "ends.txt")))
        {
            if (line.Length == 0 || line[0] == '#')
                continue;
            if (line.StartsWith("== ", StringComparison.Ordinal))
            {
                var head = line[3..].Split(" | ");
                cases.Add(new(head[0], head[1], head.Length > 2 ? int.Parse(head[2]) : 0));
                continue;
            }
            var (what, words) = (line[..line.IndexOf(':')], line[(line.IndexOf(':') + 2)..]);
            var one = cases[^1];
            (
                what switch
                {
                    "begins" => one.Begins,
                    "ends" => one.Ends,
                    "later" => one.Later,
                    _ => one.GoesOn,
                }
            ).Add(words);
        }
        return cases;
    }
}

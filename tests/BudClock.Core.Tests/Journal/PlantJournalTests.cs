using CsCheck;

namespace BudClock.Core.Tests.Journal;

/// <summary>What a journal finds, against a plain search through all entries.</summary>
public class PlantJournalTests
{
    static readonly EntryKind[] Some =
    [
        EntryKinds.Watered,
        EntryKinds.Soaked,
        EntryKinds.Leaves,
        EntryKinds.Bulbs,
        EntryKinds.GrowthStarted,
        EntryKinds.RootLength,
    ];

    static readonly DateOnly Start = new(2031, 1, 1);

    [Theory]
    [InlineData(0, "dry, then watered")] // no time is known: it was felt first
    [InlineData(3, "watered, then dry")] // three hours later it was dry again
    public void What_asks_for_water_comes_before_the_water_of_the_same_moment(int hoursLater, string order)
    {
        var water = Specimens.At(Start, EntryKinds.Watered);
        var dry = Specimens.At(Start, EntryKinds.Medium, text: "dry");
        var journal = PlantJournal.UpTo(Start, [water, dry with { Logged = dry.Logged.AddHours(hoursLater) }]);
        Assert.Equal(order, string.Join(", then ", journal.Entries.Select(e => e.Text ?? "watered")));
    }

    static readonly Gen<(Entry[] Entries, EntryKind[] Kinds, int Until)> Any = Gen.Select(
        Gen.Select(Gen.Int[0, Some.Length - 1], Gen.Int[0, 60], Gen.Int[0, 3], Gen.Bool)
            .Select(one =>
                Specimens.At(Start.AddDays(one.Item2), Some[one.Item1]) with
                {
                    Logged = new DateTimeOffset(Start, TimeOnly.MinValue, TimeSpan.Zero).AddHours(one.Item3),
                    Struck = one.Item4 && one.Item2 % 3 == 0,
                }
            )
            .Array[0, 40],
        Gen.Int[0, Some.Length - 1].Select(n => Some[n]).Array[0, 4],
        Gen.Int[0, 70]
    );

    static List<Entry> Plain(Entry[] entries, EntryKind[] kinds, DateOnly until) =>
        [
            .. entries
                .Where(e => !e.Struck && e.On <= until && kinds.Contains(e.Kind))
                .OrderBy(e => e.On)
                .ThenBy(e => e.Logged)
                .ThenBy(e => e.Id),
        ];

    [Fact]
    public void Entries_of_some_kinds_come_once_each_and_in_order() =>
        Any.Sample(one =>
        {
            var until = Start.AddDays(one.Until);
            Assert.Equal(Plain(one.Entries, one.Kinds, until), PlantJournal.UpTo(until, one.Entries).Of(one.Kinds));
        });

    [Fact]
    public void The_newest_and_the_first_since_are_those_of_a_plain_search() =>
        Any.Sample(one =>
        {
            var until = Start.AddDays(one.Until);
            var (journal, plain) = (PlantJournal.UpTo(until, one.Entries), Plain(one.Entries, one.Kinds, until));
            Assert.Equal(plain.LastOrDefault(), journal.Last(one.Kinds));
            var day = Start.AddDays(one.Until / 2);
            Assert.Equal(plain.FirstOrDefault(e => e.On >= day), journal.FirstSince(day, one.Kinds));
            Assert.Equal(
                one.Kinds.Any(kind => one.Entries.Any(e => e.Kind == kind && !e.Struck && e.On <= until)),
                one.Kinds.Any(journal.Has)
            );
        });

    [Fact]
    public void Within_a_day_what_was_written_down_last_comes_last()
    {
        var early = Specimens.At(Start, EntryKinds.Medium, text: "wet");
        var late = Specimens.At(Start, EntryKinds.Medium, text: "dry") with { Logged = early.Logged.AddHours(2) };
        var journal = PlantJournal.UpTo(Start, [late, early]);
        Assert.Equal(["wet", "dry"], journal.Of(EntryKinds.Medium).Select(e => e.Text));
        Assert.True(PlantJournal.IsAfter(late, early));
        Assert.Equal("dry", journal.State(EntryKinds.Medium, _ => true)!.Value);
    }
}

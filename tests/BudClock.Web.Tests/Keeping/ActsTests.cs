using System.Data.Common;
using System.Net.Http.Json;
using BudClock.Core.Mixing;
using BudClock.Data;
using CsCheck;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace BudClock.Web.Tests.Keeping;

/// <summary>An act is whole or not there, written once however often it is sent, and taken back as a whole.</summary>
public class ActsTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task An_act_sent_twice_is_written_once()
    {
        await using var garden = await KeptGarden.StartAsync();
        var act = Guid.NewGuid();
        var first = await garden.LogAsync("A-1", EntryKinds.Watered, act: act);
        var again = await garden.LogAsync("A-1", EntryKinds.Watered, act: act);
        Assert.Equal((true, false, true, true), (first.Done, first.Before, again.Done, again.Before));
        Assert.Single((await garden.Store.ReadPlantAsync("A-1"))!.Entries);
        Assert.Single((await garden.Today.TodayAsync())!.Find("A-1")!.Plant.Entries);
    }

    /// <summary>Breaks the connection at the nth statement.</summary>
    sealed class Breaks : DbCommandInterceptor
    {
        public int At { get; set; } = int.MaxValue;
        int count;

        public void Begin(int at) => (At, count) = (at, 0);

        public bool Broke => count > At;

        void Count()
        {
            if (count++ >= At)
                throw new InvalidOperationException("the fault that was put in");
        }

        public override ValueTask<InterceptionResult<DbDataReader>> ReaderExecutingAsync(
            DbCommand command,
            CommandEventData eventData,
            InterceptionResult<DbDataReader> result,
            CancellationToken cancellationToken = default
        )
        {
            Count();
            return new(result);
        }

        public override ValueTask<InterceptionResult<int>> NonQueryExecutingAsync(
            DbCommand command,
            CommandEventData eventData,
            InterceptionResult<int> result,
            CancellationToken cancellationToken = default
        )
        {
            Count();
            return new(result);
        }
    }

    [Fact]
    public async Task A_fault_between_any_two_statements_leaves_all_or_nothing()
    {
        var breaks = new Breaks();
        await using var garden = await KeptGarden.StartAsync(breaks);
        var before = await garden.SaysAsync();
        (string Tag, IReadOnlyList<EntryDraft>)[] written =
        [
            ("A-1", [new(EntryKinds.GrowthStarted, KeptGarden.Day), new(EntryKinds.Moved, KeptGarden.Day, null, "to the north bench")]),
            ("A-2", [new(EntryKinds.Watered, KeptGarden.Day)]),
        ];
        var besides = Changes.Shelf(new Water("Rain", 8) { Code = "rain" });
        var at = 0;
        for (; ; at++)
        {
            await garden.Today.TodayAsync();
            breaks.Begin(at);
            try
            {
                await garden.Logbook.LogEachAsync(Guid.NewGuid(), written, besides, Stop);
            }
            catch (Exception fault) when (fault.ToString().Contains("the fault that was put in")) { }
            var broke = breaks.Broke;
            breaks.Begin(int.MaxValue);
            if (!broke)
                break;
            var now = await garden.SaysAsync();
            // After the commit a fault changes nothing: the whole act is there.
            if (now != before)
                break;
            Assert.Equal(now, await garden.SaysTodayAsync());
        }
        Assert.InRange(at, 5, 60);
        Assert.Equal(await garden.SaysAsync(), await garden.SaysTodayAsync());
        Assert.Contains("rain", await garden.SaysAsync());
    }

    [Theory]
    [InlineData(2)]
    [InlineData(8)]
    public async Task Writers_at_once_on_one_plant_and_on_many_lose_and_double_nothing(int writers)
    {
        await using var site = await Site.DemoAsync();
        var tags = new[] { "CAL-02", "SAI-04", "HOY-02", "EUP-01" };
        var before = await site.Http.GetStringAsync("/api/garden", Stop);
        var sent = await Task.WhenAll(Enumerable.Range(0, writers).Select(WriteAsync));
        var garden = await site.Http.GetStringAsync("/api/garden", Stop);
        Assert.All(sent.SelectMany(marks => marks), mark => Assert.Equal(1, Count(garden, $"\"{mark}\"")));
        Assert.InRange(Count(garden, "\"kind\": \"growth-started\""), 1 + Count(before, "\"kind\": \"growth-started\""), 999);

        async Task<List<string>> WriteAsync(int number)
        {
            var marks = new List<string>();
            for (var n = 0; n < 6; n++)
            {
                var (tag, mark) = (n % 2 == 0 ? "CAL-02" : tags[(number + n) % tags.Length], $"mark {number} {n}");
                var act = Guid.NewGuid();
                for (var twice = 0; twice < 2; twice++)
                    (
                        await site.Http.PostAsJsonAsync("/api/notes", new { text = $"{tag}: note {mark}", act }, Stop)
                    ).EnsureSuccessStatusCode();
                marks.Add(mark);
            }
            // A part that is started by all at once: whoever comes second is asked which one is meant.
            var started = await site.Http.PostAsJsonAsync("/api/notes", new { text = "cal-02: new growth" }, Stop);
            Assert.True((int)started.StatusCode is 200 or 422, $"{started.StatusCode}");
            return marks;
        }
    }

    [Theory]
    [InlineData(2)]
    [InlineData(8)]
    public async Task Writers_at_once_in_one_process_lose_and_double_nothing(int writers)
    {
        await using var garden = await KeptGarden.StartAsync();
        await Task.WhenAll(
            Enumerable
                .Range(0, writers)
                .Select(number =>
                    Task.Run(async () =>
                    {
                        for (var n = 0; n < 5; n++)
                        {
                            Assert.True((await garden.LogAsync("A-1", EntryKinds.Note, $"one {number} {n}")).Done);
                            Assert.True(
                                (
                                    await garden.LogAsync(
                                        Tag(number + n),
                                        EntryKinds.Moved,
                                        n % 2 == 0 ? "to the north bench" : "to the south bench"
                                    )
                                ).Done
                            );
                        }
                    })
                )
        );
        var plant = (await garden.Store.ReadPlantAsync("A-1"))!;
        Assert.Equal(writers * 5, plant.Entries.Where(e => e.Kind == EntryKinds.Note).Select(e => e.Text).Distinct().Count());
        Assert.Equal(writers * 5, plant.Entries.Count(e => e.Kind == EntryKinds.Note));
        Assert.Equal(await garden.SaysAsync(), await garden.SaysTodayAsync());
    }

    static int Count(string text, string part) => (text.Length - text.Replace(part, "").Length) / part.Length;

    /// <summary>What a grower may do, each by a number that says with what.</summary>
    static readonly Func<KeptGarden, int, Task<Outcome>>[] Deeds =
    [
        (g, n) => g.LogAsync(Tag(n), EntryKinds.Watered, $"{n}"),
        (g, n) => g.LogAsync(Tag(n), EntryKinds.GrowthStarted),
        (g, n) => g.LogAsync(Tag(n), EntryKinds.Moved, n % 2 == 0 ? "to the south bench" : "to the north bench"),
        (g, n) => g.Logbook.LogAsync(null, ["A-1", "A-2"], [new(EntryKinds.Note, KeptGarden.Day, null, $"{n}")]),
        (g, n) => g.Logbook.WriteAsync(null, "place", Changes.Place(new($"p{n}", $"Place {n}"))),
        (g, n) => g.Logbook.WriteAsync(null, "walk", Changes.Walk("south", n % 2 == 0 ? 1 : -1)),
        (g, n) => g.Logbook.WriteAsync(null, "sheet", Changes.Sheet(new("clivia", null, "W3.every-from", 5 + (n % 3), null))),
        (g, n) => g.Logbook.WriteAsync(null, "tray", Changes.Vessel(new("t", $"Tray {n}", Vessel.Tray, "south"))),
        (g, n) => g.Logbook.WriteAsync(null, "shelf", Changes.Shelf(new Water("Tap", 200 + n) { Code = "tap" })),
        (g, n) => g.Logbook.WriteAsync(null, "shelf", Changes.OffShelf<Water>(water => water.Code == "tap")),
        (g, n) => g.Logbook.WriteAsync(null, "plant", Changes.WithoutPlant("A-3")),
        async (g, n) => await g.Logbook.WriteAsync(null, "import", ImportRows.Take(KeptGarden.Plan((await g.Store.ReadAsync())!, File(n)))),
        async (g, n) => await AmendAsync(g, n),
        async (g, n) => await StrikeAsync(g, n),
    ];

    static string Tag(int n) => n % 2 == 0 ? "A-1" : "A-2";

    static string File(int n) =>
        $$"""
            { "format": "bud-clock-garden", "version": 1, "places": [ { "code": "new", "name": "New" } ],
              "plants": [ { "tag": "I-{{n}}", "taxon": "Hoya carnosa", "place": "new", "entries": [ { "on": "2031-05-01", "kind": "watered" } ] },
                          { "tag": "A-1", "taxon": "Lycaste aromatica", "source": "file {{n}}" } ] }
            """;

    static async Task<Outcome> AmendAsync(KeptGarden garden, int n)
    {
        var old = (await garden.Store.ReadPlantAsync(Tag(n)))!.Entries.LastOrDefault(e => !e.Struck && e.Kind == EntryKinds.Watered);
        return old is null
            ? new(false)
            : await garden.Logbook.AmendAsync(null, Tag(n), old, new(EntryKinds.Watered, KeptGarden.Day.AddDays(-1), null, $"again {n}"));
    }

    static async Task<Outcome> StrikeAsync(KeptGarden garden, int n)
    {
        var entry = (await garden.Store.ReadPlantAsync(Tag(n)))!.Entries.LastOrDefault(e => !e.Struck);
        return entry is null ? new(false) : await garden.Logbook.StrikeAsync(null, Tag(n), entry.Id, struck: true);
    }

    [Fact]
    public async Task Any_acts_and_undos_end_where_the_acts_that_stand_would_have_led()
    {
        var failures = new List<string>();
        await Gen.Int[0, 999]
            .Array[4, 14]
            .SampleAsync(
                async deeds =>
                {
                    await using var garden = await KeptGarden.StartAsync();
                    var (states, undone) = (new Stack<string>([await garden.SaysAsync()]), new Stack<(Guid Act, string State)>());
                    foreach (var deed in deeds)
                    {
                        if (deed % 10 < 6)
                        {
                            if ((await Deeds[deed % Deeds.Length](garden, deed)) is { Done: true })
                                (undone, _) = (new(), 0);
                            else
                                continue;
                            states.Push(await garden.SaysAsync());
                        }
                        else if (deed % 10 < 9 && states.Count > 1)
                        {
                            var undo = await garden.Logbook.UndoAsync(null, Stop);
                            Assert.True(undo.Done, undo.Trouble);
                            undone = new([(undo.Act, states.Pop())]);
                        }
                        else if (undone.TryPop(out var last))
                        {
                            var redo = await garden.Logbook.RedoAsync(null, last.Act, Stop);
                            Assert.True(redo.Done, redo.Trouble);
                            states.Push(last.State);
                        }
                        Assert.Equal(states.Peek(), await garden.SaysAsync());
                        Assert.Equal(states.Peek(), await garden.SaysTodayAsync());
                    }
                    while (states.Count > 1)
                    {
                        states.Pop();
                        Assert.True((await garden.Logbook.UndoAsync(null, Stop)).Done);
                    }
                    Assert.Equal(states.Peek(), await garden.SaysAsync());
                    Assert.Equal("There is nothing left to undo.", (await garden.Logbook.UndoAsync(null, Stop)).Trouble);
                },
                iter: 25,
                threads: 1
            );
        Assert.Empty(failures);
    }

    [Fact]
    public async Task An_undo_is_taken_back_only_while_nothing_was_written_since()
    {
        await using var garden = await KeptGarden.StartAsync();
        await garden.LogAsync("A-1", EntryKinds.Watered);
        var undo = await garden.Logbook.UndoAsync(null, Stop);
        Assert.Equal("Watered on A-1", undo.Words);
        Assert.True((await garden.Logbook.RedoAsync(null, undo.Act, Stop)).Done);
        Assert.False((await garden.Logbook.RedoAsync(null, undo.Act, Stop)).Done);
        var second = await garden.Logbook.UndoAsync(null, Stop);
        await garden.LogAsync("A-2", EntryKinds.Watered);
        Assert.Contains("written since", (await garden.Logbook.RedoAsync(null, second.Act, Stop)).Trouble);
    }

    [Fact]
    public async Task A_day_asked_about_again_is_as_it_was_whatever_is_written_of_later_days()
    {
        await using var site = await Site.DemoAsync();
        var before = await site.Http.GetStringAsync("/api/plants/HOY-02/advice?on=2031-05-20", Stop);
        foreach (var text in (string[])["hoy-02 moved to the cold frame", "hoy-02 repotted into 20 cm clay", "hoy-02 watered"])
            (await site.Http.PostAsJsonAsync("/api/notes", new { text }, Stop)).EnsureSuccessStatusCode();
        Assert.Equal(before, await site.Http.GetStringAsync("/api/plants/HOY-02/advice?on=2031-05-20", Stop));
    }
}

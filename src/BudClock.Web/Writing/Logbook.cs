using BudClock.Core.Advising;
using BudClock.Core.Formats;
using BudClock.Core.Notes;
using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Serilog;

namespace BudClock.Web.Writing;

/// <summary>What became of something that was written.</summary>
/// <param name="Done">False where it was refused and nothing was written.</param>
/// <param name="Trouble">Why it was refused, for the grower.</param>
public sealed record Outcome(bool Done, string? Trouble = null)
{
    /// <summary>The id of the act, by which it can be undone again.</summary>
    public Guid Act { get; init; }

    /// <summary>What was taken back, for an undo.</summary>
    public string? Words { get; init; }

    /// <summary>What was done since and is not taken back, since it is a secret; null for nothing.</summary>
    public string? Stays { get; init; }

    /// <summary>It was sent before, and stands already.</summary>
    public bool Before { get; init; }
}

/// <summary>The one door through which pages and programs write: one act at a time, each undone as a whole.</summary>
public sealed class Logbook(GardenWriter writer, TodaysGarden todaysGarden, Clock clock)
{
    /// <summary>There is one grower until there are accounts.</summary>
    public const string Grower = "grower";

    /// <summary>A garden's beginning is nobody's act to take back.</summary>
    public const string Beginning = "beginning";
    const string Aside = "aside";

    /// <summary>Writes an act. What this has returned from is on disk, and the garden in memory is as it is there.</summary>
    /// <param name="id">Made by whoever sends it; the same one again changes nothing.</param>
    /// <param name="words">What it is, for the list of what was done.</param>
    public Task<Outcome> WriteAsync(Guid? id, string words, Change change, CancellationToken cancel = default) =>
        WriteAsync(id, Grower, words, change, null, cancel);

    /// <summary>Logs the same entries for one plant or several, as one act. Each goes to the organ that it is about.</summary>
    /// <param name="besides">What is written in the same act.</param>
    public Task<Outcome> LogAsync(
        Guid? id,
        IReadOnlyList<string> tags,
        IReadOnlyList<EntryDraft> entries,
        Change? besides = null,
        CancellationToken cancel = default
    ) => LogEachAsync(id, [.. tags.Select(tag => (tag, entries))], besides, cancel);

    /// <summary>Writes down what was seen while a practice garden was stepped, which is nobody's act to take back.</summary>
    public Task<Outcome> SeenAsync(
        IReadOnlyList<(string Tag, IReadOnlyList<EntryDraft> Entries)> plants,
        Change besides,
        CancellationToken cancel
    ) => LogEachAsync(Guid.CreateVersion7(), Aside, plants, besides, cancel);

    /// <summary>The same with entries of its own for each plant.</summary>
    public Task<Outcome> LogEachAsync(
        Guid? id,
        IReadOnlyList<(string Tag, IReadOnlyList<EntryDraft> Entries)> plants,
        Change? besides = null,
        CancellationToken cancel = default
    ) => LogEachAsync(id, Grower, plants, besides, cancel);

    Task<Outcome> LogEachAsync(
        Guid? id,
        string author,
        IReadOnlyList<(string Tag, IReadOnlyList<EntryDraft> Entries)> plants,
        Change? besides,
        CancellationToken cancel
    )
    {
        var act = id ?? Guid.CreateVersion7();
        var assessed = new List<Assessment>();
        return WriteAsync(act, author, Words(plants), Write, assessed, cancel);

        // Where each entry belongs is decided here, while nobody else writes, against the garden as it stands now.
        async Task Write(GardenDb db, ActRow row)
        {
            assessed.Clear();
            var today = await todaysGarden.TodayAsync() ?? throw new ActRefusedException("The garden has not been set up yet.");
            if (besides is not null)
                await besides(db, row);
            var written = new List<PlantEntries>();
            foreach (var (tag, entries) in plants)
            {
                var plant = today.Find(tag) ?? throw new ActRefusedException($"{tag} is not here any more. Nothing was logged.");
                var (facts, after) = EntryWriting.Write(plant, entries, today, act, clock.GetUtcNow());
                written.Add(facts);
                assessed.Add(after);
            }
            await Changes.Entries(written)(db, row);
        }
    }

    /// <summary>Logs all that a line says, of plants and of places, as one act.</summary>
    public async Task<Outcome> NoteAsync(Guid? id, ReadNote note, CancellationToken cancel = default)
    {
        var plants = note
            .Groups.SelectMany(group => group.Tags, (group, tag) => (tag, group.Entries))
            .GroupBy(pair => pair.tag, pair => pair.Entries)
            .Select(group => (group.Key, (IReadOnlyList<EntryDraft>)[.. group.SelectMany(entries => entries)]))
            .ToList();
        if (note.Readings.Count == 0)
            return await LogEachAsync(id, plants, cancel: cancel);
        var garden = (await todaysGarden.TodayAsync())?.Garden ?? Garden.Unnamed;
        var readings = Changes.Readings([.. note.Readings.Select(reading => reading.At(garden.Zone, clock.GetUtcNow()))]);
        return plants.Count == 0
            ? await WriteAsync(id, string.Join(", ", note.Readings.Select(reading => reading.Words)), readings, cancel)
            : await LogEachAsync(id, plants, readings, cancel);
    }

    static string Words(IReadOnlyList<(string Tag, IReadOnlyList<EntryDraft> Entries)> plants) =>
        plants.Count == 0
            ? "Nothing"
            : $"{string.Join(", ", plants[0].Entries.Select(entry => entry.Words))} on "
                + (plants.Count > 3 ? $"{plants.Count} plants" : string.Join(", ", plants.Select(plant => plant.Tag)));

    /// <summary>Begins a garden. Undo passes over it: without it there would be no garden to undo anything in.</summary>
    public Task<Outcome> BeginAsync(string words, Change change) =>
        WriteAsync(Guid.CreateVersion7(), Beginning, words, change, null, CancellationToken.None);

    /// <summary>Begins a garden from a whole record, in a folder that has none.</summary>
    public async Task BeginWithAsync(string words, GardenRecord garden)
    {
        todaysGarden.Forget();
        await BeginAsync(words, ImportRows.Take(new ImportPlan(GardenRecord.Nothing, garden, ImportWay.Add, GardenToo: true)));
    }

    /// <summary>Keeps something that is nobody's act to take back, such as a setting of what goes out.</summary>
    public Task<Outcome> AsideAsync(string words, Change change, CancellationToken cancel = default) =>
        WriteAsync(Guid.CreateVersion7(), Aside, words, change, null, cancel);

    /// <summary>Makes a secret anew, or gives one up: undo passes over it, and says so.</summary>
    public Task<Outcome> SecretAsync(Guid? id, string words, Change change) =>
        WriteAsync(id, Undoing.Kept, words, change, null, CancellationToken.None);

    /// <summary>Keeps what devices measured. It is nobody's act, so undo passes over it.</summary>
    /// <returns>How many were of a place that is known.</returns>
    public Task<int> MeasureAsync(IReadOnlyList<ClimateReading> readings, CancellationToken cancel = default) =>
        writer.MeasureAsync(readings, todaysGarden.MeasuredAsync, cancel);

    /// <summary>Keeps what a service forecast, which is nobody's act either.</summary>
    public Task ForecastAsync(IReadOnlyList<ForecastDay> days, CancellationToken cancel = default) =>
        writer.ForecastAsync(days, todaysGarden.ForecastChangedAsync, cancel);

    /// <summary>Takes back the last act that stands, whatever it was.</summary>
    public async Task<Outcome> UndoAsync(Guid? id, CancellationToken cancel = default)
    {
        string? words = null;
        string? stays = null;
        var outcome = await WriteAsync(id, "Undone", Undoing.Last(act => words = act.Words, kept => stays = kept), cancel);
        return outcome with { Words = words, Stays = stays };
    }

    /// <summary>Takes an undo back.</summary>
    public async Task<Outcome> RedoAsync(Guid? id, Guid undo, CancellationToken cancel = default)
    {
        string? words = null;
        var outcome = await WriteAsync(id, "Undone no more", Undoing.Again(undo, act => words = act.Words), cancel);
        return outcome with { Words = words };
    }

    /// <summary>Strikes an entry, or restores it.</summary>
    public Task<Outcome> StrikeAsync(Guid? id, string tag, Guid entry, bool struck, CancellationToken cancel = default) =>
        WriteAsync(id, $"An entry of {tag} {(struck ? "struck" : "restored")}", Changes.Strike(tag, entry, struck), cancel);

    /// <summary>Corrects an entry: the old one is struck and stays in the log, the new one says what it was.</summary>
    public Task<Outcome> AmendAsync(Guid? id, string tag, Entry old, EntryDraft now, CancellationToken cancel = default)
    {
        var act = id ?? Guid.CreateVersion7();
        return WriteAsync(act, $"{old} of {tag} corrected to {now.Words}", Write, cancel);

        async Task Write(GardenDb db, ActRow row)
        {
            var today = await todaysGarden.TodayAsync() ?? throw new ActRefusedException("The garden has not been set up yet.");
            var plant = today.Find(tag) ?? throw new ActRefusedException($"{tag} is not here any more.");
            await Changes.Strike(plant.Plant.Tag, old.Id, struck: true)(db, row);
            await Changes.Entries(EntryWriting.Correct(plant, old, now, today, act))(db, row);
        }
    }

    async Task<Outcome> WriteAsync(
        Guid? id,
        string author,
        string words,
        Change change,
        List<Assessment>? assessed,
        CancellationToken cancel
    )
    {
        var act = new Act(id ?? Guid.CreateVersion7(), author, clock.GetUtcNow(), words.Length > 300 ? words[..300] + "…" : words);
        for (var tries = 1; ; tries++)
        {
            try
            {
                var written = await writer.WriteAsync(act, change, done => TakeInAsync(done, assessed), cancel);
                return new(true) { Act = act.Id, Before = !written.Written };
            }
            catch (DbUpdateException fault)
                when (fault.InnerException is Microsoft.Data.Sqlite.SqliteException { SqliteErrorCode: 19 } && tries < 3)
            {
                todaysGarden.Forget(); // what it was decided against was not what stands: once more, against that
            }
            catch (Microsoft.Data.Sqlite.SqliteException fault) when (fault.SqliteErrorCode == 19)
            {
                return new(false, "Some of it is here already under another plant, so nothing was written.");
            }
            catch (ChangedElsewhereException)
            {
                throw;
            }
            catch (ActRefusedException refused)
            {
                return new(false, refused.Message);
            }
        }
    }

    /// <summary>It is on disk: whatever goes wrong from here on must not change the answer.</summary>
    async Task TakeInAsync(WrittenAct written, List<Assessment>? assessed)
    {
        if (!written.Written)
            return;
        try
        {
            await todaysGarden.TakeInAsync(written, assessed);
        }
        catch (Exception fault)
        {
            Log.Warning(fault, "The garden in memory could not be brought up to date; it is read anew.");
            todaysGarden.Forget();
        }
    }
}

using BudClock.Core.Advising;
using BudClock.Data;

namespace BudClock.Web;

/// <summary>Writes into the journal: one act at a time, each undone as a whole. What it returns from is on disk.</summary>
public sealed class Logbook(GardenStore store, TodaysGarden glasshouse, Clock clock)
{
    static readonly TimeSpan UndoReach = TimeSpan.FromDays(1);

    /// <summary>Logs the same entries for one plant or several, as one act. Each goes to the organ that it is about.</summary>
    /// <returns>False, with nothing logged, when there is no plant of one of the tags.</returns>
    /// <param name="together">The act of something that was written just before and is undone with it, such as a picture.</param>
    public Task<bool> LogAsync(IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, Guid? together = null) =>
        LogEachAsync([.. tags.Select(tag => (tag, entries))], together);

    /// <summary>The same with entries of its own for each plant.</summary>
    public async Task<bool> LogEachAsync(IReadOnlyList<(string Tag, IReadOnlyList<EntryDraft> Entries)> plants, Guid? together = null)
    {
        if (await glasshouse.TodayAsync() is not { } today)
            return false;
        var act = together ?? Guid.CreateVersion7();
        var written = new List<PlantEntries>();
        foreach (var (tag, entries) in plants)
        {
            if (today.Find(tag) is not { } plant)
                return false;
            var placed = plant.Book.Place([.. entries.Select(entry => WithPlaces(entry, plant.Plant, today))]);
            written.Add(new(tag, Facts(placed.Entries, act), placed.Added));
        }
        if (!await store.LogAsync(written))
            return false;
        foreach (var plant in written)
        {
            if (plant.Entries.LastOrDefault(e => e.Kind == EntryKinds.Moved) is { } moved)
                await MoveAsync(plant.Tag, Moves.To(moved.Text, today.Places));
            await RefreshAsync(plant.Tag);
        }
        return true;
    }

    /// <summary>A move says where from, so that it can be undone.</summary>
    static EntryDraft WithPlaces(EntryDraft entry, Plant plant, GardenDay today) =>
        entry.Kind == EntryKinds.Moved && Moves.To(entry.Text, today.Places) is { } to && today.PlaceOf(plant) is { } from && from != to
            ? entry with
            {
                Text = Moves.Words(from, to),
            }
            : entry;

    async Task MoveAsync(string tag, Place? to)
    {
        if (to is not null)
            await store.MovePlantAsync(tag, to.Code);
    }

    /// <summary>Logs one entry that is ready: a picture, or what a form has made.</summary>
    public async Task<bool> LogAsync(string tag, Entry entry)
    {
        if (!await store.LogAsync([new(tag, [entry], [])]))
            return false;
        await RefreshAsync(tag);
        return true;
    }

    /// <summary>Entries of one act, in their order.</summary>
    public IReadOnlyList<Entry> Facts(IReadOnlyList<EntryDraft> entries, Guid act)
    {
        var now = clock.GetUtcNow();
        return
        [
            .. entries.Select(
                (entry, index) =>
                    new Entry
                    {
                        Id = Guid.CreateVersion7(),
                        On = entry.On,
                        Kind = entry.Kind,
                        Organ = entry.Organ,
                        Amount = entry.Amount,
                        Text = entry.Text,
                        Mix = entry.Mix,
                        Logged = now.AddTicks(index), // entries of one act keep their order
                        Act = act,
                    }
            ),
        ];
    }

    /// <summary>Undoes the last act of the past day.</summary>
    /// <returns>The plants it was about.</returns>
    public async Task<IReadOnlyList<string>> UndoAsync()
    {
        var before = await glasshouse.TodayAsync();
        var tags = await store.UndoAsync(clock.GetUtcNow() - UndoReach);
        foreach (var tag in tags)
            await MovedBackAsync(tag, before?.Find(tag)?.Plant);
        return tags;
    }

    /// <summary>Strikes an entry, or restores it.</summary>
    public async Task<bool> StrikeAsync(string tag, Guid entry, bool struck)
    {
        var before = await glasshouse.TodayAsync();
        if (!await store.StrikeAsync(tag, entry, struck))
            return false;
        await MovedBackAsync(tag, before?.Find(tag)?.Plant);
        return true;
    }

    /// <summary>A plant whose newest move was struck stands again where it came from; restored, where it went.</summary>
    async Task MovedBackAsync(string tag, Plant? before)
    {
        await glasshouse.RefreshAsync(tag);
        if (await glasshouse.TodayAsync() is not { } today || today.Find(tag)?.Plant is not { } after || before is null)
            return;
        var (was, now) = (NewestMove(before), NewestMove(after));
        if (was == now)
            return;
        await MoveAsync(
            tag,
            now is null || (was is not null && was.On >= now.On && after.Entries.Any(e => e.Id == was.Id && e.Struck))
                ? Moves.From(was!.Text, today.Places)
                : Moves.To(now.Text, today.Places)
        );
        await glasshouse.RefreshAsync(tag);
    }

    static Entry? NewestMove(Plant plant) =>
        plant.Entries.Where(e => e.Kind == EntryKinds.Moved && !e.Struck).OrderBy(e => e.On).ThenBy(e => e.Logged).LastOrDefault();

    /// <summary>Reads the plant anew, and keeps what is forecast of it now where that is new.</summary>
    async Task RefreshAsync(string tag)
    {
        await glasshouse.RefreshAsync(tag);
        if ((await glasshouse.TodayAsync())?.Find(tag) is not { } plant || New(plant) is not { Count: > 0 } fresh)
            return;
        await store.KeepForecastsAsync(tag, fresh);
        await glasshouse.RefreshAsync(tag);
    }

    static List<Forecast> New(Assessment plant) =>
        [
            .. plant.Forecasts.Where(forecast =>
                plant.Plant.Forecasts.LastOrDefault(kept => kept.Of == forecast.Of && kept.Organ == forecast.Organ)?.Says(forecast) != true
            ),
        ];
}

using System.Collections.Concurrent;
using BudClock.Core.Formats;
using BudClock.Data;

namespace BudClock.Web.Files;

/// <summary>
/// Garden files that were read and shown, and wait to be taken in. They lie beside the garden until then, for an hour; the last
/// few are kept.
/// </summary>
public sealed class ImportDesk(GardenStore store, Logbook logbook, PictureFolder pictures, TodaysGarden todaysGarden, Clock clock)
{
    static readonly TimeSpan Kept = TimeSpan.FromHours(1);
    const int Most = 3;

    readonly ConcurrentDictionary<Guid, (SentFile File, DateTimeOffset At)> waiting = new();

    /// <summary>Reads a file as it was sent; every fault where it cannot be taken in.</summary>
    public async Task<(Guid? Id, IReadOnlyList<FileFault> Faults)> ReadAsync(Stream stream, long length, CancellationToken cancel)
    {
        var (file, faults) = await SentFile.ReadAsync(stream, length, pictures, cancel);
        Streams.Tidy(length);
        if (file is null)
            return (null, faults);
        Clear();
        var id = Guid.CreateVersion7();
        waiting[id] = (file, clock.GetUtcNow());
        return (id, []);
    }

    /// <summary>A file that waits; null once it was taken in or is too old.</summary>
    public SentFile? Find(Guid id) => waiting.TryGetValue(id, out var sent) ? sent.File : null;

    /// <summary>What taking a file in would do now.</summary>
    public async Task<ImportPlan> PlanAsync(SentFile file, ImportWay way, bool gardenToo) =>
        new(await store.ReadAsync() ?? GardenRecord.Nothing, file.Garden, way, gardenToo);

    /// <summary>Takes it in as one act, and forgets it.</summary>
    public async Task<(Outcome Outcome, ImportPlan Plan)> TakeAsync(Guid id, SentFile file, ImportWay way, bool gardenToo, Guid? act)
    {
        var plan = await PlanAsync(file, way, gardenToo);
        file.PutPictures();
        var words = $"A garden file taken in: {plan.NewPlants.Count()} plants, {plan.NewEntries} entries";
        var outcome = await logbook.WriteAsync(act, words, Write);
        if (outcome.Done)
        {
            waiting.TryRemove(id, out _);
            todaysGarden.Forget();
        }
        return (outcome, plan);

        // Compared once more against what stands when it is written.
        async Task Write(GardenDb db, ActRow row)
        {
            plan = await PlanAsync(file, way, gardenToo);
            await ImportRows.Take(plan)(db, row);
        }
    }

    void Clear()
    {
        foreach (var (id, (file, at)) in waiting.OrderByDescending(pair => pair.Value.At).Skip(Most - 1).Concat(Old()))
        {
            waiting.TryRemove(id, out _);
            file.Dispose();
        }
    }

    IEnumerable<KeyValuePair<Guid, (SentFile File, DateTimeOffset At)>> Old() =>
        waiting.Where(pair => pair.Value.At < clock.GetUtcNow() - Kept);
}

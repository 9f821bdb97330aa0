using BudClock.Core.Journal;
using BudClock.Core.Notes;
using BudClock.Data;

namespace BudClock.Web;

/// <summary>Writes into the journal: one act at a time, each undone as a whole. What it returns from is on disk.</summary>
public sealed class Logbook(GardenStore store, Glasshouse glasshouse, Clock clock)
{
    static readonly TimeSpan UndoReach = TimeSpan.FromDays(1);

    /// <summary>Logs the same entries for one plant or several, as one act.</summary>
    /// <returns>False, with nothing logged, when there is no plant of one of the tags.</returns>
    public async Task<bool> LogAsync(IReadOnlyList<string> tags, IReadOnlyList<NoteEntry> entries)
    {
        var (act, now) = (Guid.CreateVersion7(), clock.GetUtcNow());
        var facts = tags.ToDictionary(tag => tag, _ => (IReadOnlyList<Entry>)[.. entries.Select((entry, index) => new Entry
        {
            Id = Guid.CreateVersion7(),
            On = entry.On,
            Kind = entry.Kind,
            Amount = entry.Amount,
            Text = entry.Text,
            Logged = now.AddTicks(index), // entries of one act keep their order
            Act = act,
        })]);
        if (!await store.LogAsync(facts)) return false;
        foreach (var tag in tags) await glasshouse.RefreshAsync(tag);
        return true;
    }

    /// <summary>Undoes the last act of the past day.</summary>
    /// <returns>The plants it was about.</returns>
    public async Task<IReadOnlyList<string>> UndoAsync()
    {
        var tags = await store.UndoAsync(clock.GetUtcNow() - UndoReach);
        foreach (var tag in tags) await glasshouse.RefreshAsync(tag);
        return tags;
    }

    /// <summary>Strikes an entry, or restores it.</summary>
    public async Task<bool> StrikeAsync(string tag, Guid entry, bool struck)
    {
        if (!await store.StrikeAsync(tag, entry, struck)) return false;
        await glasshouse.RefreshAsync(tag);
        return true;
    }
}

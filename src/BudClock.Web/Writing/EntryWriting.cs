using BudClock.Core.Advising;
using BudClock.Data;

namespace BudClock.Web.Writing;

/// <summary>From drafts to what is written: the organ each is about, what it changes about its plant, what is forecast then.</summary>
static class EntryWriting
{
    /// <summary>The entries for a plant, and the plant as it is once they are written.</summary>
    public static (PlantEntries Written, Assessment After) Write(
        Assessment plant,
        IReadOnlyList<EntryDraft> drafts,
        GardenDay today,
        Guid act,
        DateTimeOffset now
    )
    {
        var placed = plant.Book.Place(drafts);
        var entries = new List<Entry>();
        var stands = plant.Plant;
        foreach (var (index, draft) in placed.Entries.Index())
        {
            var entry = Fact(draft, act, now.AddTicks(index)); // entries of one act keep their order
            entry = WithChange(entry, stands, today);
            entries.Add(entry);
            stands = stands with { Entries = [.. stands.Entries, entry] };
        }
        var after = today.Assessed(stands with { Organs = [.. stands.Organs, .. placed.Added] });
        var fresh = Fresh(after);
        return (
            new(plant.Plant.Tag, entries, placed.Added) { Forecasts = fresh },
            fresh.Count == 0 ? after : after with { Plant = Keeping(after.Plant, fresh) }
        );
    }

    /// <summary>The entry that stands in place of another: on its part, at its place in the day, unless its day was wrong.</summary>
    public static PlantEntries Correct(Assessment plant, Entry old, EntryDraft now, GardenDay today, Guid act)
    {
        var entry = Fact(now with { Organ = now.Organ ?? old.Organ }, act, old.Logged) with { Amends = old.Id, File = old.File };
        var without = plant.Plant with { Entries = [.. plant.Plant.Entries.Select(e => e.Id == old.Id ? e with { Struck = true } : e)] };
        return new(plant.Plant.Tag, [WithChange(entry, without, today)], []);
    }

    /// <summary>Entries that came with a file, with what their words change about the plant: a move from a CSV moves it too.</summary>
    public static IReadOnlyList<Entry> WithChanges(Plant plant, IEnumerable<Entry> entries, GardenDay today)
    {
        var written = new List<Entry>();
        foreach (var entry in entries.OrderBy(e => e.On).ThenBy(e => e.Logged))
            written.Add(FactWords.Tells(entry.Kind) ? WithChange(entry, Then(), today) : entry);
        return written;

        Plant Then() => plant with { Entries = [.. plant.Entries, .. written] };
    }

    /// <summary>A draft as it is written down.</summary>
    public static Entry Fact(EntryDraft draft, Guid act, DateTimeOffset logged) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            On = draft.On,
            Kind = draft.Kind,
            Organ = draft.Organ,
            Amount = draft.Amount,
            Text = draft.Text,
            Mix = draft.Mix,
            Sets = draft.Sets,
            File = draft.File,
            Logged = logged,
            Act = act,
        };

    /// <summary>A move names its places in the log, and by code beside it: places may be called otherwise one day.</summary>
    static Entry WithChange(Entry entry, Plant plant, GardenDay today)
    {
        if (entry.Sets.Count > 0 || !FactWords.Tells(entry.Kind))
            return entry;
        var then = plant.On(entry.On);
        var sets = FactWords.Read(entry, today.Places, then.Fact);
        if (sets.Count == 0)
            return entry;
        return entry.Kind == EntryKinds.Moved && sets[0].What == Facts.Place
            ? entry with
            {
                Sets = sets,
                Text = Moves.Words(today.PlaceAt(sets[0].From), today.PlaceAt(sets[0].To)),
            }
            : entry with
            {
                Sets = sets,
            };
    }

    static Plant Keeping(Plant plant, IReadOnlyList<Forecast> fresh) =>
        plant with
        {
            Forecasts =
            [
                .. plant.Forecasts.Where(kept => !fresh.Any(f => (f.Of, f.Organ, f.Made) == (kept.Of, kept.Organ, kept.Made))),
                .. fresh,
            ],
        };

    /// <summary>What is forecast now and was not before.</summary>
    static List<Forecast> Fresh(Assessment plant) =>
        [
            .. plant.Forecasts.Where(forecast =>
                plant.Plant.Forecasts.LastOrDefault(kept => kept.Of == forecast.Of && kept.Organ == forecast.Organ)?.Says(forecast) != true
            ),
        ];
}

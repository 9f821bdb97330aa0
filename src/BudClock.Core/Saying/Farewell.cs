using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Saying;

/// <summary>What the log of a plant that died suggests went wrong. Each is a hint with its evidence, never a verdict.</summary>
public static class Farewell
{
    const int LastMonths = 120; // what happened earlier was survived
    const int RepotDays = 42;
    const int NewcomerDays = 90;
    const int SilentDays = 60;

    /// <summary>
    /// Hints, the strongest evidence first; empty where the log tells nothing, and for a plant that lives or was given away.
    /// </summary>
    public static IReadOnlyList<string> Read(Plant plant, DateOnly today)
    {
        var journal = PlantJournal.UpTo(today, plant.Entries);
        return journal.Last(Died) is { } died ? [.. Hints(plant, journal, died.On).OfType<string>()] : [];
    }

    static IEnumerable<string?> Hints(Plant plant, PlantJournal journal, DateOnly died)
    {
        var since = died.AddDays(-LastMonths);
        yield return Late(Rot) is { } rot
            ? $"Rot was found {Ago(rot.On)}. By the time it shows, it has often been inside for weeks."
            : null;
        yield return WateredWithoutRoots(journal, since) is { } wet
            ? $"It was watered {Ago(wet.On)}, when its roots were already lost. Water cannot help a plant that cannot drink."
            : null;
        yield return WateredAtRest(journal, since) is { } asleep
            ? $"It was watered {Ago(asleep.On)} while it rested. Most growers have done that once."
            : null;
        yield return Late(Tuber, "soft", "mouldy") is { } tuber ? $"Its tuber was {tuber.Text} {Ago(tuber.On)}." : null;
        yield return Late(Repotted) is { } repot && died.DayNumber - repot.On.DayNumber <= RepotDays
            ? $"It was repotted {Ago(repot.On)}; roots that are hurt just then have little to live on."
            : null;
        yield return Late(Pest) is { } pest ? $"Pests were seen {Ago(pest.On)}{(pest.Text is null ? "" : $" ({pest.Text})")}." : null;
        yield return plant.Acquired is { } came && died.DayNumber - came.DayNumber <= NewcomerDays
            ? $"It had been here for {died.DayNumber - came.DayNumber} days. Many plants arrive weaker than they look."
            : null;
        var last = journal.Entries.LastOrDefault(e => e.On < died);
        yield return last is not null && died.DayNumber - last.On.DayNumber > SilentDays
            ? $"Nothing was written for {died.DayNumber - last.On.DayNumber} days before, so the log cannot say more."
            : null;

        Entry? Late(EntryKind kind, params string[] states) =>
            journal.Of(kind).LastOrDefault(e => e.On >= since && (states.Length == 0 || states.Contains(e.Text)));

        string Ago(DateOnly on) => died == on ? "on the same day" : $"{died.DayNumber - on.DayNumber} days before";
    }

    static Entry? WateredWithoutRoots(PlantJournal journal, DateOnly since) =>
        journal.Last(RootsLost) is { } lost && journal.FirstSince(lost.On, RootsStarted, RootsAtBase) is null
            ? journal.Waterings.FirstOrDefault(e => e.On >= lost.On && e.On >= since)
            : null;

    static Entry? WateredAtRest(PlantJournal journal, DateOnly since) =>
        journal.Last(LeavesGone, Stored, Lifted) is { } rest
            ? journal.Waterings.FirstOrDefault(e =>
                e.On > rest.On && e.On >= since && journal.FirstSince(rest.On, GrowthStarted, RootsStarted, Planted) is null
            )
            : null;
}

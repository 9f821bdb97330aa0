namespace BudClock.Core.Evidence;

/// <summary>Rule F2: a plant in its first 28 days, on plain water and without feed.</summary>
/// <param name="Day">Days since it came, the day itself being 0.</param>
/// <param name="Until">The day on which the newcomer's weeks are over.</param>
/// <param name="Found">What was found when it was looked over; null while nobody has.</param>
public sealed record Newcomer(DateOnly Arrived, int Day, DateOnly Until, string? From, Entry? Found, DateOnly? QuarantineUntil)
{
    /// <summary>The newcomer, or null for a plant that has settled, whose arrival is not known, or that is not in quarantine any more.</summary>
    public static Newcomer? Read(Plant plant, PlantJournal journal, DateOnly today)
    {
        var arrival = journal.Last(EntryKinds.Acquired);
        if ((arrival?.On ?? plant.Acquired) is not { } arrived || arrived > today) return null;
        var until = arrived.AddDays(PhaseRead.NewcomerDays);
        if (today >= until && !(plant.QuarantineUntil >= today)) return null;
        return new(arrived, today.DayNumber - arrived.DayNumber, until, plant.Source ?? arrival?.Text, journal.Of(EntryKinds.Inspected).LastOrDefault(e => e.On >= arrived), plant.QuarantineUntil);
    }
}

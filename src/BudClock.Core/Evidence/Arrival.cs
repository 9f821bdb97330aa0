using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rule F2: a plant in its first weeks here.</summary>
/// <param name="Arrived">The day it came.</param>
/// <param name="Day">Days since, the day itself being 0.</param>
/// <param name="Until">The day on which the newcomer's weeks are over.</param>
/// <param name="From">Where it came from, in the grower's words.</param>
/// <param name="Found">What was found when it was looked over; null while nobody has.</param>
/// <param name="QuarantineUntil">The last day it is kept apart; null for none.</param>
/// <param name="WrongMedium">The words that say that it came in a medium it must not stay in; null for none, and once it was
/// repotted.</param>
/// <param name="Days">How long a plant counts as a newcomer: plain water and no feed (common practice).</param>
public sealed record Arrival(
    DateOnly Arrived,
    int Day,
    DateOnly Until,
    string? From,
    Entry? Found,
    DateOnly? QuarantineUntil,
    string? WrongMedium,
    int Days
)
{
    /// <summary>In its first weeks.</summary>
    public bool IsNewcomer => Day < Days;

    /// <summary>The arrival, or null where no day is known, or it is still to come.</summary>
    public static Arrival? Read(Situation now)
    {
        if (now.Last<NewlyCome>() is not { Sign: { On: var arrived } entry })
            return null;
        var (plant, day, limits) = (now.Plant, now.Today.DayNumber - arrived.DayNumber, now.Limits<NewcomerLimits>());
        var found = now.Journal.Of(Inspected).LastOrDefault(e => e.On >= arrived);
        return new(
            arrived,
            day,
            arrived.AddDays(limits.Newcomer),
            plant.Source ?? entry.Text,
            found,
            plant.QuarantineUntil,
            day <= limits.News ? Wrong(plant, now.Journal, now.Sheet, arrived, entry, found) : null,
            limits.Newcomer
        );
    }

    static string? Wrong(Plant plant, PlantJournal journal, CultureSheet sheet, DateOnly arrived, Entry entry, Entry? found)
    {
        if (journal.FirstSince(arrived, Repotted) is not null)
            return null;
        // A medium may be told with the plant, by who looked it over, or where it came from.
        return new[] { plant.Medium, found?.Text, entry.Text }
            .Select(PottingMedium.Of)
            .Select(medium => sheet.WrongMedia.FirstOrDefault(medium.Has))
            .FirstOrDefault(part => part is not null);
    }
}

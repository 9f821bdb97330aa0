using BudClock.Core.Advising;

namespace BudClock.Core.Round;

/// <summary>The day's walk: what asks for something, place by place, and what is better left alone.</summary>
/// <param name="First">What cannot wait for its place in the walk: rot, pests, a night that kills.</param>
/// <param name="Asking">Places in walking order with the plants that need something today.</param>
/// <param name="Later">Put off until tomorrow by the grower.</param>
/// <param name="Held">Left alone for a reason.</param>
/// <param name="Quiet">Nothing to say today, or no culture sheet to say it from.</param>
public sealed record RoundOfDay(
    IReadOnlyList<Assessment> First,
    IReadOnlyList<PlaceRound> Asking,
    IReadOnlyList<Assessment> Later,
    IReadOnlyList<Assessment> Held,
    IReadOnlyList<Assessment> Quiet
)
{
    /// <summary>All that ask for something, urgent first.</summary>
    public IEnumerable<Assessment> AllAsking => First.Concat(Asking.SelectMany(place => place.Plants));

    /// <summary>How many plants have something to do.</summary>
    public int ToDo => AllAsking.Count(a => a.Main!.Verdict is Verdict.Do);

    /// <summary>How many want a look; the plants of a place that only begin their logs are one look.</summary>
    public int ToLookAt => AllAsking.Count(a => a.Main!.Verdict is Verdict.Look) + Asking.Count(place => place.Beginners.Count > 0);

    /// <summary>Lays out the round of one day; plants that are gone stay off it.</summary>
    public static RoundOfDay Of(IReadOnlyList<Place> places, IEnumerable<Assessment> assessments)
    {
        var here = assessments
            .Where(a => !a.Gone)
            .OrderBy(a => Walk(places, a.Plant.Place))
            .ThenBy(a => a.Plant.Tag, StringComparer.Ordinal)
            .ToLookup(Standing);
        var asking = here[Stands.Asking]
            .GroupBy(a => a.Plant.Place)
            .Select(group => new PlaceRound(
                places.FirstOrDefault(p => p.Code == group.Key),
                [.. group.OrderBy(a => a.Main!.Verdict).ThenBy(a => a.Main!.Care.AnswersWater() ? 0 : 1)]
            ))
            .Select(PlaceRound.WithoutBeginners);
        return new([.. here[Stands.First]], [.. asking], [.. here[Stands.Later]], [.. here[Stands.Held]], [.. here[Stands.Quiet]]);
    }

    enum Stands
    {
        First,
        Asking,
        Later,
        Held,
        Quiet,
    }

    static Stands Standing(Assessment plant) =>
        plant.Main?.Verdict switch
        {
            null => Stands.Quiet,
            Verdict.Hold => Stands.Held,
            Verdict.Do when plant.Main is { Ground: Ground.Emergency, Topic: Topics.Health or Topics.Move } => Stands.First,
            _ => PutOff(plant) ? Stands.Later : Stands.Asking,
        };

    static bool PutOff(Assessment plant) => plant.Situation.Journal.Last(EntryKinds.PutOff)?.On == plant.On;

    static int Walk(IReadOnlyList<Place> places, string? code)
    {
        for (var i = 0; i < places.Count; i++)
            if (places[i].Code == code)
                return i;
        return places.Count; // unplaced comes last
    }
}

/// <summary>A place with the plants that ask there; no place is "unplaced".</summary>
public sealed record PlaceRound(Place? Place, IReadOnlyList<Assessment> Plants)
{
    /// <summary>So many plants that only begin their logs are asked about together, fewer by themselves.</summary>
    const int Several = 3;

    /// <summary>Plants of which nothing is on record yet that water could go by: one word answers for all that are alike.</summary>
    public IReadOnlyList<Assessment> Beginners { get; init; } = [];

    /// <summary>The place with its beginners apart, where there are several.</summary>
    internal static PlaceRound WithoutBeginners(PlaceRound place)
    {
        var beginners = place.Plants.Where(plant => plant.Main is { Begins: true }).ToList();
        return beginners.Count < Several ? place : place with { Plants = [.. place.Plants.Except(beginners)], Beginners = beginners };
    }

    /// <summary>Tags of the plants that want the same plain watering now: one tap logs it for all.</summary>
    public IReadOnlyList<string> Watering =>
        [
            .. Plants
                .Where(a => a.Of(Care.GiveWater) is { Verdict: Verdict.Do, Care: Care.GiveWater, Topic: Topics.Water })
                .Select(a => a.Plant.Tag),
        ];
}

using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>Plants of one place that have to come in before the same cold, and where to: one act for all of them.</summary>
/// <param name="From">Where they stand.</param>
/// <param name="To">The place that is warm enough for every one and suits them best; null where none is known to be.</param>
/// <param name="Night">The first night that endangers one of them, named by the day on which it ends; null for one that was
/// measured.</param>
public sealed record BringIn(Place From, Place? To, DateOnly? Night, IReadOnlyList<Assessment> Plants)
{
    const int MostAsked = 12;

    /// <summary>The evening by which they are in.</summary>
    public DateOnly By => Plants.Min(plant => plant.Of(Care.BringIn)!.Due!.Value);

    /// <summary>The coldest of what was said for them, °C.</summary>
    public double? ColdC =>
        Plants.Min(plant => plant.Of(Care.BringIn)!.Conditions.Where(c => c.Unit == "°C").Min(condition => condition.Have?.Number));

    /// <summary>"Bring in tonight: 6 plants from Cold frame to South bench".</summary>
    public string Words =>
        $"Bring in {When}: {(Plants.Count == 1 ? "1 plant" : $"{Plants.Count} plants")} from {From.Name}"
        + (To is null ? "" : $" to {To.Name}");

    string When =>
        Night is null || By < Plants[0].On ? "now"
        : By == Plants[0].On ? "tonight"
        : $"by the evening of {Dates.Short(By)}";

    /// <summary>The cold, and where to.</summary>
    public string Why
    {
        get
        {
            var cold = ColdC is { } c ? Degrees.Of(c) : "Cold";
            var said = Night is { } night ? $"{cold} is forecast for the night of {Dates.Short(night)}." : $"{cold} was measured there.";
            return To is null ? $"{said} No place here is known to be warm enough: measure nights indoors." : said;
        }
    }

    /// <summary>What one line logs for all of them; null where there is nowhere to.</summary>
    public string? Line => To is null ? null : $"{string.Join(", ", Plants.Select(plant => plant.Plant.Tag))}: moved to {To.Name}";

    /// <summary>The groups of a garden's day, place by place.</summary>
    public static IReadOnlyList<BringIn> Of(IReadOnlyList<Place> places, IEnumerable<Assessment> assessments, PlaceWeathers weathers)
    {
        var cold = assessments
            .Where(plant => !plant.Gone && plant.Of(Care.BringIn) is { Verdict: Verdict.Do, Due: not null })
            .ToLookup(p => p.Plant.Place);
        return [.. places.Where(place => cold[place.Code].Any()).Select(place => One(place, [.. cold[place.Code]], weathers))];
    }

    static BringIn One(Place from, IReadOnlyList<Assessment> plants, PlaceWeathers weathers)
    {
        var warm = weathers
            .All.Where(at => at.Place.Code != from.Code && !at.Place.Outdoors && at.Place.Described)
            .Where(at => plants.All(plant => PlaceFit.WarmEnough(plant.Situation, at)))
            .ToList();
        // A few plants tell which of the warm places is best; the whole of a nursery would not tell more.
        var few = plants.Take(MostAsked).ToList();
        var to = warm.MinBy(at => few.Sum(plant => PlaceFit.Of(plant.Situation, at).Weight))?.Place;
        var nights = plants
            .SelectMany(plant => plant.Of(Care.BringIn)!.Conditions)
            .Where(condition => condition.Name.StartsWith("forecast", StringComparison.Ordinal))
            .Select(condition => condition.Seen);
        return new(from, to, nights.Min(), plants);
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Core.Lanes;
using BudClock.Core.Measuring;

namespace BudClock.Practice;

/// <summary>How often what was forecast in a simulated garden came within its range, kind by kind.</summary>
/// <remarks>
/// A forecast is scored once for each event and source: as it stood a fortnight after its lane began, or when first made.
/// </remarks>
public sealed class ForecastScores
{
    const int SettledDays = 14;

    readonly Dictionary<(string Tag, string Of, DateOnly Began, string Source), Forecast> said = [];
    readonly Dictionary<(string Place, DateOnly On, int Lead), DayAhead> nights = [];
    readonly Dictionary<(string Tag, int Week), (DateOnly Made, Projection Range, double Need)> lengths = [];

    /// <summary>Takes in what is forecast of a plant today.</summary>
    public void Take(SeasonGarden garden, Assessment plant)
    {
        foreach (var forecast in plant.Forecasts)
        {
            var began = plant.Recorded.LastOrDefault(lane => lane.Open && Leads(lane, forecast.Of))?.From ?? Start(plant, forecast.Of);
            if (began is { } from && garden.Today >= from.AddDays(SettledDays))
                said.TryAdd((plant.Plant.Tag, forecast.Of, from, Kind(forecast.Source)), forecast);
        }
        foreach (var advice in plant.Advice)
            if (advice is { Projection: { From: not null, To: not null } range, Topic: Topics.FirstSoak } && advice.Conditions.Count > 0)
                if (advice.Conditions.FirstOrDefault(c => c.Name == "root length") is { Need.Number: { } need })
                    lengths.TryAdd((plant.Plant.Tag, garden.Today.DayNumber / 7), (garden.Today, range, need));
    }

    /// <summary>Takes in what is ahead for the garden's places.</summary>
    public void Take(SeasonGarden garden, PlaceWeathers weathers)
    {
        foreach (var place in garden.Places)
        foreach (var day in weathers.AheadOf(place.Code).Days14)
            if (day is { MinLowC: not null, MinHighC: not null } && day.On > garden.Today)
                nights.TryAdd((place.Code, day.On, day.On.DayNumber - garden.Today.DayNumber), day);
    }

    static bool Leads(Lane lane, string of) =>
        (of, lane.Kind) switch
        {
            (Forecasts.FirstFlower, LaneKind.Spike) => true,
            (Forecasts.Matured, LaneKind.Growth) => true,
            (Forecasts.Faded, LaneKind.Bloom) => true,
            _ => false,
        };

    static DateOnly? Start(Assessment plant, string of) =>
        of switch
        {
            Forecasts.PlantedToFlower => plant.Situation.Journal.Last(EntryKinds.Planted)?.On,
            Forecasts.ProgrammeDone => plant.Situation.Programme?.Order.Start,
            _ => null,
        };

    static string Kind(string source) =>
        source.StartsWith("the sheet", StringComparison.Ordinal) ? "the sheet's usual"
        : source.Contains("of other", StringComparison.Ordinal) ? "its kind here"
        : source.StartsWith("this plant", StringComparison.Ordinal) ? "its own record"
        : source.Contains("earlier", StringComparison.Ordinal) ? "earlier lots here"
        : source.StartsWith("the warmth", StringComparison.Ordinal) ? "the warmth it had"
        : "a first run";

    /// <summary>Rows of the table: what was forecast, from what, how many came to an end, how many within the range.</summary>
    public IEnumerable<(string What, string From, int Count, int Within, double DaysLate)> Rows(SeasonGarden garden)
    {
        var scored =
            from pair in said
            let plant = garden.Plants[pair.Key.Tag]
            let journal = PlantJournal.UpTo(garden.Today, plant.Log)
            let outcome = Forecasts.Outcome(pair.Value, LaneReader.Read(journal), journal)
            where outcome is not null
            select (
                pair.Key.Of,
                pair.Key.Source,
                Within: outcome.Value.Happened >= pair.Value.From && outcome.Value.Happened <= pair.Value.To,
                Late: outcome.Value.DaysLate
            );
        foreach (var group in scored.GroupBy(one => (one.Of, one.Source)).OrderBy(group => group.Key))
            yield return (group.Key.Of, group.Key.Source, group.Count(), group.Count(one => one.Within), group.Average(one => one.Late));
        var record = garden.Weathers();
        var known = nights
            .Where(one => record.RecordOf(one.Key.Place).Night(one.Key.On) is not null && one.Key.On <= garden.Today)
            .ToList();
        if (known.Count > 0)
            yield return (
                "night at a place",
                "what it learned",
                known.Count,
                known.Count(one =>
                    record.RecordOf(one.Key.Place).Night(one.Key.On)!.CoolestC is var c && c >= one.Value.MinLowC && c <= one.Value.MinHighC
                ),
                0
            );
        var reached = lengths
            .Select(one => (one.Value.Range, On: Reached(garden, one.Key.Tag, one.Value.Made, one.Value.Need)))
            .Where(pair => pair.On is not null)
            .ToList();
        if (reached.Count > 0)
            yield return (
                "root length",
                "its own measurements",
                reached.Count,
                reached.Count(pair => pair.On >= pair.Range.From && pair.On <= pair.Range.To),
                reached.Average(pair => pair.On!.Value.DayNumber - pair.Range.Likely!.Value.DayNumber)
            );
    }

    /// <summary>The day on which a length was reached, between the measurement before and the one after.</summary>
    static DateOnly? Reached(SeasonGarden garden, string tag, DateOnly after, double need)
    {
        Entry? before = null;
        foreach (var entry in garden.Plants[tag].Log.Where(e => e.Kind == EntryKinds.RootLength && e.Amount is not null))
        {
            if (entry.On >= after && entry.Amount!.Value.InBase >= need && before is not null && before.Amount!.Value.InBase < need)
            {
                var share = (need - before.Amount.Value.InBase) / (entry.Amount.Value.InBase - before.Amount.Value.InBase);
                return before.On.AddDays((int)Math.Round(share * (entry.On.DayNumber - before.On.DayNumber)));
            }
            before = entry;
        }
        return null;
    }
}

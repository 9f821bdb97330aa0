using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>The next days at one place in a line, and what is at stake there.</summary>
/// <param name="Tonight">The night that comes, likely and with its range; null where nothing is forecast.</param>
/// <param name="Coolest">The coolest measured night of the last week; null where none was.</param>
/// <param name="Days">The next days, tonight's first.</param>
/// <param name="Stake">What is at stake, as a clause: "2 °C on 28 May: 6 plants"; null where nothing is.</param>
public sealed record PlaceOutlook(Place Place, DayAhead? Tonight, Seen<double>? Coolest, IReadOnlyList<DayAhead> Days, string? Stake)
{
    /// <summary>
    /// The day on which its light was measured, where that was in another season; null where nothing is to be measured anew.
    /// </summary>
    public DateOnly? LightOfOldSeason { get; init; }

    const int Ahead = 5;
    const int Week = 7;

    /// <summary>The outlook of every place, in walking order.</summary>
    public static IReadOnlyList<PlaceOutlook> Of(IEnumerable<Assessment> assessments, PlaceWeathers weathers, DateOnly today)
    {
        var here = assessments.Where(plant => !plant.Gone).ToLookup(plant => plant.Plant.Place);
        return
        [
            .. weathers.All.Select(at =>
            {
                var days = at.Weather.Ahead.Where(day => day.On > today).Take(Ahead).ToList();
                return new PlaceOutlook(
                    at.Place,
                    days.FirstOrDefault(),
                    at.Weather.CoolestNight(today, Week),
                    days,
                    StakeOf([.. here[at.Place.Code]])
                )
                {
                    LightOfOldSeason = OldSeason(weathers.RecordOf(at.Place.Code), today),
                };
            }),
        ];
    }

    static DateOnly? OldSeason(PlaceRecord record, DateOnly today) =>
        record.Days.LastOrDefault(day => day.Light is not null)?.Day is { } last && last <= today.AddDays(-PlaceLight.SeasonDays)
            ? last
            : null;

    static string? StakeOf(IReadOnlyList<Assessment> plants) => Told(plants, Care.BringIn, "cold") ?? Told(plants, Care.Cool, "heat");

    static string? Told(IReadOnlyList<Assessment> plants, Care care, string what)
    {
        var asked = plants.Select(plant => plant.Of(care)).Where(advice => advice is { Asks: true }).ToList();
        if (asked.Count == 0)
            return null;
        var worst = asked.SelectMany(advice => advice!.Conditions).Where(condition => condition.Have?.Number is not null);
        var told =
            what == "cold"
                ? worst.MinBy(condition => condition.Have!.Value.Number)
                : worst.MaxBy(condition => condition.Have!.Value.Number);
        var number = told?.Have?.Number is { } celsius ? Degrees.Of(celsius) : "";
        var day = told?.Seen is { } on ? $" on {Dates.Short(on)}" : "";
        return $"{number}{day}: {(asked.Count == 1 ? "1 plant" : $"{asked.Count} plants")} at stake";
    }
}

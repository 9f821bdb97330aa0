using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Blooming;

/// <summary>When a place is likely to have done a step, were it begun there today.</summary>
/// <param name="Lately">How many of the last fourteen nights or days there would have counted; null where none was measured.</param>
/// <param name="ColdestC">The coldest night that is likely there in the next two weeks; null where nothing is known.</param>
public sealed record PlaceForStep(Place Place, StepAhead Ahead, int? Lately, double? ColdestC);

/// <summary>Which place of the garden gets its cool nights first, and when (rule B1).</summary>
public static class CoolPlaces
{
    const int Lately = 14;

    /// <summary>Every place, the soonest first; those where it is not likely to come are last.</summary>
    /// <param name="dangerC">Nights that are likely to be colder put a place last: cool is wanted, frost kills.</param>
    public static IReadOnlyList<PlaceForStep> Of(
        IEnumerable<Place> places,
        ProgrammeAround around,
        Programme programme,
        double dangerC,
        DateOnly today
    )
    {
        var step = programme.Steps[0];
        return
        [
            .. places
                .Select(place => Of(place, around, step, today))
                .OrderBy(one => one.ColdestC < dangerC ? 1 : 0)
                .ThenBy(one => one.Ahead.Likely ?? DateOnly.MaxValue)
                .ThenByDescending(one => one.Lately ?? -1),
        ];
    }

    static PlaceForStep Of(Place place, ProgrammeAround around, Step step, DateOnly today)
    {
        var record = around.RecordOf(place.Code);
        var known = Enumerable.Range(0, Lately).Select(back => Value(step.Measure, record, today.AddDays(-back))).OfType<double>().ToList();
        var ahead = new ProgrammeOutlook(around, place.Code, today).Of(
            new(new("", "", "", "", [], [], [step]), Now(today), RunState.Planned, [])
        );
        return new(
            place,
            ahead[0],
            known.Count == 0 ? null : known.Count(value => Counts(step.Measure, value)),
            around.AheadOf(place.Code).Select(day => day.MinLowC ?? day.MinC).Min()
        );
    }

    /// <summary>An order for today, which no journal holds.</summary>
    static ProgrammeOrder Now(DateOnly today) =>
        new(
            new Entry
            {
                Id = Guid.Empty,
                On = today,
                Kind = EntryKinds.ProgrammeStarted,
                Logged = DateTimeOffset.UnixEpoch,
            }
        );

    static double? Value(StepMeasure measure, Climate.PlaceRecord record, DateOnly day) =>
        measure is CoolDays ? record.Day(day)?.MaxC : record.Night(day)?.CoolestC;

    static bool Counts(StepMeasure measure, double value) =>
        measure switch
        {
            CoolNights nights => value <= nights.AtOrBelowC,
            CoolDays days => value <= days.AtOrBelowC,
            _ => true,
        };

    /// <summary>The place with the most nights or days lately that count, other than where the plant stands; null for none.</summary>
    internal static Place? Best(Situation now, StepMeasure measure) =>
        now.Around.Others is not { } places
            ? null
            : places
                .Where(place => place.Code != now.Plant.Place)
                .Select(place =>
                    (
                        place,
                        Count: Enumerable
                            .Range(0, Lately)
                            .Select(back => Value(measure, now.Counted.RecordOf(place.Code), now.Today.AddDays(-back)))
                            .Count(value => value is { } known && Counts(measure, known) && known >= now.Temper.DangerC)
                    )
                )
                .Where(pair => pair.Count > 0)
                .OrderByDescending(pair => pair.Count)
                .Select(pair => pair.place)
                .FirstOrDefault();
}

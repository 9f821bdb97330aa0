using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;

namespace BudClock.Core.Tests.Situations;

/// <summary>What a situation says of the weather at its place, and of the place out of doors that the plant came in from.</summary>
sealed class WeatherFacts(DateOnly on)
{
    readonly List<DayAhead> ahead = [],
        outside = [];
    Place? place;
    Seen<double>[] nights = [],
        days = [],
        air = [],
        outNights = [],
        lastYear = [];
    Seen<LightEstimate>[] light = [];
    Func<Place, Place> with = here => here;
    IReadOnlyList<ClimateReading>? record;

    /// <summary>Takes a fact of the weather; false for a fact of another kind.</summary>
    public bool Take(string fact)
    {
        var words = fact.Split(' ');
        var rest = words.Skip(1).ToArray();
        switch (words[0])
        {
            case "nights":
                nights = LastDays(rest[0]);
                break;
            case "record":
                record = RecordOf(rest);
                break;
            case "days":
                days = LastDays(rest[0]);
                break;
            case "air":
                air = LastDays(rest[0]);
                break;
            case "light":
                light = [.. LastDays(rest[0]).Select(day => new Seen<LightEstimate>(Measured(day.Value), day.On))];
                break;
            case "forecast":
                ahead.AddRange(rest.Select((min, index) => new DayAhead(on.AddDays(index), Situated.Number(min), null)));
                break;
            case "lows":
                Each(ahead, rest, (day, low) => day with { MinLowC = low, From = AheadFrom.Learned });
                break;
            case "highs":
                Each(ahead, rest, (day, high) => day with { MaxC = high });
                break;
            case "out-nights":
                outNights = LastDays(rest[0]);
                break;
            case "out-forecast":
                outside.AddRange(rest.Select((min, index) => new DayAhead(on.AddDays(index), Situated.Number(min), null)));
                break;
            case "out-last-year":
                lastYear = [new(Situated.Number(rest[0]), DateOnly.Parse($"{on.Year - 1}-{rest[1]}", CultureInfo.InvariantCulture))];
                break;
            case "lamps":
                With(here => here with { LampHours = Situated.Number(rest[0]) });
                break;
            case "lit":
                With(here =>
                    here with
                    {
                        LampHours = Situated.Number(rest[0]),
                        LampsFrom = TimeOnly.Parse(rest[2], CultureInfo.InvariantCulture),
                    }
                );
                break;
            case "lamps-at":
                With(here => here with { LampDistanceCm = Situated.Number(rest[0]) });
                break;
            case "roofed":
                With(here => here with { Cover = "rain" });
                break;
            case "open":
                With(here => here with { Cover = "open" });
                break;
            default:
                return false;
        }
        if (words[0].StartsWith("out-", StringComparison.Ordinal))
            place = new("frame", "the frame", "cold-frame");
        return true;
    }

    public Surroundings Over(Surroundings around)
    {
        var here = with(around.Place!);
        var measured = PlaceRecord.Of(around.Days, record ?? []);
        if (record is not null && nights.Length == 0)
            nights = [.. LastNights(measured)];
        return around with
        {
            Place = here,
            Weather = new(nights, days, air, ahead) { Light = light },
            CameFrom = place is null ? null : new(place, new(outNights, [], [], outside) { LastYear = lastYear }),
            Places = new(around.Days, _ => measured, _ => here) { AheadOf = _ => ahead },
            Others = [here],
        };
    }

    static IEnumerable<Seen<double>> LastNights(PlaceRecord measured) =>
        measured.Nights.Reverse().Take(Weather.Kept).Select(night => new Seen<double>(night.CoolestC, night.Ends));

    /// <summary>
    /// "9*12 -*3 16*30": the coolest of each night, the newest first; a dash was not measured. Days are four degrees warmer.
    /// </summary>
    List<ClimateReading> RecordOf(string[] spans)
    {
        var (day, readings) = (on, new List<ClimateReading>());
        foreach (var span in spans)
        {
            var (value, times) = (span.Split('*')[0], (int)Situated.Number(span.Split('*')[1]));
            for (var i = 0; i < times; i++, day = day.AddDays(-1))
            {
                if (value == "-")
                    continue;
                readings.Add(new("here", new(day, new(3, 0), TimeSpan.Zero), Situated.Number(value), 70));
                readings.Add(new("here", new(day, new(13, 0), TimeSpan.Zero), Situated.Number(value) + 4, 60));
            }
        }
        return readings;
    }

    Seen<double>[] LastDays(string value) =>
        [.. Enumerable.Range(0, 4).Select(back => new Seen<double>(Situated.Number(value), on.AddDays(-back)))];

    static LightEstimate Measured(double dli) => new(dli, dli * 0.85, dli * 1.15, "readings through the day");

    static void Each(List<DayAhead> days, string[] values, Func<DayAhead, double, DayAhead> set)
    {
        for (var i = 0; i < values.Length; i++)
            days[i] = set(days[i], Situated.Number(values[i]));
    }

    void With(Func<Place, Place> more)
    {
        var before = with;
        with = here => more(before(here));
    }
}

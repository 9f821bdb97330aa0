using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Potting;
using BudClock.Core.Programmes;

namespace BudClock.Core.Planning;

/// <summary>
/// What is ahead in a garden: turns of programmes, bulbs to plant, nights to bring in for, last days, looks and expected flowers. The
/// season sets, the triggers view, the calendar and the daily digest are all read from here.
/// </summary>
public sealed class Agenda
{
    /// <summary>How far ahead the season sets look, weeks.</summary>
    public const int Weeks = 12;

    readonly IReadOnlyList<Assessment> plants;
    readonly PlaceWeathers weather;
    readonly ProgrammeBook book;
    readonly DateOnly today;
    readonly DateOnly until;

    Agenda(IReadOnlyList<Assessment> plants, PlaceWeathers weather, ProgrammeBook book, DateOnly today, DateOnly until) =>
        (this.plants, this.weather, this.book, this.today, this.until) = (plants, weather, book, today, until);

    /// <summary>Everything from today to a day, by day; the same garden gives the same items in the same order.</summary>
    /// <param name="shed">What is raised; without it nothing of potting is among the items.</param>
    public static IReadOnlyList<AgendaItem> Of(
        IEnumerable<Assessment> plants,
        PlaceWeathers weather,
        ProgrammeBook book,
        DateOnly today,
        int weeks = Weeks,
        PottingShed? shed = null
    )
    {
        var agenda = new Agenda([.. plants.Where(plant => !plant.Gone)], weather, book, today, today.AddDays(weeks * 7));
        return
        [
            .. agenda
                .All()
                .Concat(shed is null ? [] : PottingAhead.Of(agenda.plants, shed, today))
                .Where(item => item.On >= today && item.On <= agenda.until)
                .OrderBy(item => item.On)
                .ThenBy(item => item.Kind)
                .ThenBy(item => item.Key, StringComparer.Ordinal),
        ];
    }

    /// <summary>The items by week, the weeks without any among them.</summary>
    public static IReadOnlyList<(DateOnly Monday, IReadOnlyList<AgendaItem> Items)> ByWeek(
        IReadOnlyList<AgendaItem> items,
        DateOnly today,
        int weeks = Weeks
    )
    {
        var first = BulbPlan.Monday(today);
        return
        [
            .. Enumerable
                .Range(0, weeks + 1)
                .Select(week => first.AddDays(week * 7))
                .Select(monday => (monday, (IReadOnlyList<AgendaItem>)[.. items.Where(item => BulbPlan.Monday(item.On) == monday)])),
        ];
    }

    IEnumerable<AgendaItem> All() =>
        plants
            .SelectMany(plant => Turns(plant).Concat(Bulbs(plant)).Concat(Flowers(plant)).Concat(Looks(plant)))
            .Concat(Starts())
            .Concat(Years())
            .Concat(Cold());

    /// <summary>Each step that is still to come, on the day its programme is likely to turn to it.</summary>
    static IEnumerable<AgendaItem> Turns(Assessment plant)
    {
        if (plant.Situation.Programme is not { State: RunState.Running or RunState.Planned } run || IsHeldBack(plant, run))
            yield break;
        var key = Key(plant, run);
        if (run.State is RunState.Planned)
            yield return new(
                $"{key}/start",
                AgendaKind.Start,
                run.Order.Start,
                $"{run.Programme.Title}: begin. {run.Programme.Steps[0].Turn}",
                [plant.Plant.Tag]
            );
        var ahead = plant.Situation.Outlook.Of(run);
        var steps = run.Ahead.ToList();
        foreach (var (index, step) in steps.Index())
        {
            // A step begins where the one before it ends.
            var before = ahead[
                run.Now is null
                    ? index - 1 < 0
                        ? 0
                        : index - 1
                    : index
            ];
            if (run.Now is null && index == 0)
                continue;
            if (before.Likely is { } likely)
                yield return new($"{key}/{step.Name}", AgendaKind.Turn, likely, $"{run.Programme.Title}: {step.Turn}", [plant.Plant.Tag])
                {
                    From = before.Earliest ?? likely,
                    To = before.Latest ?? likely,
                };
        }
        if (ahead.Count > 0 && ahead[^1] is { Likely: { } end } last && run.Programme.Done.Count > 0)
            yield return new($"{key}/done", AgendaKind.Bloom, end, $"{run.Programme.Title}: buds or a spike are likely.", [plant.Plant.Tag])
            {
                From = last.Earliest ?? end,
                To = last.Latest ?? end,
            };
    }

    /// <summary>An order that is corrected is another entry of the same day, and the same thing in a calendar.</summary>
    static string Key(Assessment plant, ProgrammeRun run) => $"{plant.Plant.Tag}/{run.Programme.Name}/{run.Order.Entry.On.DayNumber}";

    static bool IsHeldBack(Assessment plant, ProgrammeRun run) => plant.Situation.HeldBack && run.Order.BloomOn is not null;

    /// <summary>Bulbs that are held back for a day: planting, light, flower.</summary>
    IEnumerable<AgendaItem> Bulbs(Assessment plant)
    {
        if (plant.Situation.Programme is not { } run || !IsHeldBack(plant, run))
            yield break;
        var (took, wanted) = (BulbInterval.Of(plant.Situation), run.Order.BloomOn!.Value);
        var plantOn = wanted.AddDays(-(int)Math.Round(took.Likely));
        var (key, tags) = (Key(plant, run), new[] { plant.Plant.Tag });
        if (plant.Situation.Rest is null)
            yield return new(
                $"{key}/order",
                AgendaKind.LastDay,
                plantOn.AddDays(-plant.Situation.Limits<ForcingLimits>().Order),
                "Order the bulbs by now.",
                tags
            );
        yield return new(
            $"{key}/plant",
            AgendaKind.Start,
            plantOn,
            $"Plant it for {Dates.Near(wanted, today)}, then a week dark at 10 °C.",
            tags
        );
        yield return new(
            $"{key}/light",
            AgendaKind.Move,
            plantOn.AddDays(plant.Situation.Limits<ForcingLimits>().Dark),
            "Out of the dark: bright, at about 16 °C.",
            tags
        );
        yield return new($"{key}/bloom", AgendaKind.Bloom, wanted, "Wanted in bloom.", tags)
        {
            From = plantOn.AddDays((int)Math.Round(took.From)),
            To = plantOn.AddDays((int)Math.Round(took.To)),
        };
    }

    IEnumerable<AgendaItem> Flowers(Assessment plant) =>
        plant
            .Forecasts.Where(forecast => forecast.Of is Forecasts.FirstFlower or Forecasts.PlantedToFlower)
            .Select(forecast => new AgendaItem(
                $"{plant.Plant.Tag}/flower/{forecast.Organ}",
                AgendaKind.Bloom,
                forecast.Likely < today ? today : forecast.Likely,
                "First flower expected.",
                [plant.Plant.Tag]
            )
            {
                From = forecast.From,
                To = forecast.To,
            });

    /// <summary>Topics of which a coming day is worth a place in a calendar.</summary>
    static readonly string[] Calendared = [Topics.Health, Topics.SecondLook, Topics.Wake, Topics.Repot];

    IEnumerable<AgendaItem> Looks(Assessment plant) =>
        from advice in plant.Advice
        where advice.Due is not null && (Calendared.Contains(advice.Topic) || (advice.Topic == Topics.Rest && advice.Care is Care.Feel))
        where advice.Due > today || advice.Asks
        select new AgendaItem(
            $"{plant.Plant.Tag}/{advice.Topic}/{advice.Rule}/{advice.Care.Facts().Name}",
            AgendaKind.Look,
            advice.Due!.Value < today ? today : advice.Due.Value,
            advice.Reason,
            [plant.Plant.Tag]
        );

    /// <summary>Programmes whose season begins or ends, for plants on their sheets that have none yet.</summary>
    IEnumerable<AgendaItem> Starts()
    {
        foreach (var programme in book.All)
        {
            if (programme.Season is not { } season || programme.Sheets.Count == 0)
                continue;
            var ready = plants.Where(plant => Could(plant, programme)).ToList();
            if (ready.Count == 0)
                continue;
            var southern = ready[0].Situation.Around.Garden.Southern;
            var tags = ready.Select(plant => plant.Plant.Tag).ToList();
            foreach (var year in new[] { today.Year - 1, today.Year, today.Year + 1 })
            {
                var (from, to) = (season.From.In(year, southern), season.To.In(year, southern));
                if (to < today)
                    continue;
                var begin = from < today ? today : from;
                yield return new(
                    $"programme/{programme.Name}/{year}/from",
                    AgendaKind.Start,
                    begin,
                    $"{programme.Title} can begin from now on, until {Dates.Short(to)}.",
                    tags
                );
                yield return new(
                    $"programme/{programme.Name}/{year}/to",
                    AgendaKind.LastDay,
                    to,
                    $"The last usual day to begin: {programme.Title.ToLowerInvariant()}.",
                    tags
                );
            }
        }
    }

    /// <summary>What the year of each habit usually brings: only a time to look, for the plant decides.</summary>
    IEnumerable<AgendaItem> Years() =>
        from here in plants.GroupBy(plant => plant.Situation.Sheet.Name)
        let sheet = here.First().Situation.Sheet
        let southern = here.First().Situation.Around.Garden.Southern
        from phase in sheet.Phases
        from year in new[] { today.Year, today.Year + 1 }
        select new AgendaItem(
            $"sheet/{sheet.Name}/{phase.Phase.Name()}/{year}",
            AgendaKind.Season,
            phase.From.In(year, southern),
            $"{sheet.Title}, usually {phase.Phase.Name().Replace('-', ' ')} from now on: {phase.About}",
            [.. here.Select(plant => plant.Plant.Tag)]
        );

    /// <summary>Meant for it, and none is running or was done this season.</summary>
    bool Could(Assessment plant, Programme programme) =>
        programme.IsFor(plant.Situation.Sheet)
        && !(plant.Situation.Programme is { } run && run.Order.Start > today.AddDays(-240))
        && plant.Situation.Arrival is not { IsNewcomer: true }
        && !IsDone(plant, programme.Steps[0].Measure);

    /// <summary>The last weeks where it stands did it already, without anybody's help.</summary>
    bool IsDone(Assessment plant, StepMeasure measure)
    {
        var record = plant.Situation.Counted.RecordOf(plant.Plant.Place);
        return measure is CoolDays days
            && Enumerable.Range(1, days.Need).Count(back => record.Day(today.AddDays(-back))?.MaxC <= days.AtOrBelowC) >= days.Need;
    }

    /// <summary>Places out of doors, on the day of last year's first night that endangered what stands there now.</summary>
    IEnumerable<AgendaItem> Cold()
    {
        foreach (var place in weather.All.Where(one => one.Place.Outdoors))
        {
            var here = plants.Where(plant => plant.Plant.Place == place.Place.Code).ToList();
            if (here.Count == 0)
                continue;
            var limit = here.Max(plant => plant.Situation.Temper.DangerC);
            if (FirstCold(weather.RecordOf(place.Place.Code), limit) is not { } night)
                continue;
            yield return new(
                $"place/{place.Place.Code}/cold/{night.Ends.Year + 1}",
                AgendaKind.Move,
                night.Ends.AddYears(1),
                $"{place.Place.Name}: last year the first night below {Degrees.Of(limit)} came about now ({Degrees.Of(night.CoolestC)} on "
                    + $"{Dates.Short(night.Ends)}). Have a place indoors ready.",
                [.. here.Select(plant => plant.Plant.Tag)]
            );
        }
    }

    NightOfPlace? FirstCold(PlaceRecord record, double limit)
    {
        for (var day = today.AddYears(-1); day <= until.AddYears(-1); day = day.AddDays(1))
            if (record.Night(day) is { } night && night.CoolestC < limit)
                return night;
        return null;
    }
}

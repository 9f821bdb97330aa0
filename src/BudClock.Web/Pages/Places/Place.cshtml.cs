using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Round;
using BudClock.Data;
using BudClock.Web.Drawing;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>A plant at a place, and what it suffers from there.</summary>
public sealed record SuffersHere(Assessment Plant, IReadOnlyList<FitOf> From);

/// <summary>A row of the chart's table.</summary>
public sealed record PlaceRow(string When, double? Night, double? Mean, double? Max, double? Humidity, double? Light, double DayHours);

/// <summary>One place: its year or its week, who suffers there, what is ahead, and what it is like.</summary>
public sealed class PlaceModel(
    TodaysGarden todaysGarden,
    PlaceBook book,
    GardenStore store,
    ReadingIntake intake,
    Logbook logbook,
    Clock clock
) : GardenPage(todaysGarden)
{
    const double Width = 900;
    const double PhoneWidth = 420;
    const int YearDays = 365;
    const int QuarterDays = 91;
    const int WeekDays = 7;
    const int MostLimits = 4;

    /// <summary>The code of the place.</summary>
    [BindProperty(SupportsGet = true)]
    public string Code { get; set; } = "";

    /// <summary>"year", "quarter" or "week".</summary>
    [BindProperty(SupportsGet = true)]
    public string? Span { get; set; }

    /// <summary>The form of what the place is like.</summary>
    [BindProperty]
    public PlaceForm Form { get; set; } = new();

    /// <summary>The form of a reading by hand.</summary>
    [BindProperty]
    public ReadingForm Reading { get; set; } = new();

    public Place Place { get; private set; } = null!;
    public PlaceRecord Record { get; private set; } = PlaceRecord.Empty;
    public PlaceAhead Ahead => Today.Weather.AheadOf(Place.Code);
    public Weather Weather => Today.Weather.At(Place.Code);
    public PlaceChart Chart { get; private set; } = null!;
    public PlaceChart PhoneChart { get; private set; } = null!;
    public IReadOnlyList<SuffersHere> Suffers { get; private set; } = [];
    public IReadOnlyList<DeviceState> Devices { get; private set; } = [];
    public IReadOnlyList<ClimateReading> Doubted { get; private set; } = [];
    public PlaceLight Light => PlaceLight.Of(Place, Weather, Today.Day, Today.Garden);
    public string? Fault { get; private set; }
    public bool ReadingFault { get; private set; }

    /// <summary>The day on which its light was last measured within the year; null for never.</summary>
    public DateOnly? LightSeen => Record.Days.LastOrDefault(day => day.Light is not null)?.Day;

    public async Task<IActionResult> OnGetAsync()
    {
        if (Today.PlaceAt(Code) is not { } place)
            return NotFound();
        Form = PlaceForm.Of(place, Today.Garden.UsUnits);
        Reading = new() { On = Today.Day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) };
        await ShowAsync(place);
        return Page();
    }

    async Task ShowAsync(Place place)
    {
        Place = place;
        Span = Span is "week" or "quarter" ? Span : "year";
        var days = Today.Weather.Calendar;
        Record = await book.RecordAsync(days, place.Code, Today.Day.AddDays(-YearDays), Today.Day.AddDays(1));
        Suffers = [.. Here().Select(plant => new SuffersHere(plant, SuffersFrom(plant))).Where(one => one.From.Count > 0)];
        Devices = await intake.StatesAsync([.. Today.Devices.Where(device => device.Place == place.Code)]);
        var from = new DateTimeOffset(days.Of(Today.Day.AddDays(-WeekDays - 1)).From, TimeSpan.Zero);
        var lately = await store.ReadingsAsync(place.Code, from, DateTimeOffset.MaxValue);
        Doubted = [.. lately.Where(reading => reading.Doubt is not null).TakeLast(20)];
        (Chart, PhoneChart) = (Draw(days, lately, Width), Draw(days, lately, PhoneWidth));
    }

    PlaceChart Draw(GardenDays days, IReadOnlyList<ClimateReading> lately, double width) =>
        Span == "week"
            ? PlaceChart.OfHours(days, lately, Record, Ahead, Today.Day.AddDays(-WeekDays + 1), Today.Day, Limits(), width)
            : PlaceChart.OfDays(
                days,
                Record,
                Ahead,
                Today.Day.AddDays(Span == "quarter" ? -QuarterDays : -YearDays),
                Today.Day,
                Limits(),
                width
            );

    /// <summary>Its light was measured in another season.</summary>
    public bool LightTask => LightSeen is { } seen && seen <= Today.Day.AddDays(-PlaceLight.SeasonDays);

    const double WarmthC = 10;

    /// <summary>The mean vapour pressure deficit of two weeks, kPa.</summary>
    public double? Vpd => Record.Days.Where(day => day.Day > Today.Day.AddDays(-14)).Average(day => day.VpdKPa);

    /// <summary>How long tonight stays dark, where lamps burn at known hours.</summary>
    public double? DarkHours =>
        Place is { LampHours: { } hours, LampsFrom: { } from }
            ? Darkness.UnbrokenHours(Today.Weather.Calendar, Today.Day, [(from, hours)])
            : null;

    /// <summary>Degree-days above 10 °C since the year began, and the days without a reading.</summary>
    public (double DegreeDays, int Unknown) Warmth => Record.DegreeDays(WarmthC, new(Today.Day.Year, 1, 1), Today.Day);

    /// <summary>What was learned, in a sentence.</summary>
    public string Says(LearnedOffset learned, string what)
    {
        var (likely, low, high) = learned.At(TypicalC, 1);
        var follows = learned.Share switch
        {
            1 => "follow the weather outside",
            0.75 => "follow the weather outside by three quarters",
            0.5 => "follow the weather outside by half",
            _ => "follow the weather outside by a quarter",
        };
        var words = learned.Follows
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"{what} here {follows}: a forecast of {TypicalC:0} °C outside comes to {likely:0.0} °C here ({low:0.0} to {high:0.0} "
                    + $"°C), learned from {learned.Outcomes}."
            )
            : string.Create(
                CultureInfo.InvariantCulture,
                $"{what} here keep to themselves, at about {learned.OffsetC:0.0} °C ({low:0.0} to {high:0.0} °C), whatever the weather: "
                    + $"heated or lit."
            );
        return words.Replace("(-", "(−", StringComparison.Ordinal).Replace("to -", "to −", StringComparison.Ordinal);
    }

    /// <summary>A forecast to show by what a place makes of it.</summary>
    const double TypicalC = 8;

    /// <summary>The chart as rows of a table: by day for a week, else by month.</summary>
    public IEnumerable<PlaceRow> Numbers() =>
        Span == "week"
            ? Enumerable
                .Range(0, WeekDays)
                .Select(back => Today.Day.AddDays(-back))
                .Select(day => Row(day.ToString("ddd d MMM", CultureInfo.InvariantCulture), day, day))
            : Enumerable
                .Range(0, Span == "quarter" ? 4 : 13)
                .Select(back => new DateOnly(Today.Day.Year, Today.Day.Month, 1).AddMonths(-back))
                .Select(month => Row(month.ToString("MMMM yyyy", CultureInfo.InvariantCulture), month, month.AddMonths(1).AddDays(-1)));

    PlaceRow Row(string when, DateOnly from, DateOnly to)
    {
        var days = Record.Days.Where(day => day.Day >= from && day.Day <= to && day.Day <= Today.Day).ToList();
        var nights = Record.Nights.Where(night => night.Ends >= from && night.Ends <= to && night.Ends <= Today.Day).ToList();
        var middle = from.AddDays((to.DayNumber - from.DayNumber) / 2);
        return new(
            when,
            nights.Min(night => (double?)night.CoolestC),
            days.Average(day => day.MeanC),
            days.Max(day => day.MaxC),
            days.Average(day => day.HumidityPct),
            days.Average(day => day.Light?.Estimate.Dli),
            Today.Weather.Calendar.Of(middle).LightHours
        );
    }

    /// <summary>The plants that stand there.</summary>
    public IEnumerable<Assessment> Here() => Today.Plants.Where(plant => !plant.Gone && plant.Plant.Place == Place.Code);

    List<FitOf> SuffersFrom(Assessment plant) =>
        [
            .. PlaceFit
                .Of(plant.Situation, new(Place, Weather))
                .Things.Where(thing => thing.Suits is Suits.Not || (thing.Suits is Suits.Nearly && thing.What is "Cold" or "Air")),
        ];

    /// <summary>The most demanding limits of the plants that stand there, each with their names.</summary>
    List<PlaceLimit> Limits()
    {
        var cold = Group(plant => plant.Situation.Temper.DangerC).OrderByDescending(limit => limit.Key).Take(MostLimits);
        var hot = Group(plant => plant.Situation.Limits<TemperatureLimits>().HotNight).OrderBy(limit => limit.Key).Take(1);
        return
        [
            .. cold.Select(limit => new PlaceLimit(limit.Key, true, Named(limit, "danger to "))),
            .. hot.Select(limit => new PlaceLimit(limit.Key, false, Named(limit, "night too warm for "))),
        ];
    }

    IEnumerable<IGrouping<double, Assessment>> Group(Func<Assessment, double?> of) =>
        Here()
            .Select(plant => (plant, Limit: of(plant)))
            .Where(one => one.Limit is not null)
            .GroupBy(one => one.Limit!.Value, one => one.plant);

    static string Named(IGrouping<double, Assessment> limit, string words)
    {
        var tags = limit.Select(plant => plant.Plant.Tag).ToList();
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{limit.Key:0.#} °C: {words}{string.Join(", ", tags.Take(2))}{(tags.Count > 2 ? $" and {tags.Count - 2} more" : "")}"
        );
    }

    /// <summary>Keeps what the place is like.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        if (Today.PlaceAt(Code) is not { } place)
            return NotFound();
        var (changed, fault) = Form.Read(place, Today);
        if (changed is null)
            return await WrongAsync(place, fault!);
        var outcome = await logbook.WriteAsync(Act, $"Place {changed.Name}", Changes.Place(changed));
        return outcome.Done ? RedirectToPage(new { Code, Span }) : await WrongAsync(place, outcome.Trouble!);
    }

    /// <summary>Writes down a reading by hand.</summary>
    public async Task<IActionResult> OnPostReadingAsync()
    {
        if (Today.PlaceAt(Code) is not { } place)
            return NotFound();
        var (readings, fault) = Reading.Read(place, Today.Garden, clock.GetUtcNow(), Today.Day);
        if (readings.Count == 0)
        {
            ReadingFault = true;
            return await WrongAsync(place, fault!);
        }
        var outcome = await logbook.WriteAsync(Act, $"{Reading.Words} at {place.Name}", Changes.Readings(readings));
        ReadingFault = !outcome.Done;
        return outcome.Done ? RedirectToPage(new { Code, Span }) : await WrongAsync(place, outcome.Trouble!);
    }

    async Task<IActionResult> WrongAsync(Place place, string fault)
    {
        Fault = fault;
        if (ReadingFault)
            Form = PlaceForm.Of(place, Today.Garden.UsUnits);
        await ShowAsync(place);
        return Page();
    }
}

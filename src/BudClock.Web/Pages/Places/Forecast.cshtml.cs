using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Data;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>A day of a forecast by hand, as it is typed.</summary>
public sealed class DayTyped
{
    public DateOnly On { get; set; }
    public string? Min { get; set; }
    public string? Max { get; set; }
}

/// <summary>The forecast service as it is typed.</summary>
public sealed class ServiceTyped
{
    public string? Address { get; set; }
    public string? Days { get; set; }
    public string? Min { get; set; }
    public string? Max { get; set; }
    public string? Sun { get; set; }
    public bool SunSeconds { get; set; } = true;
    public string? Humidity { get; set; }

    /// <summary>The form of a service.</summary>
    public static ServiceTyped Of(ForecastSettings settings) =>
        new()
        {
            Address = settings.Address,
            Days = settings.Days,
            Min = settings.Min,
            Max = settings.Max,
            Sun = settings.Sun,
            SunSeconds = settings.SunSeconds,
            Humidity = settings.Humidity,
        };
}

/// <summary>Forecasts: from a service, and by hand.</summary>
public sealed class ForecastModel(TodaysGarden todaysGarden, Logbook logbook, OutsideSettings settings, ForecastWatcher watcher)
    : GardenPage(todaysGarden)
{
    /// <summary>The place that days are written down for; null for the weather outside.</summary>
    [BindProperty(SupportsGet = true)]
    public string? At { get; set; }

    [BindProperty]
    public List<DayTyped> Days { get; set; } = [];

    [BindProperty]
    public ServiceTyped Service { get; set; } = new();

    public string? Fault { get; private set; }

    public Unit DegreeUnit => Unit.Default(Dimension.Temperature, Today.Garden.UsUnits)!;

    /// <summary>How old the newest forecast is, and what is wrong with the service.</summary>
    public string State
    {
        get
        {
            var made = Today.Forecast.Where(day => day.Place is null).Max(day => day.Made);
            var known = made is { } on
                ? $"The newest forecast of the weather outside is from {Dates.Near(on, Today.Day)}{(on < Today.Day ? ": it is old" : "")}."
                : "There is no forecast of the weather outside yet.";
            return watcher.Trouble is { } trouble ? $"{known} {trouble}" : known;
        }
    }

    public async Task OnGetAsync()
    {
        await FillServiceAsync();
        FillDays();
    }

    async Task FillServiceAsync() => Service = ServiceTyped.Of(await settings.ForecastAsync() ?? new(""));

    void FillDays()
    {
        At = Today.PlaceAt(At)?.Code;
        var known = Today.Forecast.Where(day => day.Place == At && !(day.Made > Today.Day)).ToLookup(day => day.On);
        Days =
        [
            .. Enumerable
                .Range(0, PlaceAhead.Furthest)
                .Select(Today.Day.AddDays)
                .Select(on => (on, Day: known[on].MaxBy(day => day.Made ?? DateOnly.MinValue)))
                .Select(one => new DayTyped
                {
                    On = one.on,
                    Min = Shown(one.Day?.MinC),
                    Max = Shown(one.Day?.MaxC),
                }),
        ];
    }

    string? Shown(double? celsius) =>
        celsius is { } c ? Math.Round((c - DegreeUnit.Offset) / DegreeUnit.Factor, 1).ToString("0.#", CultureInfo.InvariantCulture) : null;

    /// <summary>Keeps the days that were written down.</summary>
    public async Task<IActionResult> OnPostHandAsync()
    {
        if (At is not null && Today.PlaceAt(At) is null)
            return await WrongAsync("That place is not there any more.");
        var days = new List<ForecastDay>();
        var before = Days;
        FillDays();
        var shown = Days.ToDictionary(day => day.On);
        Days = before;
        foreach (var day in Days.Where(day => !string.IsNullOrWhiteSpace(day.Min) || !string.IsNullOrWhiteSpace(day.Max)))
        {
            if (!shown.TryGetValue(day.On, out var was))
                return await WrongAsync("A forecast is for the next two weeks.");
            if (was.Min == day.Min?.Trim() && was.Max == day.Max?.Trim())
                continue;
            if (!Read(day.Min, out var min) || !Read(day.Max, out var max))
                return await WrongAsync(
                    $"{day.On:d MMM}: \"{day.Min}\" and \"{day.Max}\" are not both temperatures; write numbers such as "
                        + $"{(Today.Garden.UsUnits ? "48 and 63" : "9 and 17")}."
                );
            if (min > max)
                return await WrongAsync($"{day.On:d MMM}: the lowest is above the highest.");
            days.Add(new(At, day.On, min, max) { Made = Today.Day });
        }
        if (days.Count == 0)
            return await WrongAsync("Write down at least one day.");
        var outcome = await logbook.WriteAsync(Act, $"A forecast of {days.Count} days", Changes.Forecast(days));
        return outcome.Done ? RedirectToPage(new { at = At }) : await WrongAsync(outcome.Trouble!);
    }

    bool Read(string? text, out double? celsius)
    {
        celsius = null;
        if (string.IsNullOrWhiteSpace(text))
            return true;
        if (AmountReader.Read(text, DegreeUnit) is not { Dimension: Dimension.Temperature, InBase: >= -60 and <= 60 } read)
            return false;
        celsius = Math.Round(read.InBase, 3);
        return true;
    }

    /// <summary>Keeps the service, and asks it.</summary>
    public async Task<IActionResult> OnPostServiceAsync()
    {
        var address = Service.Address?.Trim() ?? "";
        if (
            address.Length > 0
            && !(
                Uri.TryCreate(address.Replace('{', 'x').Replace('}', 'x'), UriKind.Absolute, out var uri) && uri.Scheme is "http" or "https"
            )
        )
            return await WrongAsync($"\"{address}\" is no address; it begins with http:// or https://.", service: true);
        var fresh = new ForecastSettings(address);
        fresh = fresh with
        {
            Days = Or(Service.Days, fresh.Days)!,
            Min = Or(Service.Min, fresh.Min)!,
            Max = Or(Service.Max, fresh.Max)!,
            Sun = Or(Service.Sun, null),
            SunSeconds = Service.SunSeconds,
            Humidity = Or(Service.Humidity, null),
        };
        var outcome = await logbook.WriteAsync(Act, "The forecast service", OutsideSettings.Keep(fresh));
        if (!outcome.Done)
            return await WrongAsync(outcome.Trouble!, service: true);
        await watcher.AskAsync(HttpContext.RequestAborted);
        settings.Tell();
        return watcher.Trouble is { } trouble ? await WrongAsync(trouble) : RedirectToPage();

        static string? Or(string? typed, string? otherwise) => string.IsNullOrWhiteSpace(typed) ? otherwise : typed.Trim();
    }

    /// <summary>What was typed stays as it is.</summary>
    async Task<IActionResult> WrongAsync(string fault, bool service = false)
    {
        Fault = fault;
        if (!service)
            await FillServiceAsync();
        if (Days.Count == 0)
            FillDays();
        return Page();
    }
}

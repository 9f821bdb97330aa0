using System.Text;
using System.Text.Json;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Files;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>A logger's columns as they are chosen.</summary>
public sealed class MapForm
{
    public string? Time { get; set; }
    public string? Date { get; set; }
    public string? Temperature { get; set; }
    public string? Humidity { get; set; }
    public string? Lux { get; set; }
    public string? Ppfd { get; set; }
    public bool Fahrenheit { get; set; }
    public bool MonthFirst { get; set; }
    public string? Clock { get; set; }

    /// <summary>The layout that was chosen.</summary>
    public LoggerLayout Layout =>
        new()
        {
            Time = Empty(Time),
            Date = Empty(Date),
            Temperature = Empty(Temperature),
            Humidity = Empty(Humidity),
            Lux = Empty(Lux),
            Ppfd = Empty(Ppfd),
            Fahrenheit = Fahrenheit,
            MonthFirst = MonthFirst,
            Clock = Clock is not null && LoggerLayout.Clocks.Contains(Clock) ? Clock : LoggerLayout.GardenClock,
        };

    static string? Empty(string? chosen) => string.IsNullOrEmpty(chosen) ? null : chosen;
}

/// <summary>A logger's file: its columns are mapped once, its next file goes straight in.</summary>
public sealed class ReadingsFileModel(
    TodaysGarden todaysGarden,
    GardenStore store,
    WaitingTexts texts,
    Logbook logbook,
    ReadingIntake intake,
    Clock clock
) : GardenPage(todaysGarden)
{
    const int LargestMb = 20;

    [BindProperty]
    public string? Device { get; set; }

    /// <summary>Which text that was read it is.</summary>
    [BindProperty]
    public Guid? Sent { get; set; }

    [BindProperty]
    public MapForm Map { get; set; } = new();

    public Device? Kept { get; private set; }
    public ReadingsRead? Read { get; private set; }
    public LoggerLayout Layout => Read?.Layout ?? new();

    /// <summary>The columns that are asked for, in words, with what was chosen.</summary>
    public IEnumerable<(string Field, string Words, string? Chosen)> Fields =>
        [
            (nameof(MapForm.Time), "Time, or date and time", Layout.Time),
            (nameof(MapForm.Date), "Date, where it stands apart", Layout.Date),
            (nameof(MapForm.Temperature), "Temperature", Layout.Temperature),
            (nameof(MapForm.Humidity), "Humidity, %", Layout.Humidity),
            (nameof(MapForm.Lux), "Light, lux", Layout.Lux),
            (nameof(MapForm.Ppfd), "Light, µmol", Layout.Ppfd),
        ];

    public int? HourOff { get; private set; }
    public int Doubted => Read?.Readings.Count(reading => reading.Doubt is not null) ?? 0;
    public string? Fault { get; private set; }

    public void OnGet() { }

    /// <summary>Reads a file. Where its columns are known and nothing is odd about it, it is taken in.</summary>
    public async Task<IActionResult> OnPostReadAsync(IFormFile? file)
    {
        if (Find() is not { } device)
            return Wrong("That device is not there any more.");
        if (file is null)
            return Wrong("Choose a file first.");
        if (await Streams.ReadAsync(file.OpenReadStream(), LargestMb * 1024 * 1024, HttpContext.RequestAborted) is not { } content)
            return Wrong($"{file.FileName} is larger than {LargestMb} MB. Split it, such as year by year; nothing was taken in.");
        var text = Encoding.UTF8.GetString(content).TrimStart('\uFEFF');
        if (text.Contains('\0', StringComparison.Ordinal))
            return Wrong($"{file.FileName} is no text. Export it from the logger as CSV.");
        var layout = await LayoutAsync(device);
        await UnderstandAsync(text, device, layout);
        if (layout is not null && Read is { Faults.Count: 0, Readings.Count: > 0 } && HourOff is null)
            return await TakeAsync(device, layout);
        return Show(text);
    }

    /// <summary>Reads the same file with other columns.</summary>
    public async Task<IActionResult> OnPostMapAsync()
    {
        if (Find() is not { } device || texts.Find(Sent) is not { } text)
            return Wrong("The file does not wait any more. Send it again.");
        await UnderstandAsync(text, device, Map.Layout);
        return Show(text);
    }

    /// <summary>Takes the file in, and keeps how it is laid out.</summary>
    public async Task<IActionResult> OnPostWriteAsync()
    {
        if (Find() is not { } device || texts.Find(Sent) is not { } text)
            return Wrong("The file does not wait any more. Send it again.");
        await UnderstandAsync(text, device, Map.Layout);
        return Read is { Faults.Count: 0, Readings.Count: > 0 } ? await TakeAsync(device, Map.Layout) : Show(text);
    }

    Device? Find() => Kept = Today.Devices.FirstOrDefault(device => device.Code == Device);

    async Task<LoggerLayout?> LayoutAsync(Device device)
    {
        try
        {
            var json = (await store.DevicesAsync()).FirstOrDefault(kept => kept.Device.Code == device.Code)?.Layout;
            return json is null ? null : JsonSerializer.Deserialize<LoggerLayout>(json);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    async Task UnderstandAsync(string text, Device device, LoggerLayout? layout)
    {
        Read = ReadingsCsv.Read(text, device.Place, device.Code, Today.Garden, layout, clock.GetUtcNow());
        if (Read.Readings.Count == 0)
            return;
        var (first, last) = (Read.Readings.Min(r => r.At), Read.Readings.Max(r => r.At));
        var here = await store.ReadingsAsync(device.Place, first.AddHours(-4), last.AddHours(4));
        HourOff = Core.Climate.HourOff.Against(Read.Readings, here.Where(reading => reading.Device != device.Code));
    }

    async Task<IActionResult> TakeAsync(Device device, LoggerLayout layout)
    {
        var readings = Read!.Readings;
        var outcome = await logbook.WriteAsync(
            Act,
            $"{readings.Count} readings of {device.Name} from a file",
            Changes.All(Changes.Device(device, layout: JsonSerializer.Serialize(layout)), Changes.Readings(readings))
        );
        if (!outcome.Done)
            return Wrong(outcome.Trouble!);
        intake.Forget(device.Code);
        TempData["Said"] =
            $"{readings.Count:N0} readings of {device.Name} taken in{(Doubted > 0 ? $", {Doubted} of them not believed" : "")}.";
        TempData["Undo"] = true;
        return Redirect($"/places/{Uri.EscapeDataString(device.Place)}");
    }

    /// <summary>The page carries the id of the text, and not the text.</summary>
    IActionResult Show(string text)
    {
        Sent = texts.Keep(text);
        ModelState.Clear();
        Streams.Tidy(text.Length);
        return Page();
    }

    IActionResult Wrong(string fault)
    {
        Fault = fault;
        return Page();
    }
}

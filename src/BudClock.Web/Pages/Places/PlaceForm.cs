using System.Globalization;

namespace BudClock.Web.Pages.Places;

/// <summary>What a place is like, as it is typed.</summary>
public sealed class PlaceForm
{
    /// <summary>The longest name of a place.</summary>
    public const int LongestName = 40;

    public string? Name { get; set; }
    public string? Setting { get; set; }
    public string? Window { get; set; }
    public string? Light { get; set; }
    public string? Cover { get; set; }
    public string? Draughts { get; set; }
    public string? LampHours { get; set; }
    public string? LampsFrom { get; set; }
    public string? LampDistance { get; set; }
    public string? LampHeight { get; set; }

    /// <summary>The unit that lengths are shown in.</summary>
    public string LengthName { get; set; } = "cm";

    /// <summary>The form of a place as it is.</summary>
    public static PlaceForm Of(Place place, bool us) =>
        new()
        {
            Name = place.Name,
            Setting = place.Setting,
            Window = place.Window,
            Light = place.Light,
            Cover = place.Cover,
            Draughts = place.Draughts is { } draughts ? (draughts ? "yes" : "no") : null,
            LampHours = Written(place.LampHours),
            LampsFrom = place.LampsFrom?.ToString("HH:mm", CultureInfo.InvariantCulture),
            LampDistance = Length(place.LampDistanceCm, us),
            LampHeight = Length(place.LampHeightCm, us),
            LengthName = LengthUnit(us).Symbol,
        };

    /// <summary>A length as the field shows it, in the garden's own unit.</summary>
    static string? Length(double? cm, bool us) => Written(cm / LengthUnit(us).Factor);

    static Unit LengthUnit(bool us) => us ? Unit.In : Unit.Cm;

    static string? Written(double? number) => number?.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>The place as it is typed, or the first thing that is wrong with it.</summary>
    public (Place? Place, string? Fault) Read(Place before, GardenDay today)
    {
        var name = Name?.Trim() ?? "";
        if (NameFault(name, before.Code, today) is { } fault)
            return (null, fault);
        foreach (var (what, chosen, known) in Choices)
            if (!string.IsNullOrEmpty(chosen) && !known.Contains(chosen))
                return (null, $"Choose one of the answers for {what}.");
        var (us, length) = (today.Garden.UsUnits, LengthUnit(today.Garden.UsUnits));
        if (!Number(LampHours, 0, 24, null, out var hours))
            return (null, $"\"{LampHours}\" is no number of hours from 0 to 24.");
        if (!Number(LampDistance, 1, 300, length, out var distance))
            return (null, $"\"{LampDistance}\" is no distance of lamps; write a number, such as {(us ? "5 in" : "12 cm")}.");
        if (!Number(LampHeight, 1, 400, length, out var height))
            return (null, $"\"{LampHeight}\" is no height of lamps; write a number, such as {(us ? "12 in" : "30 cm")}.");
        TimeOnly? from = null;
        if (!string.IsNullOrWhiteSpace(LampsFrom))
        {
            if (!TimeOnly.TryParse(LampsFrom.Trim(), CultureInfo.InvariantCulture, out var time))
                return (null, $"\"{LampsFrom}\" is no time; write it as 07:30.");
            from = time;
        }
        return (
            before with
            {
                Name = name,
                Setting = Empty(Setting),
                Window = Empty(Window),
                Light = Empty(Light),
                Cover = Empty(Cover),
                Draughts = Draughts switch
                {
                    "yes" => true,
                    "no" => false,
                    _ => null,
                },
                LampHours = hours,
                LampsFrom = from,
                // What was not touched stays to the last digit.
                LampDistanceCm = LampDistance == Length(before.LampDistanceCm, us) ? before.LampDistanceCm : distance,
                LampHeightCm = LampHeight == Length(before.LampHeightCm, us) ? before.LampHeightCm : height,
            },
            null
        );
    }

    IEnumerable<(string What, string? Chosen, IReadOnlyList<string> Known)> Choices =>
        [
            ("the setting", Setting, Place.Settings),
            ("the window", Window, Place.Windows),
            ("the light", Light, Place.Lights),
            ("the cover", Cover, Place.Covers),
        ];

    /// <summary>What is wrong with a place's name; null for nothing.</summary>
    public static string? NameFault(string name, string? code, GardenDay today) =>
        name.Length is 0 or > LongestName ? $"A place needs a name of at most {LongestName} characters."
        : today.Places.FirstOrDefault(p => p.Code != code && p.Name.Equals(name, StringComparison.OrdinalIgnoreCase)) is { } taken
            ? $"There is a place called {taken.Name} already."
        : null;

    static string? Empty(string? chosen) => string.IsNullOrEmpty(chosen) ? null : chosen;

    static bool Number(string? text, double least, double most, Unit? unit, out double? number)
    {
        number = null;
        if (string.IsNullOrWhiteSpace(text))
            return true;
        if (AmountReader.Read(text, unit) is not { } read || (unit is null ? read.Unit is not null : read.Dimension != unit.Dimension))
            return false;
        number = unit is null ? read.Value : read.InBase;
        return number >= least && number <= most;
    }
}

/// <summary>A reading by hand: the night's lowest, the day's highest, what the air and the light are.</summary>
public sealed class ReadingForm
{
    static readonly TimeOnly Coldest = new(3, 0);
    static readonly TimeOnly Warmest = new(14, 0);
    static readonly TimeOnly Noon = new(12, 0);

    public string? On { get; set; }
    public string? Night { get; set; }
    public string? Day { get; set; }
    public string? Humidity { get; set; }
    public string? Light { get; set; }

    /// <summary>"lux" or "ppfd".</summary>
    public string? LightUnit { get; set; }

    /// <summary>What was written down, for the list of what was done.</summary>
    public string Words =>
        string.Join(
            ", ",
            new[] { ("night", Night), ("day", Day), ("humidity", Humidity), ("light", Light) }
                .Where(one => !string.IsNullOrWhiteSpace(one.Item2))
                .Select(one => $"{one.Item1} {one.Item2}")
        );

    /// <summary>The readings at the hours that they stand for, none of them later than now; or what is wrong.</summary>
    public (IReadOnlyList<ClimateReading> Readings, string? Fault) Read(Place place, Garden garden, DateTimeOffset now, DateOnly today)
    {
        if (
            !DateOnly.TryParseExact(On, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var on)
            || on > today
            || on.Year < 2000
        )
            return ([], "Choose the day of the reading; it cannot be still to come.");
        var unit = Unit.Default(Dimension.Temperature, garden.UsUnits)!;
        var readings = new List<ClimateReading>();
        foreach (var (text, hour, what) in new[] { (Night, Coldest, "night"), (Day, Warmest, "day") })
        {
            if (string.IsNullOrWhiteSpace(text))
                continue;
            if (AmountReader.Read(text, unit) is not { Dimension: Dimension.Temperature, InBase: >= -60 and <= 60 } read)
                return ([], $"\"{text}\" is no temperature of a {what}; write a number such as {(garden.UsUnits ? "57" : "14")}.");
            readings.Add(new(place.Code, At(on, hour), Math.Round(read.InBase, 3), null));
        }
        if (!Plain(Humidity, 0, 100, out var humidity))
            return ([], $"\"{Humidity}\" is no humidity from 0 to 100 %.");
        if (!Plain(Light, 0, LightUnit == "ppfd" ? 3_500 : 200_000, out var light))
            return ([], $"\"{Light}\" is no light; write a number such as 4000 lux or 80 µmol.");
        if ((humidity ?? light) is not null)
            readings.Add(
                new(place.Code, At(on, Noon), null, humidity)
                {
                    Lux = LightUnit == "ppfd" ? null : light,
                    Ppfd = LightUnit == "ppfd" ? light : null,
                }
            );
        return readings.Count > 0 ? (readings, null) : ([], "Write down at least one of them.");

        DateTimeOffset At(DateOnly day, TimeOnly hour)
        {
            var wall = day.ToDateTime(hour);
            var at = new DateTimeOffset(wall, garden.Zone.GetUtcOffset(wall)).ToUniversalTime();
            return at > now ? now : at;
        }
    }

    static bool Plain(string? text, double least, double most, out double? number)
    {
        number = null;
        if (string.IsNullOrWhiteSpace(text))
            return true;
        if (AmountReader.Read(text.Trim().TrimEnd('%', ' '), null) is not { Unit: null } read || read.Value < least || read.Value > most)
            return false;
        number = read.Value;
        return true;
    }
}

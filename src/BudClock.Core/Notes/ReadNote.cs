namespace BudClock.Core.Notes;

/// <summary>What a line says of some plants.</summary>
public sealed record NoteGroup(IReadOnlyList<string> Tags, IReadOnlyList<EntryDraft> Entries);

/// <summary>What was understood of a typed line, and what was not. Nothing is dropped and nothing is guessed.</summary>
/// <param name="Groups">Plants, each with its entries, in the order of the line.</param>
/// <param name="Unread">Pieces that were not understood, in their order.</param>
public sealed record ReadNote(string Text, IReadOnlyList<NoteGroup> Groups, IReadOnlyList<Unread> Unread)
{
    /// <summary>One group of plants with the same entries.</summary>
    public ReadNote(string text, IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, IReadOnlyList<Unread> unread)
        : this(text, tags.Count + entries.Count == 0 ? [] : [new(tags, entries)], unread) { }

    /// <summary>All plants that the line is about.</summary>
    public IReadOnlyList<string> Tags => [.. Groups.SelectMany(group => group.Tags).Distinct()];

    /// <summary>All entries, in the order of the line; one entry of several plants is here once.</summary>
    public IReadOnlyList<EntryDraft> Entries => [.. Groups.SelectMany(group => group.Entries)];

    /// <summary>Readings of a place.</summary>
    public IReadOnlyList<PlaceReading> Readings { get; init; } = [];

    /// <summary>The first plant; null when the line names none.</summary>
    public string? Tag => Groups.SelectMany(group => group.Tags).FirstOrDefault();

    /// <summary>What has to be asked before the line can be logged.</summary>
    public IReadOnlyList<NoteQuestion> Questions { get; init; } = [];

    /// <summary>What was taken for something else: "rotos" as "roots".</summary>
    public IReadOnlyList<Taken> Taken { get; init; } = [];

    /// <summary>
    /// The line with what was not understood as a note, to be read again; null where no plant is known or nothing is left over.
    /// </summary>
    public string? AsNote { get; init; }

    /// <summary>All of it was understood and can be logged.</summary>
    public bool Complete =>
        (Readings.Count > 0 || (Tag is not null && Groups.All(group => group.Entries.Count > 0)))
        && Unread.Count == 0
        && Questions.Count == 0;

    /// <summary>The line in plain form; reading it again gives the same entries.</summary>
    public string Canonical =>
        string.Join(
            "; ",
            Groups.Select(group => $"{string.Join(", ", group.Tags)}: {string.Join(", ", group.Entries.Select(entry => entry.Canonical))}")
        );
}

/// <summary>A reading of a place as a line gives it.</summary>
/// <param name="Place">The code of the place.</param>
/// <param name="Sort">When in its day it was: of a night, of the warmest hour, or now.</param>
/// <param name="TemperatureC">°C; null where it gives none.</param>
/// <param name="HumidityPct">Percent; null where it gives none.</param>
public sealed record PlaceReading(string Place, DateOnly On, ReadingSort Sort, double? TemperatureC, double? HumidityPct)
{
    /// <summary>The coldest hour of a night and the warmest of a day, as a reading without an hour is taken.</summary>
    static readonly TimeOnly Coldest = new(3, 0);
    static readonly TimeOnly Warmest = new(14, 0);
    static readonly TimeOnly Noon = new(12, 0);

    /// <summary>"Night 9 °C".</summary>
    public string Words
    {
        get
        {
            var value = TemperatureC is { } celsius ? new Quantity(celsius, Unit.C) : new Quantity(HumidityPct ?? 0, Unit.Percent);
            return Sort is ReadingSort.Now ? $"{value}" : $"{Sort} {value}";
        }
    }

    /// <summary>The reading at an hour of its day, never later than now.</summary>
    public ClimateReading At(TimeZoneInfo zone, DateTimeOffset now)
    {
        var local = TimeZoneInfo.ConvertTime(now, zone);
        var hour =
            Sort is ReadingSort.Night ? Coldest
            : Sort is ReadingSort.Day ? Warmest
            : DateOnly.FromDateTime(local.DateTime) == On ? TimeOnly.FromDateTime(local.DateTime)
            : Noon;
        var wall = On.ToDateTime(hour);
        var at = new DateTimeOffset(wall, zone.GetUtcOffset(wall)).ToUniversalTime();
        return new(Place, at > now ? now : at, TemperatureC, HumidityPct);
    }
}

/// <summary>The hour that a reading stands for.</summary>
public enum ReadingSort
{
    /// <summary>As it is now.</summary>
    Now,

    /// <summary>The lowest of the night.</summary>
    Night,

    /// <summary>The highest of the day.</summary>
    Day,
}

/// <summary>Which one did this mean? Each answer is the line again, so that it says which.</summary>
/// <param name="Entry">"Spike 12 cm".</param>
/// <param name="Ask">What is asked, as a sentence.</param>
public sealed record NoteQuestion(string Entry, IReadOnlyList<NoteAnswer> Answers, string Ask = "Which one?");

/// <summary>A button, and the line that it stands for.</summary>
public sealed record NoteAnswer(string Words, string Text);

/// <summary>A slip of the pen, and what it was read as.</summary>
public sealed record Taken(string Written, string As);

/// <summary>A piece of a line that was not understood.</summary>
/// <param name="Start">Where it begins in the typed line.</param>
/// <param name="Why">What is wrong, as a sentence.</param>
/// <param name="Nearest">The nearest thing known, where one is near.</param>
public sealed record Unread(int Start, string Fragment, string Why, string? Nearest = null);

/// <summary>What a line is read against.</summary>
/// <param name="Index">The garden's plants and places.</param>
/// <param name="Today">The day that "today" means, and the last day that may be logged.</param>
public sealed record NoteContext(SubjectIndex Index, DateOnly Today, bool UsUnits = false)
{
    /// <summary>A garden of which only the tags are known.</summary>
    public NoteContext(IReadOnlyCollection<string> tags, DateOnly today, bool usUnits = false)
        : this(new SubjectIndex([.. tags.Select(tag => new NamedPlant(tag))]), today, usUnits) { }

    /// <summary>The organs of a plant, by tag; without them no organ can be named and nothing is unlikely.</summary>
    public Func<string, OrganBook?> Books { get; init; } = _ => null;

    /// <summary>The culture sheet of a plant, by tag; without it every kind of entry is possible.</summary>
    public Func<string, Culture.CultureSheet?> Sheets { get; init; } = _ => null;

    /// <summary>What is likely to be written of a plant now, by tag, the likeliest first.</summary>
    public Func<string, IReadOnlyList<string>> Likely { get; init; } = _ => [];

    /// <summary>Codes of batches that can be given: "fed #G310520".</summary>
    public IReadOnlyCollection<string> Batches { get; init; } = [];

    /// <summary>Names of recipes, feeds and waters: "fed Growth mix with kelp".</summary>
    public IReadOnlyCollection<string> Mixes { get; init; } = [];
}

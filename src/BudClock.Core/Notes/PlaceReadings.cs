namespace BudClock.Core.Notes;

/// <summary>Readings of a place: "night 9 C south bench", "cold frame min 4 max 22", "sill 60%".</summary>
static class PlaceReadings
{
    /// <summary>The readings that a segment gives; none where it says anything else.</summary>
    public static IReadOnlyList<PlaceReading> Read(Segment segment, string place, NoteContext context)
    {
        var items = Items(segment.Content, context);
        var readings = new List<PlaceReading>();
        var day = items.Find(item => item.Kind is ItemKind.Date);
        var (sort, humid) = (LastNight(day) ? "min" : null, false);
        if (day is { Date.Fault: not null })
            return [];
        foreach (var item in items)
        {
            if (item.Word?.Weather is { } weather)
                (sort, humid) = (weather is "humidity" ? sort : weather, weather is "humidity");
            else if (item.Kind is ItemKind.Amount && Value(item, humid, sort is not null, context) is var (celsius, percent))
                readings.Add(new(place, OnDay(day, context), Sort(sort), celsius, percent));
            else if (item.Kind is not ItemKind.Date && !item.Filler)
                return [];
        }
        return readings;
    }

    /// <summary>The amounts of a line that names no place and reads like weather; none where it does not.</summary>
    public static IReadOnlyList<Item> Wanting(IReadOnlyList<Token> tokens, NoteContext context)
    {
        var items = Items([.. tokens], context);
        return
            items.Exists(item => item.Kind is ItemKind.Amount)
            && items.TrueForAll(i => i.Filler || i.Word?.Weather is not null || i.Kind is ItemKind.Date || IsWeather(i))
            && items.Exists(i => i.Word?.Weather is not null || IsWeather(i))
            ? items
            : [];
    }

    static bool IsWeather(Item item) => item is { Kind: ItemKind.Amount, Amount: { Dimension: Dimension.Temperature or Dimension.Share } };

    static List<Item> Items(List<Token> tokens, NoteContext context) =>
        new ItemReader([.. tokens.Where(token => token.Kind is not TokenKind.Break)], context, []).Read();

    static (double? Celsius, double? Percent)? Value(Item item, bool humid, bool weather, NoteContext context)
    {
        var amount = item.Amount!.Value;
        if (amount.Unit is null && humid)
            amount = amount with { Unit = Unit.Percent };
        else if (amount.Unit is null && weather)
            amount = amount with { Unit = Unit.Default(Dimension.Temperature, context.UsUnits) };
        return amount.Dimension switch
        {
            Dimension.Temperature when amount.InBase is >= -40 and <= 60 => (Math.Round(amount.InBase, 2), null),
            Dimension.Share when amount.Value is >= 0 and <= 100 => (null, amount.Value),
            _ => null,
        };
    }

    /// <summary>The night that ended this morning is this day's.</summary>
    static DateOnly OnDay(Item? day, NoteContext context) => LastNight(day) ? context.Today : day?.Date.Day ?? context.Today;

    static bool LastNight(Item? day) => day?.Text == "last night";

    static ReadingSort Sort(string? weather) =>
        weather switch
        {
            "min" => ReadingSort.Night,
            "max" => ReadingSort.Day,
            _ => ReadingSort.Now,
        };
}

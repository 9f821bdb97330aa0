namespace BudClock.Core.Gardens;

/// <summary>Where a "moved" entry takes a plant.</summary>
public static class Moves
{
    /// <summary>The place that the words end in, such as "from the cold frame to the south bench"; null when they name none.</summary>
    public static Place? To(string? words, IEnumerable<Place> places) => After(words, " to ", places);

    /// <summary>The place that the words come from; null when they name none.</summary>
    public static Place? From(string? words, IEnumerable<Place> places)
    {
        var to = words?.LastIndexOf(" to ", StringComparison.OrdinalIgnoreCase) ?? -1;
        return After(to < 0 ? words : words![..to], "from ", places);
    }

    /// <summary>"South bench to sill".</summary>
    public static string Words(Place? from, Place? to) =>
        from is null ? $"to {to?.Name ?? "no place"}" : $"from {from.Name} to {to?.Name ?? "no place"}";

    static Place? After(string? words, string link, IEnumerable<Place> places)
    {
        var text = " " + words?.Trim();
        var at = text.LastIndexOf(link, StringComparison.OrdinalIgnoreCase);
        var name = at < 0 ? text.Trim() : text[(at + link.Length)..].Trim();
        if (name.StartsWith("the ", StringComparison.OrdinalIgnoreCase))
            name = name[4..];
        return places.FirstOrDefault(place =>
            place.Name.Equals(name, StringComparison.OrdinalIgnoreCase) || place.Code.Equals(name, StringComparison.OrdinalIgnoreCase)
        );
    }
}

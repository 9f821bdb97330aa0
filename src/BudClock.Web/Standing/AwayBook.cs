using System.Text.Json;
using BudClock.Core.Planning;
using BudClock.Data;

namespace BudClock.Web.Standing;

/// <summary>The days on which the grower is away, as they are kept.</summary>
public static class AwayBook
{
    const string Name = "away";

    /// <summary>Every span, the earliest first.</summary>
    public static async Task<IReadOnlyList<Away>> ReadAsync(GardenStore store)
    {
        try
        {
            return await store.SettingAsync(Name) is { } json ? JsonSerializer.Deserialize<List<Away>>(json) ?? [] : [];
        }
        catch (JsonException)
        {
            return [];
        }
    }

    /// <summary>Keeps the spans.</summary>
    public static Change Keep(IEnumerable<Away> spans) => Changes.Setting(Name, JsonSerializer.Serialize(spans.OrderBy(span => span.From)));
}

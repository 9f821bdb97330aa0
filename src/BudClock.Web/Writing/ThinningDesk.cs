using BudClock.Core.Climate;
using BudClock.Data;

namespace BudClock.Web.Writing;

/// <summary>How many readings are old enough to be thinned, and how many they would become.</summary>
public sealed record OldReadings(int Count, int Becomes);

/// <summary>Thins old readings, when the grower says so.</summary>
public sealed class ThinningDesk(GardenStore store, GardenWriter writer, TodaysGarden todaysGarden, Clock clock)
{
    /// <summary>Fewer are not worth a question.</summary>
    const int WorthIt = 1000;

    /// <summary>What could be thinned; null where it is not worth a question.</summary>
    public async Task<OldReadings?> OldAsync(GardenDay today)
    {
        var end = End(today);
        if (await store.CountReadingsAsync(end) < WorthIt)
            return null;
        var (count, becomes) = (0, 0);
        foreach (var place in today.Places)
        {
            var old = await store.ReadingsAsync(place.Code, DateTimeOffset.MinValue, end);
            (count, becomes) = (count + old.Count, becomes + Thinning.Thin(today.Weather.Calendar, old, today.Day).Count);
        }
        return becomes < count ? new(count, becomes) : null;
    }

    /// <summary>Thins them, place by place.</summary>
    /// <returns>What was done, for the grower.</returns>
    public async Task<string> ThinAsync(GardenDay today)
    {
        var (before, after) = (0, 0);
        foreach (var place in today.Places)
        {
            var old = await store.ReadingsAsync(place.Code, DateTimeOffset.MinValue, End(today));
            var thin = Thinning.Thin(today.Weather.Calendar, old, today.Day);
            if (thin.Count >= old.Count)
                continue;
            await writer.ReplaceReadingsAsync(
                place.Code,
                End(today),
                thin,
                new(
                    Guid.CreateVersion7(),
                    "thinning",
                    clock.GetUtcNow(),
                    $"{old.Count} old readings of {place.Name} thinned to {thin.Count}"
                )
            );
            (before, after) = (before + old.Count, after + thin.Count);
        }
        todaysGarden.Forget();
        return before == 0 ? "There was nothing to thin." : $"{before:N0} readings thinned to {after:N0}.";
    }

    static DateTimeOffset End(GardenDay today) => new(today.Weather.Calendar.Of(Thinning.HoursUntil(today.Day)).To, TimeSpan.Zero);
}

using System.Globalization;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Years;

/// <summary>One thing that was different.</summary>
/// <param name="What">As a clause: "light".</param>
public sealed record Difference(string What, string One, string Other);

/// <summary>
/// Rule K5: two plants, spikes, growths or years of one plant laid over each other by age, with what was different about them.
/// </summary>
/// <param name="Differences">What was known of both and differed; what is known of one alone is not among them.</param>
public sealed record Sisters(Side One, Side Other, IReadOnlyList<Difference> Differences)
{
    /// <summary>Nights so far apart on average are no other nights, °C.</summary>
    const double SameNights = 2;

    /// <summary>Light, feed and days between waters are other ones from one and a half times on.</summary>
    const double Times = 1.5;

    /// <summary>Begun so many days apart in the year, they grew in other weather and light.</summary>
    const int SameSeason = 45;

    static readonly EntryKind[] Done = [Repotted, Divided, RootsLost, Pest, Treated];

    /// <summary>Lays two over each other.</summary>
    public static Sisters Of(Side one, Side other) => new(one, other, [.. All(one, other).OfType<Difference>()]);

    static IEnumerable<Difference?> All(Side one, Side other)
    {
        yield return Words("kind", one.Plant.Plant.Taxon, other.Plant.Plant.Taxon);
        yield return Words("place", one.Place?.Name, other.Place?.Name);
        yield return Ratio("light", one.Dli, other.Dli, "mol a day") ?? Words("light, by eye", one.Place?.Light, other.Place?.Light);
        yield return one.NightC is { } a && other.NightC is { } b && Math.Abs(a - b) >= SameNights
            ? new("nights", N(a, "°C"), N(b, "°C"))
            : null;
        yield return Words("pot", one.Pot, other.Pot);
        yield return Words("medium", one.Medium, other.Medium);
        yield return Ratio("days between waters", one.WaterDays, other.WaterDays, "days");
        yield return one.FedAMonth + other.FedAMonth > 0 ? Ratio("feed", one.FedAMonth, other.FedAMonth, "a month") : null;
        foreach (var kind in Done)
            yield return (one.Since(kind), other.Since(kind)) switch
            {
                ({ } did, null) => new(Small(kind.Words), Dates.Long(did.On), "no"),
                (null, { } did) => new(Small(kind.Words), "no", Dates.Long(did.On)),
                _ => null,
            };
        yield return Dates.ApartInYear(one.From, other.From) > SameSeason
            ? new(
                "season",
                $"from {one.From.ToString("MMMM", CultureInfo.InvariantCulture)}",
                $"from {other.From.ToString("MMMM", CultureInfo.InvariantCulture)}"
            )
            : null;
    }

    static Difference? Words(string what, string? one, string? other) =>
        one is null || other is null || string.Equals(one, other, StringComparison.OrdinalIgnoreCase) ? null : new(what, one, other);

    static Difference? Ratio(string what, double? one, double? other, string unit) =>
        one is { } a && other is { } b && Math.Max(a, b) >= Times * Math.Min(a, b) ? new(what, N(a, unit), N(b, unit)) : null;

    static string N(double value, string unit) => string.Create(CultureInfo.InvariantCulture, $"{value:0.#} {unit}");

    static string Small(string words) => char.ToLowerInvariant(words[0]) + words[1..];

    /// <summary>The age in days up to which both were measured; null where they never were at one age.</summary>
    public int? Age
    {
        get
        {
            var age = Math.Min(One.To.DayNumber - One.From.DayNumber, Other.To.DayNumber - Other.From.DayNumber);
            return age > 0 ? age : null;
        }
    }

    /// <summary>What was measured at that age, as a sentence.</summary>
    public string Measured =>
        Age is { } age && One.Series.AtAge(age) is { } a && Other.Series.AtAge(age) is { } b
            ? $"{age} days after the first measurement: {N(a, "cm")} ({One.Label}) and {N(b, "cm")} ({Other.Label})."
            : "They were not measured at the same age, so their sizes cannot be compared yet.";

    /// <summary>Differences that could each have done it: a place acts by its light and nights, where these differ.</summary>
    IReadOnlyList<Difference> Apart =>
        Differences.Any(one => one.What is "light" or "nights") ? [.. Differences.Where(one => one.What != "place")] : Differences;

    /// <summary>What can be concluded and what not, as a sentence.</summary>
    public string Says =>
        Apart switch
        {
            [] => "Nothing that is on record was different: what differs in them is chance, or was not written down.",
            [var only] =>
                $"Only one thing on record was different: {only.What}. That is a good hint, and with one pair no more than a hint.",
            var many => $"{many.Count} things were different ({string.Join(", ", many.Select(one => one.What))}), "
                + "so the cause can't be told apart.",
        };

    /// <summary>A clean trial for next time, as a sentence.</summary>
    public string NextTime =>
        Apart switch
        {
            var some when some.Any(one => one.What == "kind") =>
                "Two kinds differ by themselves: to know it, measure two of one kind, or two parts of one plant, each week for 28 days.",
            [] => "To try something, change one thing for one of them, and measure both each week for 28 days.",
            var some when some.Any(one => one.What == "season") =>
                "They grew at different times of the year: measure two that begin within a month of each other.",
            [var first, ..] => "To know it, take two parts of one plant that are alike, let them differ in one thing alone "
                + $"({first.What}), and measure both each week for 28 days or a season.",
        };
}

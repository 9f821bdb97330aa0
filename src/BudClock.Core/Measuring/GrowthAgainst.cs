using System.Globalization;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Measuring;

/// <summary>Rule G1: a growth against the one before it on the same plant, at the same age and when finished.</summary>
/// <param name="Words">"2031 growth 6 cm at week 6; the 2030 one was 7 cm."</param>
/// <param name="Share">Now over before; above 1 is bigger.</param>
public sealed record GrowthAgainst(string Words, double Share)
{
    const int LeastDays = 14; // younger growths differ by a reading's error

    /// <summary>
    /// Under way against the one before at the same age, else finished bulb against finished bulb; null when nothing compares.
    /// </summary>
    public static GrowthAgainst? Read(
        IReadOnlyList<OrganSeries> series,
        PlantJournal journal,
        IReadOnlyList<Organ> organs,
        IReadOnlyList<EntryKind>? kinds = null
    )
    {
        foreach (var now in series.Where(s => s.Moves && (kinds ?? [GrowthHeight, LeafSpan]).Contains(s.Kind)))
        {
            var age = now.Last.On.DayNumber - now.Start.DayNumber;
            var before = now.YearBefore(series) ?? series.FirstOrDefault(s => s.Kind == now.Kind && s.Start < now.Start && !s.Moves);
            if (age >= LeastDays && before?.AtAge(age) is > 0 and var then)
                return Of(
                    $"{now.Label}: {Cm(now.Last.Cm)} at week {age / 7}; {before.Label.ToLowerInvariant()} was {Cm(then)} then.",
                    now.Last.Cm / then
                );
        }
        return Bulbs(journal, organs);
    }

    static GrowthAgainst? Bulbs(PlantJournal journal, IReadOnlyList<Organ> organs)
    {
        var sizes = organs
            .Select(organ => (organ.Label, Size: journal.Of(BulbSize).LastOrDefault(e => e.Organ == organ.Id)?.Amount?.InBase))
            .Where(o => o.Size is > 0)
            .ToList();
        return sizes is [.., var (before, was), var (last, now)]
            ? Of($"{last} bulb {Cm(now!.Value)}; the {before} one {Cm(was!.Value)}.", now.Value / was.Value)
            : null;
    }

    static GrowthAgainst Of(string numbers, double share) =>
        new($"{numbers} {(share >= 1.1 ? "Bigger: a good season." : share <= 0.9 ? "Smaller than before." : "About the same.")}", share);

    static string Cm(double value) => value.ToString("0.#", CultureInfo.InvariantCulture) + " cm";
}

using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising;

/// <summary>All that is said of one plant on one day. Derived, never stored.</summary>
/// <param name="Recorded">What each organ was doing, from the journal.</param>
/// <param name="Situation">What the advice was read from; null for a plant without a culture sheet.</param>
public sealed record Assessment(
    Plant Plant,
    DateOnly On,
    PhaseRead Phase,
    IReadOnlyList<Lane> Recorded,
    IReadOnlyList<Advice> Advice,
    Situation? Situation)
{
    IReadOnlyList<Forecast>? forecasts;
    IReadOnlyList<Lane>? lanes;

    /// <summary>The advice to show first: Do before Look before Hold, then in the order of the rules.</summary>
    public Advice? Main => Advice.MinBy(advice => advice.Verdict);

    /// <summary>When its open organs are likely to reach their next turn; read when first asked for.</summary>
    public IReadOnlyList<Forecast> Forecasts => forecasts ??= Situation is { } now
        ? Measuring.Forecasts.Read(Recorded, Plant.Acquired, turn => now.Around.Kin(Plant, turn), Plant.Genus, now.Sheet, On)
        : [];

    /// <summary>Recorded lanes, and those expected in the next three months; read when first asked for.</summary>
    public IReadOnlyList<Lane> Lanes => lanes ??= Situation is { } now && !Gone
        ? [.. Recorded, .. ExpectedLanes.Ahead(now.Sheet, Recorded, Forecasts, On, now.Around.Garden.Southern)]
        : Recorded;

    /// <summary>Where new entries belong among its organs.</summary>
    public OrganBook Book => new(Plant, Recorded, Situation?.Journal ?? PlantJournal.UpTo(On, Plant.Entries), Situation?.Sheet.Organs ?? OrganHabit.Usual);

    /// <summary>Its habit has no sheet of its own yet.</summary>
    public bool OnGeneralSheet => Situation is null || Situation.Sheet.Name == CultureSheets.General;

    /// <summary>Given away or dead: on record, and off the Round.</summary>
    public bool Gone => Ended is not null;

    /// <summary>The entry that says it died or was given away; null while it is here.</summary>
    public Entry? Ended { get; init; }
}

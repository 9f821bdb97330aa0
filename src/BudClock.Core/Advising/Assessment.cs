using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising;

/// <summary>All that is said of one plant on one day. Derived, never stored.</summary>
/// <param name="Recorded">What each organ was doing, from the journal.</param>
/// <param name="Situation">The evidence that the advice was read from.</param>
public sealed record Assessment(
    Plant Plant,
    DateOnly On,
    PhaseRead Phase,
    IReadOnlyList<Lane> Recorded,
    IReadOnlyList<Advice> Advice,
    Situation Situation
)
{
    IReadOnlyList<Forecast>? forecasts;
    Advice? main;
    IReadOnlyList<Lane>? lanes;

    /// <summary>The advice to show first: Do before Look before Hold, then in the order of the rules.</summary>
    public Advice? Main => main ??= Advice.MinBy(advice => advice.Verdict);

    /// <summary>When its open organs are likely to reach their next turn; read when first asked for.</summary>
    public IReadOnlyList<Forecast> Forecasts =>
        forecasts ??= Within<Forecast>(() =>
            [
                .. Measuring.Forecasts.Read(
                    Recorded,
                    Plant.Acquired,
                    turn => Situation.Around.Kin(Plant, turn),
                    Plant.Genus,
                    Situation.Sheet,
                    On
                ),
                .. Gone ? [] : FlowerForecasts.Read(Situation),
            ]
        );

    /// <summary>Recorded lanes, and those expected in the next three months; read when first asked for.</summary>
    public IReadOnlyList<Lane> Lanes => lanes ??= Gone ? Recorded : [.. Recorded, .. Within(Expected)];

    IReadOnlyList<Lane> Expected() => [.. ExpectedLanes.Ahead(Situation.Sheet, Recorded, Forecasts, On, Situation.Around.Garden.Southern)];

    /// <summary>What is read later keeps within the plant too: a fault is noted, and nothing is forecast.</summary>
    IReadOnlyList<T> Within<T>(Func<IReadOnlyList<T>> read)
    {
        try
        {
            return read();
        }
        catch (Exception fault) when (Boundary.Keeps(fault))
        {
            Fault = fault;
            return [];
        }
    }

    /// <summary>Where new entries belong among its organs.</summary>
    public OrganBook Book => new(Plant, Recorded, Situation.Journal, Situation.Sheet.Organs);

    /// <summary>Its habit has no sheet of its own yet.</summary>
    public bool OnGeneralSheet => Situation.Sheet.Name == CultureSheets.General;

    /// <summary>What kept it from being assessed; null for nothing.</summary>
    public Exception? Fault { get; internal set; }

    /// <summary>Questions that are not asked today, and stand on the plant's page.</summary>
    public IReadOnlyList<Waiting> Waiting { get; init; } = [];

    /// <summary>Of those, what stands nowhere among what is held back: water and measuring.</summary>
    public IReadOnlyList<Waiting> Unsaid => [.. Waiting.Where(waiting => Asking.Silent(waiting.Question))];

    /// <summary>What the rules came to, with every question open, whether or not it is asked today.</summary>
    public IReadOnlyList<Advice> Settled { get; init; } = [];

    /// <summary>What is said of the tray, reservoir or cover pot that it shares with others; none where it shares none.</summary>
    public IReadOnlyList<Advice> Shared { get; init; } = [];

    /// <summary>Its own advice, and that of what it shares.</summary>
    public IReadOnlyList<Advice> All => Shared.Count == 0 ? Advice : [.. Advice, .. Shared];

    /// <summary>
    /// What is open of the question that a kind of care answers, such as whether it wants water; null where nothing is said.
    /// </summary>
    public Advice? Of(Care care) =>
        Settled.Where(advice => advice.Care.Facts().Question == care.Facts().Question).MinBy(advice => advice.Verdict);

    /// <summary>Given away or dead: on record, and off the Round.</summary>
    public bool Gone => Ended is not null;

    /// <summary>The entry that says it died or was given away; null while it is here.</summary>
    public Entry? Ended { get; init; }
}

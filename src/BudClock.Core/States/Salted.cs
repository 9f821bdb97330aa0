using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule F10: salts above what the roots bear, in the run-off or in what it was given, until they are flushed out.</summary>
public sealed class Salted : State
{
    /// <inheritdoc/>
    public override string Name => "salts in the medium";

    /// <inheritdoc/>
    public override Subject Of => Subject.Pot;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        new(RunOff, "a run-off above what its roots bear"),
        .. EntryEffects.KindsThat(Effects.WetsMedium).Select(kind => new Mark(kind, "a mix above what its roots bear", IsMix)),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        .. Mark.Doing(Effects.RinsesSalt),
        new(Rinsed, "a rinse that was of the medium, by what the plant is"),
        new(RunOff, "a run-off that it bears"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It is watered and fed as before.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<SaltLimits>().Seen;

    /// <inheritdoc/>
    protected override bool MayBegin(PlantLog log)
    {
        if (log.Journal.Has(RunOff))
            return true;
        foreach (var entry in log.Journal.Entries)
            if (entry.Mix is not null)
                return true;
        return false;
    }

    /// <inheritdoc/>
    protected override Span? Opened(Entry sign, PlantLog log) =>
        Ppm(sign, log) > log.Sheet.Limits<SaltLimits>().Tds ? base.Opened(sign, log) : null;

    /// <summary>A weaker mix does not wash out what a stronger one left; a run-off that it bears says that it is gone.</summary>
    protected override Span Again(Span open, Entry sign, PlantLog log) =>
        Opened(sign, log) is not null ? base.Again(open, sign, log)
        : sign.Kind == RunOff ? open with { End = sign }
        : open;

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log) => Washes(log, end) ? base.Ended(open, end, log) : open;

    /// <summary>
    /// Whether an entry washed salts out. Older logs write a flush as a rinse: where the words do not tell, a plant whose leaves are rinsed
    /// by habit, or that had pests, had its leaves rinsed; any other its medium.
    /// </summary>
    public static bool Washes(PlantLog log, Entry entry) =>
        entry.Does.HasFlag(Effects.RinsesSalt)
        || (
            entry.Kind == Rinsed
            && !entry.Said.Has(SaidFacts.LeafRinse)
            && log.Sheet.Find<RinsingLimits>() is null
            && !PestsThen(log, entry)
        );

    static bool PestsThen(PlantLog log, Entry entry) =>
        log.Journal.Of(Pest).Any(pest => pest.On <= entry.On && pest.On > entry.On.AddDays(-log.Sheet.Limits<Ages>().Pests));

    /// <summary>What was measured of a run-off, or of the mix that it was given, ppm; null where nobody measured.</summary>
    internal static double? Ppm(Entry entry, PlantLog log) =>
        entry.Kind == RunOff ? entry.Amount?.InBase
        : log.Shelf.Batch(entry.Mix) is { } batch ? batch.MeasuredPpm ?? batch.PredictedPpm
        : null;

    static bool IsMix(Entry entry) => entry is { Mix: not null, IsWatering: true } && !entry.Does.HasFlag(Effects.RinsesSalt);
}

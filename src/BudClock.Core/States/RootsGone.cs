using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>
/// Rule V3: no live roots, or a few, until there are enough again. What has live roots on record since the sign has few; what has none
/// has none.
/// </summary>
public sealed class RootsGone : State
{
    /// <inheritdoc/>
    public override string Name => "no roots, or few";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        new(RootsLost, "roots lost"),
        new(RootCount, "none or a few counted", e => e.Amount is not null),
        new(RootLength, "a length of nothing, where no other part has roots", e => e.Amount is { InBase: <= 0 }),
        .. new[] { Acquired, Inspected, Divided, Repotted }.Select(kind =>
            Mark.Saying(kind, $"{kind.Words.ToLowerInvariant()} without live roots", SaidFacts.Rootless)
        ),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Meets { get; } = [new(RootsStarted, "new roots show: a few")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        Mark.Some(RootLength, "new roots as long as before the loss"),
        new(RootsAtBase, "roots at the base of the pot"),
        .. new[] { Acquired, Inspected, Divided, Repotted }.Select(kind =>
            Mark.Saying(kind, $"{kind.Words.ToLowerInvariant()} with sound roots", SaidFacts.SoundRoots)
        ),
        .. new[] { LeafStarted, SpikeStarted, BloomOpened }.Select(kind => new Mark(
            kind,
            $"{kind.Words.ToLowerInvariant()}, long after they were lost"
        )),
        .. new[] { GrowthHeight, SpikeLength, Buds, Blooms }.Select(kind =>
            Mark.Some(kind, $"{kind.Words.ToLowerInvariant()} counted or measured, long after")
        ),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It drinks and is fed as before.";

    /// <summary>A live root is on record since the sign, or it was a few that were counted.</summary>
    internal static bool Few(Span span) => span.Since.Count > 0 || span.Sign.Amount is { InBase: > 0 };

    /// <inheritdoc/>
    protected override int? Lasts(Span open, CultureSheet sheet) => Few(open) ? sheet.Limits<RootLimits>().Season + 1 : null;

    /// <inheritdoc/>
    public override string LapsesInWords(CultureSheet sheet) =>
        $"where a few were seen, after {sheet.Limits<RootLimits>().Season} days; where there were none, never";

    /// <inheritdoc/>
    protected override Span? Opened(Entry sign, PlantLog log) => Enough(sign, log) || OfOnePart(sign, log) ? null : base.Opened(sign, log);

    /// <inheritdoc/>
    protected override Span Again(Span open, Entry sign, PlantLog log) =>
        Enough(sign, log) ? open with { End = sign }
        : sign.Amount is { InBase: > 0 } ? open with { Since = [.. open.Since, sign] }
        : OfOnePart(sign, log) || (sign.Organ is not null && Few(open)) ? open
        : open with
        {
            // Lost again after a few, it counts from here; seen once more to have none, from where it was lost.
            Opened = Few(open) ? sign : open.Opened,
            Sign = sign,
            Since = [],
        };

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log)
    {
        if (end.Kind == RootsAtBase || end.Said.Has(SaidFacts.SoundRoots))
            return open with { End = end };
        if (end.Kind == RootLength)
            return end.Amount?.InBase >= log.Sheet.Limits<NewRootLimits>().Strong ? open with { End = end } : Met(open, end, log);
        // From its reserves it pushes a growth all the same; a month later it lives by roots of its own, though few.
        var (limits, since) = (log.Sheet.Limits<RootLimits>(), open.Newest.On);
        return Few(open)
            ? end.On >= since.AddDays(limits.Settled)
                ? open with
                {
                    End = end,
                }
                : open
            : end.On >= since.AddDays(limits.Shows)
                ? Met(open, end, log)
                : open;
    }

    static bool Enough(Entry sign, PlantLog log) => sign.Kind == RootCount && sign.Amount!.Value.Value > log.Sheet.Limits<RootLimits>().Few;

    /// <summary>A shoot without roots is a shoot without roots: it says nothing of a plant whose other parts have some (rule L1).</summary>
    static bool OfOnePart(Entry sign, PlantLog log)
    {
        if (sign.Organ is not { } organ || sign.Amount is { InBase: > 0 })
            return false;
        return log.Plant.Organs.Any(other => other.Id != organ && other.Kind == Organ.Bulb)
            || log.Journal.Of(RootsStarted, RootsAtBase, RootLength, RootCount).LastOrDefault(e => PlantJournal.IsAfter(sign, e))
                is { Amount: null or { InBase: > 0 } };
    }
}

using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>A rest from its beginning to its end: how it is kept, when it was last checked, when it usually ends.</summary>
/// <param name="Since">The day it began.</param>
/// <param name="Stored">The entry that says how it is kept; null while nothing was written of that.</param>
/// <param name="Lifted">Out of the pot.</param>
/// <param name="Checked">The last day anybody felt it.</param>
/// <param name="Feel">What was felt then; null before the first check.</param>
/// <param name="NextCheck">The day on which it is felt again.</param>
/// <param name="Wakes">When its kind usually wakes; the plant itself decides.</param>
public sealed record RestState(
    DateOnly Since,
    Entry? Stored,
    bool Lifted,
    DateOnly Checked,
    Entry? Feel,
    DateOnly? Wakes,
    DateOnly NextCheck
)
{
    /// <summary>Somebody felt it since it began to rest.</summary>
    public bool Felt => Feel is not null;

    /// <summary>The rest that is going on, or null.</summary>
    public static RestState? Read(Situation now)
    {
        if (now.In<AtRest>() is not { Opened.On: var since })
            return null;
        var (journal, limits) = (now.Journal, now.Limits<RestLimits>());
        var stored = journal.Of(EntryKinds.Stored, EntryKinds.Lifted).LastOrDefault(e => e.On >= since.AddDays(-limits.Prepared));
        var feel = journal.Of(Tuber, Base, Bulbs).LastOrDefault(e => e.On >= since);
        return new(
            since,
            stored,
            stored is not null && !stored.Said.Has(SaidFacts.InThePot),
            feel?.On ?? since,
            feel,
            UsualWaking(now.Sheet, since, now.Around.Garden.Southern),
            (feel?.On ?? since).AddDays((int)limits.Check)
        );
    }

    /// <summary>When its kind usually wakes from a rest that began on a day; null where its sheet has no rest.</summary>
    public static DateOnly? UsualWaking(CultureSheet sheet, DateOnly since, bool southern)
    {
        var resting = sheet.Phases.ToList().FindIndex(phase => phase.Phase is Phase.Resting);
        if (resting < 0)
            return null;
        var next = sheet.Phases[(resting + 1) % sheet.Phases.Count];
        return
            Enumerable
                .Range(0, 3)
                .Select(year => next.From.In(since.Year + year - 1, southern))
                .FirstOrDefault(day => day > since.AddDays(sheet.Limits<RestLimits>().Least))
                is var wakes
            && wakes == default
            ? null
            : wakes;
    }
}

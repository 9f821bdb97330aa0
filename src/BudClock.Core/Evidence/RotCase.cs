using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rules V2 and H2: rot from the day it is found to the day somebody writes that it is over.</summary>
/// <param name="Sign">The newest entry that shows it.</param>
/// <param name="Found">The first day of this case.</param>
/// <param name="Treated">The newest entry of cutting, treating or repotting since the newest sign; null while nothing was done.</param>
/// <param name="Cleared">The entry that says it is over; null while nobody wrote that.</param>
public sealed record RotCase(Entry Sign, DateOnly Found, Entry? Treated, Entry? Cleared)
{
    static readonly EntryKind[] Told =
    [
        Rot,
        Base,
        Tuber,
        Inspected,
        Note,
        Treated_,
        Cut,
        Repotted,
        Looked,
        RootCount,
        RootsStarted,
        RootLength,
    ];

    static EntryKind Treated_ => EntryKinds.Treated;

    /// <summary>Not written to be over: no water, no feed, whatever else is asked.</summary>
    public bool Open => Cleared is null;

    /// <summary>It is the roots that rot, so a firm base says nothing of them.</summary>
    public bool OfRoots => Sign.Said.Has(SaidFacts.OfRoots);

    /// <summary>"base soft", "rot: new growth brown at the base".</summary>
    public string Words =>
        Sign.Kind == Rot
            ? Sign.Text is { } where
                ? $"rot ({where})"
                : "rot"
            : Sign.Kind == Inspected || Sign.Kind == Note
                ? "rot"
                : $"{Sign.Kind.Words.ToLowerInvariant()} {Sign.Text}";

    /// <summary>The newest case; null for a plant that never rotted.</summary>
    public static RotCase? Read(PlantJournal journal)
    {
        if (!journal.Has(Rot) && !journal.Has(Base) && !journal.Has(Tuber) && !journal.Has(Inspected))
            return null;
        RotCase? rot = null;
        foreach (var entry in journal.Of(Told))
        {
            if (Shows(entry))
                rot = rot is { Open: true } ? rot with { Sign = entry, Treated = null } : new(entry, entry.On, null, null);
            else if (rot is { Open: true })
                rot = rot.After(entry);
        }
        return rot;
    }

    RotCase After(Entry entry)
    {
        var acted = entry.Kind == Treated_ || entry.Kind == Cut || entry.Kind == Repotted;
        if (Clears(entry))
            return this with { Cleared = entry, Treated = acted ? entry : Treated };
        return acted ? this with { Treated = entry } : this;
    }

    /// <summary>A firm base on a later day, or words that say it is clean; new roots where it was the roots.</summary>
    bool Clears(Entry entry)
    {
        if (entry.Kind == Base || entry.Kind == Tuber)
            return entry.Text == "firm" && entry.On > Sign.On && !OfRoots && SameOrgan(entry);
        if (entry.Kind == RootCount || entry.Kind == RootLength)
            return OfRoots && Treated is not null && entry.On > Sign.On && entry.Amount is { InBase: > 0 };
        if (entry.Kind == RootsStarted)
            return OfRoots && Treated is not null && entry.On > Sign.On;
        if (entry.Kind == Rot || entry.Kind == Repotted)
            return false;
        return entry.Said.Has(SaidFacts.Clean);
    }

    bool SameOrgan(Entry entry) => Sign.Organ is null || entry.Organ is null || Sign.Organ == entry.Organ;

    static bool Shows(Entry entry)
    {
        if (entry.Kind == Rot)
            return entry.Text is null || entry.Said.Has(SaidFacts.Rotten);
        if (entry.Kind == Base)
            return entry.Text is "soft" or "smelling";
        if (entry.Kind == Tuber)
            return entry.Text == "soft";
        return entry.Kind == Inspected && entry.Said.Has(SaidFacts.Rotten);
    }
}

using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rules V2 and H2: rot from the day it is found to the day somebody writes that it is over.</summary>
public sealed class Rotting : State
{
    /// <inheritdoc/>
    public override string Name => "rot";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        new(Rot, "rot found", e => e.Text is null || e.Said.Has(SaidFacts.Rotten)),
        Mark.Of(Base, "the base is soft, or smells", "soft", "smelling"),
        Mark.Of(Tuber, "the tuber is soft", "soft"),
        Mark.Saying(Inspected, "looked over, and found rotten", SaidFacts.Rotten),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Meets { get; } = [new(Treated, "treated"), new(Cut, "cut"), new(Repotted, "repotted")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        Mark.Saying(Treated, "cut clean", SaidFacts.Clean),
        Mark.Saying(Cut, "cut clean", SaidFacts.Clean),
        Mark.Saying(Inspected, "looked over, and found clean", SaidFacts.Clean),
        Mark.Saying(Rot, "rot that is cut to clean tissue, or over", SaidFacts.Clean),
        Mark.Saying(Note, "a note that it is clean", SaidFacts.Clean),
        Mark.Of(Base, "the base is firm on a later day, where it was not the roots", "firm"),
        Mark.Of(Tuber, "the tuber is firm on a later day, where it was not the roots", "firm"),
        new(RootsStarted, "new roots, where the roots had rotted and were treated"),
        Mark.Some(RootLength, "a root is measured, likewise"),
        Mark.Some(RootCount, "roots are counted, likewise"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "The cut stays dry for some days; then it drinks again, and is fed when it has settled.";

    /// <summary>What is done against it.</summary>
    internal static bool Acts(Entry entry) => entry.Kind == Treated || entry.Kind == Cut || entry.Kind == Repotted;

    /// <summary>It is the roots that rot, so a firm base says nothing of them.</summary>
    internal static bool OfRoots(Span span) => span.Sign.Said.Has(SaidFacts.OfRoots);

    /// <inheritdoc/>
    protected override Span Again(Span open, Entry sign, PlantLog log) => open with { Sign = sign, Since = [] };

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log)
    {
        // Sound roots say nothing of a soft base.
        var clean = end.Said.Has(SaidFacts.Clean) && (OfRoots(open) || end.Kind != Inspected || !end.Said.Has(SaidFacts.OfRoots));
        var later = end.On > open.Sign.On;
        var ends =
            end.Kind == Base || end.Kind == Tuber
                ? later && !OfRoots(open) && SameOrgan(open.Sign, end)
                : clean || (later && OfRoots(open) && open.Since.Any(Acts));
        return ends ? open with { End = end } : open;
    }

    static bool SameOrgan(Entry sign, Entry entry) => sign.Organ is null || entry.Organ is null || sign.Organ == entry.Organ;
}

using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rules V2 and H2: rot, in the words of the rule.</summary>
/// <param name="span">The newest span of <see cref="Rotting"/>.</param>
public sealed class RotCase(Span span)
{
    /// <summary>The newest entry that shows it.</summary>
    public Entry Sign => span.Sign;

    /// <summary>The newest entry of cutting, treating or repotting since the newest sign; null while nothing was done.</summary>
    public Entry? Treated { get; } = span.End is { } end && Rotting.Acts(end) ? end : span.Since.LastOrDefault(Rotting.Acts);

    /// <summary>The entry that says it is over; null while nobody wrote that.</summary>
    public Entry? Cleared => span.End;

    /// <summary>Not written to be over: no water, no feed, whatever else is asked.</summary>
    public bool Open => span.Open;

    /// <summary>It is the roots that rot, so a firm base says nothing of them.</summary>
    public bool OfRoots => Rotting.OfRoots(span);

    /// <summary>"base soft", "rot: new growth brown at the base".</summary>
    public string Words =>
        Sign.Kind == Rot
            ? Sign.Text is { } where
                ? $"rot ({where})"
                : "rot"
            : Sign.Kind == Inspected || Sign.Kind == Note
                ? "rot"
                : $"{Sign.Kind.Words.ToLowerInvariant()} {Sign.Text}";
}

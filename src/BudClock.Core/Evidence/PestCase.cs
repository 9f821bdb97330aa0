using BudClock.Core.States;

namespace BudClock.Core.Evidence;

/// <summary>Rule H1: pests that were seen and are not over, in the words of the rule.</summary>
/// <param name="span">The newest span of <see cref="PestsFound"/>.</param>
public sealed class PestCase(Span span)
{
    /// <summary>The newest entry that saw them.</summary>
    public Entry Sign => span.Sign;

    /// <summary>The newest treatment since they were found; null where there was none, and where they came back since.</summary>
    public Entry? Treated { get; } = span.Since.LastOrDefault(entry => entry.Kind == EntryKinds.Treated);

    /// <summary>Looks since that found none.</summary>
    public int ClearLooks { get; } = span.Since.Count(PestsFound.Clears);

    /// <summary>The newest of sign, treatment and clear look: from here the next look is counted.</summary>
    public Entry LastLook => span.Newest;

    /// <summary>Not yet found clear twice, nor written to be over.</summary>
    public bool Open => span.Open;

    /// <summary>"mealy bug"; "pests" where nobody wrote which.</summary>
    public string Words => string.IsNullOrWhiteSpace(Sign.Text) ? "pests" : Sign.Text;

    /// <summary>The treatment let predators loose, which are spent after some weeks.</summary>
    public bool Predators => Treated?.Said.Has(SaidFacts.Predators) == true;

    /// <summary>On an eye or the newest growth, where it costs most.</summary>
    public bool OnNewGrowth => Sign.Said.Has(SaidFacts.OnNewGrowth);
}

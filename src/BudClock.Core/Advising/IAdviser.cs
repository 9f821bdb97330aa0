using BudClock.Core.Evidence;

namespace BudClock.Core.Advising;

/// <summary>One rule of the job. It is asked only for plants whose sheet names the rule.</summary>
public interface IAdviser
{
    /// <summary>The rule's id, such as W1.</summary>
    string Rule { get; }

    /// <summary>The thresholds a sheet must give for this rule.</summary>
    IReadOnlyList<string> Thresholds { get; }

    /// <summary>What the rule says now; null when it has nothing to say.</summary>
    Advice? Advise(Situation now);
}

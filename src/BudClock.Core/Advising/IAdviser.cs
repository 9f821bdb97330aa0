using BudClock.Core.Evidence;

namespace BudClock.Core.Advising;

/// <summary>
/// One rule of the job. It proposes; guards and judgement settle. It is asked only for plants whose sheet names the rule.
/// </summary>
/// <remarks>A class that implements it is a rule: there is no list to add it to. It needs a constructor without parameters.</remarks>
public interface IAdviser
{
    /// <summary>The rule's id, such as W1.</summary>
    string Rule { get; }

    /// <summary>What the rule says now; nothing when it has nothing to say.</summary>
    IEnumerable<Advice> Advise(Situation now);
}

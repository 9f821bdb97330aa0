using BudClock.Core.Evidence;

namespace BudClock.Core.Advising;

/// <summary>What stops an act of care, whoever proposes it (section V of the rules).</summary>
/// <remarks>A class that implements it is a guard: there is no list to add it to. It needs a constructor without parameters.</remarks>
public interface IGuard
{
    /// <summary>The rule it stands for, such as V2.</summary>
    string Rule { get; }

    /// <summary>What an emergency names to go ahead against it: "cold".</summary>
    string Name { get; }

    /// <summary>Where it stands among guards that stop the same act: the words begin with the first. Section V before the rest.</summary>
    int Order => Rule[0] == 'V' ? 1 : 2;

    /// <summary>What it stands before: acts are met by what they do, whatever they are called.</summary>
    Effects Before { get; }

    /// <summary>Acts of those effects that it lets pass nevertheless: none, unless a guard says so and why.</summary>
    IReadOnlyList<Care> LetsPass => [];

    /// <summary>Whether it stands before an act.</summary>
    bool StandsBefore(Care care) => care.Does(Before) && !LetsPass.Contains(care);

    /// <summary>Why the act is stopped; null where it may go ahead.</summary>
    Stop? Stop(Situation now, Care care);
}

/// <summary>An act that is stopped.</summary>
/// <param name="Verdict">Hold; or Look, where somebody who looks may go ahead.</param>
/// <param name="Words">Why, as a clause that begins small and ends without a full stop: "the medium was wet yesterday".</param>
/// <param name="Then">What to do instead, as a sentence; empty for nothing but to wait.</param>
/// <param name="Evidence">What was seen.</param>
public sealed record Stop(Verdict Verdict, string Words, string Then, params IReadOnlyList<Condition> Evidence)
{
    /// <summary>The day on which it may be asked again; null where something has to be seen first.</summary>
    public DateOnly? Until { get; init; }

    /// <summary>The rule that is named for it, where a guard speaks for several; null for the guard's own.</summary>
    public string? Rule { get; init; }
}

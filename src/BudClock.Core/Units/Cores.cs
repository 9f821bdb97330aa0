namespace BudClock.Core.Units;

/// <summary>Work on many things at once, on as many cores as there are.</summary>
public static class Cores
{
    /// <summary>Does the same work for each of many, in their order.</summary>
    /// <param name="many">What is worked on.</param>
    /// <param name="work">Must not depend on another one's result.</param>
    /// <param name="worth">From so many on the work is spread; to spread a little of it takes longer than to do it.</param>
    /// <returns>The results, in the order of what was worked on. They are worked out as they are asked for.</returns>
    public static IEnumerable<TResult> Spread<T, TResult>(IReadOnlyCollection<T> many, Func<T, TResult> work, int worth) =>
        many.Count < worth ? many.Select(work) : many.AsParallel().AsOrdered().Select(work);
}

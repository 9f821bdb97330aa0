using BudClock.Core.Culture;

namespace BudClock.Core.States;

/// <summary>Every state that there is.</summary>
public static class AllStates
{
    /// <summary>By name.</summary>
    public static IReadOnlyList<State> All { get; } = [.. Parts.Of<State>().OrderBy(state => state.Name, StringComparer.Ordinal)];

    /// <summary>Where a state stands in the list.</summary>
    /// <typeparam name="T">The state.</typeparam>
    internal static int At<T>()
        where T : State => Place<T>.At;

    static class Place<T>
        where T : State
    {
        public static readonly int At = All.ToList().FindIndex(state => state is T);
    }
}

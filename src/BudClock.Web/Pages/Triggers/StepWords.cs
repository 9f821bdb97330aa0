using BudClock.Core.Programmes;

namespace BudClock.Web.Pages.Triggers;

/// <summary>A step of a programme in words.</summary>
public static class StepWords
{
    /// <summary>When it is done.</summary>
    public static string Done(Step step) =>
        step.Measure switch
        {
            EntrySeen seen => $"{seen.Words} seen, {seen.UsualWords}",
            DryDays dry => $"{dry.Need}–{dry.Most} {dry.Words}",
            var measure => $"{measure.Need} {measure.Words}",
        };

    /// <summary>What it gets meanwhile.</summary>
    public static string Allows(Step step) => $"{Water(step)}, {(step.Feed ? "feed as usual" : "no feed")}{Light(step)}";

    /// <summary>What sets it back, and what that costs.</summary>
    public static IEnumerable<string> SetBack(Step step) =>
        step
            .Breaks.GroupBy(one => one.Costs)
            .Select(same => $"Set back by: {string.Join(", ", same.Select(one => one.By.Words.ToLowerInvariant()))}. Then {same.Key}.");

    static string Water(Step step) => step.Water is StepWater.None ? "No water: a dry pot is what is wanted" : "Water as usual";

    static string Light(Step step) =>
        step.Light switch
        {
            StepLight.Dark => ", dark",
            StepLight.LongNights => ", no lamp after dusk",
            _ => "",
        };
}

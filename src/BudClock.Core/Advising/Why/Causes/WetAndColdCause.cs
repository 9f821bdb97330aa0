using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule V4: wet in nights in which its roots do not drink. Either alone would have been borne.</summary>
public sealed class WetAndColdCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "wet in cold nights";

    /// <inheritdoc/>
    public override int Order => 3;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [typeof(LostQuestion), typeof(LimpQuestion), typeof(YellowQuestion), typeof(LeavesGoneQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Nights.Count == 0 || about.Now.Sheet.Is(Traits.StandsInWater))
            return null;
        var limit = about.Now.Limits<TemperatureLimits>().Feed;
        var cold = about.Nights.Where(night => night.CoolestC < limit).Select(night => night.Ends).ToHashSet();
        var wet = about
            .Now.Journal.Entries.Where(entry =>
                entry.On >= about.Matter.From
                && entry.On <= about.Matter.To
                && (entry.IsWatering || (entry.Kind == Medium && entry.Text == "wet"))
                && (cold.Contains(entry.On) || cold.Contains(entry.On.AddDays(1)))
                && about.Awake(entry.On)
            )
            .ToList();
        if (wet is not [.., var last])
            return null;
        return new(
            this,
            [
                Inquiry.By(
                    last,
                    wet.Count >= about.Limits.Spell ? Strength.Sure : Strength.Likely,
                    $"wet on {about.Day(last.On)}{(wet.Count > 1 ? $" and {wet.Count - 1} times before" : "")}, in nights "
                        + $"under {Inquiry.C(limit)}"
                ),
                .. about.Felt().For,
            ],
            [.. about.Felt().Against],
            "In cool nights it is watered little and in the morning, or kept warmer."
        );
    }
}

using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G3: a growth that sprouts before it is finished.</summary>
public sealed class TwinsQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "two-growths";

    /// <inheritdoc/>
    public override string Asks => "Why are there two growths at once?";

    /// <inheritdoc/>
    public override string Note => "Write down when each began, and how dry the medium was then.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var open = now.Lanes.Where(lane => lane is { Kind: LaneKind.Growth, Open: true }).OrderBy(lane => lane.From).ToList();
        if (now.TwoGrowths is null || open.Count < 2)
            return null;
        var second = open[^1].From;
        return new(
            $"A second growth began on {Dates.Near(second, now.Today)}, before the first was finished.",
            second.AddDays(-now.Limits<CauseLimits>().Back),
            second,
            [.. now.Journal.Of(EntryKinds.GrowthStarted).Where(entry => entry.On == second)]
        );
    }
}

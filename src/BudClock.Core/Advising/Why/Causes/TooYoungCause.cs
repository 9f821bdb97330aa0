using System.Globalization;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule B3: bloom comes with age.</summary>
public sealed class TooYoungCause : Cause
{
    const double DaysInYear = 365.25;

    /// <inheritdoc/>
    public override string Name => "too young";

    /// <inheritdoc/>
    public override int Order => 1;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var now = about.Now;
        if (
            now.Sheet.Find<LastingStalkLimits>()?.Years is not { } need
            || !now.Sheet.Is(Traits.LastingStalks)
            || (now.Arrival?.Arrived ?? now.Plant.Acquired) is not { } came
        )
            return null;
        var years = YearsHere(now, came);
        var words = string.Create(CultureInfo.InvariantCulture, $"here for {years:0.#} years, its kind blooms from about {need:0.#}");
        return years < need
            ? new(this, [Inquiry.That(Strength.Sure, words, came)], [], "Nothing to do: it roots, creeps, then leaps.", Normal: true)
            {
                Expect = $"From {Dates.Long(came.AddDays((int)(need * DaysInYear)))} on flowers can be hoped for.",
            }
            : new(this, [], [Inquiry.That(Strength.Sure, words, came)], "Age is not why.");
    }

    /// <summary>Years that it has been here.</summary>
    public static double YearsHere(Situation now, DateOnly came) => (now.Today.DayNumber - came.DayNumber) / DaysInYear;
}

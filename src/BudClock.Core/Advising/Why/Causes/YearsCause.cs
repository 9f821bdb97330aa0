using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: smaller year after year: the place is wrong for it, or the roots are.</summary>
public sealed class YearsCause : Cause
{
    const int DaysApart = 200;

    /// <inheritdoc/>
    public override string Name => "smaller for years";

    /// <inheritdoc/>
    public override int Order => 11;

    /// <inheritdoc/>
    public override Care? Act => Care.LookAtRoots;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(SmallerQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Measure the light where it stands, and look at its roots once.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Matter.Growths is not { } growths)
            return null;
        var falls = Falls(Grown.Read(about.Now.Journal, about.Now.Lanes, about.Now.Plant.Organs, about.Now.Sheet.Organs.Shoot));
        return falls >= about.Now.Limits<ShrinkingLimits>().Years
            ? Found(
                Inquiry.That(
                    Strength.Sure,
                    $"smaller for {falls + 1} years in a row, so look at its place and its roots",
                    growths.Last.Done
                ),
                "A brighter place, in steps; or accept it, or pass it on to who has one."
            )
            : null;
    }

    /// <summary>How many in a row, up to the newest, came smaller than the one before, where they came a year apart.</summary>
    static int Falls(IReadOnlyList<Grown> grown)
    {
        var falls = 0;
        for (var i = grown.Count - 1; i > 0 && grown[i].Cm < grown[i - 1].Cm; i--)
            falls += grown[i].Began.DayNumber - grown[i - 1].Began.DayNumber > DaysApart ? 1 : 0;
        return falls;
    }
}

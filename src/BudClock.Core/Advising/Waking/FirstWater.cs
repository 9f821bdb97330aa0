using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>How the first water is given: the school the grower chose, or what the pot allows.</summary>
/// <param name="Note">A sentence to add where the pot decides against the chosen school; else empty.</param>
public sealed record FirstWater(School Chosen, IReadOnlyList<OtherSchool> Others, string Note)
{
    public const string Question = "first-water";
    public const string Soak = "soak";
    public const string Sip = "sip";

    /// <summary>The advice with this way of giving it.</summary>
    public Advice On(Advice advice) => advice with { School = Chosen.Name, Others = Others };

    /// <summary>How the first water of a plant is given.</summary>
    public static FirstWater WayFor(Situation now)
    {
        var (chosen, others) = now.School(Question)!;
        return now.Plant.Pot?.Kind == Pot.Reservoir
            ? new(now.Sheet.Schools[Question].Answers[Soak], [], chosen.Name == Soak ? "" : " A pot with a reservoir can only be soaked.")
            : new(chosen, others, "");
    }
}

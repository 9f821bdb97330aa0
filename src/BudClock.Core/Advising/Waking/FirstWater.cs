using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>How the first water is given: the school the grower chose, or what the pot allows.</summary>
/// <param name="Note">A sentence to add where the pot decides against the chosen school; else empty.</param>
public sealed record FirstWater(School Chosen, IReadOnlyList<OtherSchool> Others, string Note)
{
    /// <summary>The question how the first water is given.</summary>
    public const string Question = "first-water";

    /// <summary>Its answer: one soak.</summary>
    public const string Soak = "soak";

    /// <summary>Its answer: sips that grow.</summary>
    public const string Sip = "sip";

    /// <summary>The advice with this way of giving it.</summary>
    public Advice On(Advice advice) => advice with { School = Chosen.Name, Others = Others };

    /// <summary>How the first water of a plant is given.</summary>
    public static FirstWater WayFor(Situation now)
    {
        var (chosen, others) = now.School(Question)!;
        return now.Plant.Pot?.Form.WaterBelow == true
            ? new(now.Sheet.Schools[Question].Answers[Soak], [], chosen.Name == Soak ? "" : " A pot with a reservoir can only be soaked.")
            : new(chosen, others, "");
    }
}

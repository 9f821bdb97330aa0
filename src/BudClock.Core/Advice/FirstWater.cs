using BudClock.Core.Culture;
using BudClock.Core.Journal;

namespace BudClock.Core.Advice;

/// <summary>How the first water is given: the school the grower chose, or what the pot allows.</summary>
/// <param name="Note">A sentence to add where the pot decides against the chosen school; else empty.</param>
public sealed record FirstWater(School Chosen, IReadOnlyList<School> Others, string Note)
{
    public const string Question = "first-water";
    public const string Soak = "soak";
    public const string Sip = "sip";

    public static FirstWater WayFor(Situation now)
    {
        var schools = now.Sheet.Schools[Question];
        var chosen = now.Plant.Schools.For(Question) is { } own && schools.Answers.ContainsKey(own) ? own : schools.Default;
        if (now.Plant.Pot?.Kind == Pot.Reservoir)
            return new(schools.Answers[Soak], [], chosen == Soak ? "" : " A pot with a reservoir can only be soaked.");
        return new(schools.Answers[chosen], [.. schools.Answers.Values.Where(school => school.Name != chosen)], "");
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Round;

namespace BudClock.Core.Planning;

/// <summary>What asks for something today, in a few lines: nothing that is only held or only known.</summary>
/// <param name="Title">"3 to do, 5 to look at".</param>
/// <param name="Lines">One a plant, urgent first.</param>
public sealed record Digest(string Title, IReadOnlyList<string> Lines)
{
    /// <summary>The digest of a round; null where nothing asks.</summary>
    public static Digest? Of(RoundOfDay round)
    {
        var asking = round.AllAsking.ToList();
        if (asking.Count == 0)
            return null;
        var (todo, look) = (round.ToDo, round.ToLookAt);
        return new(
            (todo, look) switch
            {
                (0, _) => $"{look} to look at",
                (_, 0) => $"{todo} to do",
                _ => $"{todo} to do, {look} to look at",
            },
            [.. asking.Select(plant => $"{plant.Plant.Called} ({plant.Plant.Tag}): {Word(plant.Main!.Verdict)}. {plant.Main.Reason}")]
        );
    }

    static string Word(Verdict verdict) => verdict is Verdict.Do ? "Do" : "Look";
}

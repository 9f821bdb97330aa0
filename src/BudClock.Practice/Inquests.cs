using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;

namespace BudClock.Practice;

/// <summary>What a hearing on a log came to, beside what was true of the plant.</summary>
/// <param name="True">What the model says, in its own words.</param>
/// <param name="Wanted">The names of causes that say the same.</param>
/// <param name="Heard">The causes as they were ranked, those that stand or of which something speaks.</param>
public sealed record Inquest(string Tag, string Question, string True, IReadOnlyList<string> Wanted, IReadOnlyList<string> Heard)
{
    /// <summary>The true cause stands first.</summary>
    public bool First => Heard.Count > 0 && Wanted.Contains(Heard[0]);

    /// <summary>The true cause is among the first three.</summary>
    public bool InThree => Heard.Take(3).Any(Wanted.Contains);
}

/// <summary>
/// Hears why plants of a <see cref="SlippingGrower"/> died and why growths came small, as soon as it shows, and holds it against the model.
/// </summary>
public sealed class Inquests
{
    /// <summary>A growth that lost less of its size than this has no cause worth a name.</summary>
    const double LeastShare = 0.12;

    /// <summary>What the model calls a cause, and what a hearing would call it.</summary>
    static readonly Dictionary<string, string[]> Names = new()
    {
        ["drought"] = ["dry while it grew"],
        ["cold"] = ["cold nights"],
        ["pests"] = ["pests"],
        ["rot: wet at rest"] = ["watered while it slept"],
        ["rot: wet and cold"] = ["wet in cold nights"],
        ["rot: wet for too long"] = ["kept wet"],
        ["thirst"] = ["dry while it grew"],
        ["roots"] = ["roots lost", "kept wet"],
        ["dark"] = ["a dim place"],
    };

    readonly List<Inquest> all = [];
    readonly HashSet<(string, int)> closed = [];

    /// <summary>Every inquest so far.</summary>
    public IReadOnlyList<Inquest> All => all;

    /// <summary>Hears what came to be seen today.</summary>
    public void Evening(SeasonGarden garden)
    {
        foreach (var (tag, (_, log, model)) in garden.Plants)
        {
            if (log[^1].Kind == EntryKinds.Died && closed.Add((tag, -1)))
                Hear(garden, tag, new LostQuestion(), model.State.DiedOf!);
            if (
                model.State is { Ripe: true, Shoots: > 1, Short.Most: { Share: > LeastShare } most }
                && garden.Today.DayOfWeek is DayOfWeek.Saturday
                && closed.Add((tag, model.State.Shoots))
            )
                Hear(garden, tag, new SmallerQuestion(), most.Of);
        }
    }

    void Hear(SeasonGarden garden, string tag, Question question, string truth)
    {
        var now = garden.Assess(tag, garden.Around(garden.Weathers())).Situation;
        // What nobody can see as smaller asks nothing.
        if (Hearing.Of(now, question) is { } hearing)
            all.Add(new(tag, question.Code, truth, Names[truth], [.. hearing.Causes.Where(c => c.Weight > 0).Select(c => c.Cause.Name)]));
    }
}

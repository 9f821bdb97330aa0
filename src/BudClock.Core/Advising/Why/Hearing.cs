using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why;

/// <summary>A question with every cause that was heard on it, the likeliest first.</summary>
/// <param name="Causes">Those of which anything is known, the standing ones first.</param>
public sealed record Hearing(Question Question, Matter Matter, IReadOnlyList<Heard> Causes)
{
    /// <summary>Two causes nearer than this cannot be told apart.</summary>
    const double Apart = 1;

    /// <summary>Every cause, in the order in which equals are named.</summary>
    public static IReadOnlyList<Cause> AllCauses { get; } =
    [.. Parts.Of<Cause>().OrderBy(cause => cause.Order).ThenBy(cause => cause.Name, StringComparer.Ordinal)];

    /// <summary>Every question, in the order of their words.</summary>
    public static IReadOnlyList<Question> AllQuestions { get; } =
    [.. Parts.Of<Question>().OrderBy(question => question.Asks, StringComparer.Ordinal)];

    /// <summary>The question of that code; null where there is none.</summary>
    public static Question? Named(string? code) => AllQuestions.FirstOrDefault(question => question.Code == code);

    /// <summary>The plant on the day it was asked.</summary>
    public required Situation Now { get; init; }

    /// <summary>The causes for which enough speaks.</summary>
    public IReadOnlyList<Heard> Standing => [.. Causes.Where(cause => cause.Standing)];

    /// <summary>The causes that stand beside the first, too near to be told from it; the first among them.</summary>
    public Heard[] First => [.. Standing.TakeWhile(cause => Standing[0].Weight - cause.Weight < Apart)];

    /// <summary>What comes of it, as a sentence.</summary>
    public string Finding =>
        First switch
        {
            [] when Matter.Normal is { } normal => normal,
            [] => "The log does not tell.",
            [var one] => $"Most likely: {one.Cause.Name} ({one.First.Words}).",
            [.. var more, var last] =>
                $"{Sentence.Capital(string.Join(", ", more.Select(cause => cause.Cause.Name)))} and {last.Cause.Name}: they cannot be "
                    + "told apart.",
        };

    /// <summary>What speaks for the first of them, as a sentence for a reason; the other words where nothing does.</summary>
    /// <remarks>What to do about a cause is not among it: acts are for rules to propose and for guards to judge.</remarks>
    public static string Says(Situation now, Question question, string otherwise) =>
        Of(now, question) is { First: [_, ..] first }
            ? $"{Sentence.Capital(string.Join("; ", first.Select(cause => cause.First.Words)))}."
            : otherwise;

    /// <summary>Hears every cause on a question; null where nothing in the log raises it.</summary>
    public static Hearing? Of(Situation now, Question question) =>
        question.Fits(now) && question.Read(now) is { } matter ? On(now, question, matter) : null;

    /// <summary>Hears every cause on a matter.</summary>
    public static Hearing On(Situation now, Question question, Matter matter)
    {
        var about = new Inquiry(now, question, matter);
        return new(
            question,
            matter,
            [
                .. AllCauses
                    .Where(cause => cause.MayAnswer(question))
                    .Select(cause => cause.Hear(about))
                    .OfType<Heard>()
                    .OrderByDescending(heard => heard.Weight),
            ]
        )
        {
            Now = now,
        };
    }

    /// <summary>Every question that the plant's log raises today, the newest matter first.</summary>
    public static IReadOnlyList<Hearing> Raised(Situation now) =>
        [
            .. AllQuestions
                .Select(question => Of(now, question))
                .OfType<Hearing>()
                .OrderByDescending(hearing => hearing.Matter.To)
                .ThenBy(hearing => hearing.Question.Asks, StringComparer.Ordinal),
        ];
}

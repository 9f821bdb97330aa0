using BudClock.Core.Advising;
using BudClock.Core.Advising.Why;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Why: every question that a plant's log raises, with what speaks for each cause and against it.</summary>
public sealed class WhyModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public Assessment Plant { get; private set; } = null!;

    public IReadOnlyList<Hearing> Hearings { get; private set; } = [];

    /// <summary>The code of the one question that was asked; null for all.</summary>
    public string? Asked { get; private set; }

    /// <summary>The question that was asked and that nothing in the log raises; null for none.</summary>
    public Question? Unraised { get; private set; }

    public SleepCertificate? Certificate { get; private set; }

    public GrowthsToScale? Growths { get; private set; }

    /// <summary>Questions that may be asked of its kind.</summary>
    public IEnumerable<Question> Questions => Hearing.AllQuestions.Where(question => question.Fits(Plant.Situation));

    /// <param name="q">The code of one question; left out for all that the log raises.</param>
    public IActionResult OnGet(string tag, string? q)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        (Plant, Asked) = (plant, q);
        var now = plant.Situation;
        Hearings = [.. Hearing.Raised(now).Where(hearing => q is null || hearing.Question.Code == q)];
        Unraised = Hearings.Count == 0 ? Hearing.Named(q) : null;
        Certificate = q is null or "asleep" ? SleepCertificate.Read(now) : null;
        Growths = q is null or "smaller" ? GrowthsToScale.Of(now) : null;
        return Page();
    }

    /// <summary>What is said today of the act that a cause would ask for: guards have judged it as any other; null for nothing.</summary>
    public Advice? SaidOf(Heard heard) =>
        heard.Standing && heard.Cause.Act is { } act
            ? Plant.Settled.FirstOrDefault(advice => advice.Care.Facts().Question == act.Facts().Question)
            : null;
}

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

    /// <param name="q">The code of one question; left out, or one that is none, for all that the log raises.</param>
    public IActionResult OnGet(string tag, string? q)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        (Plant, Asked) = (plant, Hearing.Named(q)?.Code);
        var now = plant.Situation;
        Hearings = [.. Hearing.Raised(now).Where(hearing => Asked is null || hearing.Question.Code == Asked)];
        Unraised = Hearings.Count == 0 ? Hearing.Named(Asked) : null;
        Certificate = Asked is null or "asleep" ? SleepCertificate.Read(now) : null;
        Growths = Asked is null or "smaller" ? GrowthsToScale.Of(now) : null;
        return Page();
    }

    /// <summary>What stops the act that a cause would ask for today; null where nothing does, and where it asks for none.</summary>
    public Stop? Against(Heard heard) => heard.Standing && heard.Cause.Act is { } act ? Today.Assessor.Against(Plant.Situation, act) : null;
}

using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules B1 and B5: the nights, days or weeks that make its kind bloom never came, or were not long enough.</summary>
public sealed class NoCueCause : Cause
{
    /// <summary>Fewer measured nights tell nothing of a year.</summary>
    const int LeastNights = 28;

    /// <inheritdoc/>
    public override string Name => "nothing made it bloom";

    /// <inheritdoc/>
    public override int Order => 5;

    /// <inheritdoc/>
    public override Care? Act => Care.Trigger;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var now = about.Now;
        if (
            now.Around.Programmes.All.FirstOrDefault(one => one.Sheets.Contains(now.Sheet.Name) && Cue(one) is not null)
            is not { } programme
        )
            return null;
        var (cue, then) = (Cue(programme)!, $"Try {programme.Title} in its season.");
        var run = ProgrammeRuns
            .All(now.Plant, now.Sheet, now.Journal, now.Counted, now.Around.Programmes, now.Today)
            .LastOrDefault(one => one.Order.Start >= about.Matter.From);
        if (run is { State: RunState.Done })
            return new(
                this,
                [],
                [Inquiry.By(run.Order.Entry, Strength.Sure, $"{run.Programme.Title} was kept to its end")],
                "The cue was given."
            );
        if (about.Nights.Count < LeastNights)
            return new(this, [Inquiry.That(Strength.Hint, $"nobody measured whether it had {cue.Need} {cue.Words}")], [], then);
        var have = Counted(about, cue);
        var words = $"{have} of {cue.Need} {cue.Words} where it stood";
        return have < cue.Need
            ? new(this, [Inquiry.That(have < cue.Need / 2 ? Strength.Sure : Strength.Likely, words, about.Matter.To)], [], then)
            : new(this, [], [Inquiry.That(Strength.Sure, words, about.Matter.To)], "It had what makes it bloom.");
    }

    /// <summary>What is measured of the air in a programme; null where nothing is.</summary>
    static StepMeasure? Cue(Programme programme) =>
        programme.Steps.Select(step => step.Measure).FirstOrDefault(measure => measure is CoolNights or CoolDays);

    static int Counted(Inquiry about, StepMeasure cue) =>
        cue is CoolNights nights ? about.Nights.Count(night => night.CoolestC <= nights.AtOrBelowC)
        : cue is CoolDays days ? about.Days.Count(day => day.MaxC <= days.AtOrBelowC)
        : 0;
}

using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Guarding;

/// <summary>
/// Rules B1, B2 and B6: a running programme speaks here, so that no rule waters a dry pot in its dry weeks, feeds it, or lights it in
/// its dark ones. Section V stands before it, and thirst is heard.
/// </summary>
public sealed class ProgrammeGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "B1";

    /// <inheritdoc/>
    public string Name => "programme";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds | Effects.Lights;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if (now.Programme is not { Now: { } at, Rules: { } step } run)
            return null;
        var stop =
            care.Does(Effects.WetsMedium) ? Water(now, run, at)
            : care.Does(Effects.Feeds) ? Feed(step, at)
            : Light(step, at);
        return stop is null ? null : stop with { Rule = run.Programme.Rule };
    }

    static Stop? Water(Situation now, ProgrammeRun run, StepRun at)
    {
        if (at.Step.Water is not StepWater.None)
            return null;
        var words = $"it is in its {at.Step.Title}, {at.Progress}";
        if (now.Thirst.Kind is ThirstKind.Thirsty)
            return new(
                Verdict.Look,
                $"{now.Thirst.Words} {Dates.Ago(now.Thirst.Sign!.On, now.Today)}, and {words}",
                $"look closer: where leaves fold, a small drink keeps it alive, and {Costs(run, at)}. Where they hold, leave it dry.",
                Counted(at)
            );
        return new(Verdict.Hold, words, "a dry pot is what is wanted.", Counted(at));
    }

    /// <summary>What a drink costs now: "the 12 dry days so far begin again".</summary>
    static string Costs(ProgrammeRun run, StepRun at) =>
        at.Count == 0
            ? "costs nothing yet"
            : $"{at.Step.Breaks.FirstOrDefault()?.Costs ?? "the count begins again"}: {Weeks.Days(at.Count)} are lost, and "
                + $"{run.Programme.Title.ToLowerInvariant()} ends so much later";

    static Stop? Feed(Step step, StepRun at) =>
        step.Feed ? null : new(Verdict.Hold, $"it is in its {step.Title}", "no feed until they are over.", Counted(at));

    static Stop? Light(Step step, StepRun at) =>
        step.Light switch
        {
            StepLight.Dark => new(Verdict.Hold, $"it is in its {step.Title}, {at.Progress}", "nobody lights it.", Counted(at)),
            StepLight.LongNights => new(
                Verdict.Hold,
                $"it is in its {step.Title}, {at.Progress}",
                "no lamp after dusk; light by day does no harm.",
                Counted(at)
            ),
            _ => null,
        };

    static Condition Counted(StepRun at) => new(at.Step.Measure.Words, new(at.Count), new(at.Step.Measure.Need), null, false, at.From);
}

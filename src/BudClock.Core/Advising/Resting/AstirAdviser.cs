using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule V5: leaves on a plant that sleeps by the log are asked about, before they are left dry for months.</summary>
/// <remarks>The log contradicts itself, so nothing is ordered: what it answers decides whether it rests or grows.</remarks>
public sealed class AstirAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V5";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Astir is not { } astir)
            yield break;
        var then = now.Sheet.Is(Traits.DryRest)
            ? "then look for its new growth and measure the roots, for they decide about water"
            : "then write the leaf or growth down, and it is watered as one that grows";
        yield return new(
            Topics.Rest,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            $"{Capital(astir.Words)} {Dates.Ago(astir.Sign.On, now.Today)}, though by the log it is leafless since "
                + $"{Dates.Near(astir.AsleepSince, now.Today)}. Is it in leaf? {Capital(then)}. If not, write \"leaves gone\".",
            [Condition.Known(astir.Sign.Kind.Words.ToLowerInvariant(), new(astir.Sign.Text ?? "seen"), null, astir.Sign.On)]
        );
    }
}

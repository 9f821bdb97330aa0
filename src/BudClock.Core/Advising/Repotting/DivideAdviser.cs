using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R8: may it be divided. Each part wants its bulbs and roots; a smaller one sulks for years.</summary>
/// <remarks>Spoken of only where it comes out of its pot anyway: nobody has to divide.</remarks>
public sealed class DivideAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "R8";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.Sheet.Is(Traits.RootsInFlushes) || !now.Sheet.Organs.Stores.Contains(Organ.Bulb))
            yield break;
        if (now.Rot is { Open: true } || now.Arrival is { IsNewcomer: true } || RepotWant.Read(now) is not { } wanted)
            yield break;
        var (each, bulbs) = (now.Limits<DivideLimits>().Bulbs, LiveBulbs.Read(now));
        if (bulbs.Count < each)
            yield break;
        var condition = Condition.AtLeast("bulbs", new(bulbs.Count, bulbs[^1].On), each * 2, "bulbs");
        if (bulbs.Count < each * 2)
            yield return Say(
                Verdict.Hold,
                $"{wanted.Words}, and it has {bulbs.Count} bulbs: {each} with roots go to each part, so leave it whole."
            );
        else if (RootTips.Read(now) is not { } roots || roots.At(now.Today) > now.Limits<RepotWindowLimits>().Late)
            yield return Say(
                Verdict.Hold,
                $"It has {bulbs.Count} bulbs, enough for {bulbs.Count / each} parts: with the next new roots, not before."
            );
        else
            yield return Say(
                Verdict.Look,
                $"It has {bulbs.Count} bulbs: as it comes out of its pot it may be divided, never into less than {each} bulbs with live "
                    + "roots. Count them in your hand. Expect the next growth to be smaller; or leave it whole, and it flowers the fuller."
            ) with
            {
                Since = roots.Last.On,
            };

        Advice Say(Verdict verdict, string reason) =>
            new(Topics.Divide, Rule, Care.Divide, verdict, null, reason, [wanted.Evidence, condition]);
    }
}

/// <summary>Rule R8: how large its parts have to be.</summary>
[Rule("R8", "how large the parts of a division have to be")]
public sealed record DivideLimits([Limit("bulbs", 2, 8, "with roots, to each part")] int Bulbs);

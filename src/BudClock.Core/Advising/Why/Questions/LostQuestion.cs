using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>What killed it: asked of what has died, so that the next one does not.</summary>
public sealed class LostQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "lost";

    /// <inheritdoc/>
    public override string Asks => "What killed it?";

    /// <inheritdoc/>
    public override string Note => "Before it is thrown away, look at its roots and its base, and write down what you find.";

    /// <inheritdoc/>
    public override bool OfTheDead => true;

    /// <inheritdoc/>
    public override Matter? Read(Situation now) =>
        now.Journal.Last(EntryKinds.Died) is { } died
            ? new($"Died on {Dates.Near(died.On, now.Today)}.", died.On.AddDays(-2 * now.Limits<CauseLimits>().Back), died.On, [died])
            : null;
}

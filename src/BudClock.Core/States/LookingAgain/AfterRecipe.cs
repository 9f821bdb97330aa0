using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>What did a new recipe do?</summary>
public sealed class AfterRecipe : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "a new recipe, and not looked at since";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.RecipeSet;

    /// <inheritdoc/>
    public override string Question(Entry change) => "what did the new recipe do?";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (limits.Feed, limits.Feed);

    /// <inheritdoc/>
    protected override bool Shows => false;
}

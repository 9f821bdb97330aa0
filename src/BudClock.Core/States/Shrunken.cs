using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule V1: bulbs that shrink; dry it is thirst, and though watered an alarm of the roots.</summary>
public sealed class Shrunken : State
{
    /// <summary>How bulbs that shrank are written of.</summary>
    internal static readonly string[] Words = ["wrinkled", "shrivelled"];

    /// <inheritdoc/>
    public override string Name => "shrunken bulbs: thirst, or an alarm of the roots";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [Mark.Of(Bulbs, "bulbs wrinkled or shrivelled", Words)];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } = [Mark.Of(Bulbs, "bulbs seen plump", "plump"), .. Mark.Doing(Effects.WetsMedium)];

    /// <inheritdoc/>
    public override string Afterwards => "They fill within some days of water, or the roots are looked at.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<Ages>().Bulbs + 1;
}

using BudClock.Core.Culture;

namespace BudClock.Core.Advising;

/// <summary>The rules and guards that one sheet follows; found once, when the sheets are read.</summary>
/// <param name="sheet">The sheet. A grower's changes to its numbers change nothing of which rules it follows.</param>
public sealed class RuleBook(CultureSheet sheet)
{
    readonly IGuard[][] before = [.. Enum.GetValues<Care>().Select(care => Guarding(sheet, care))];

    /// <summary>Rules that are asked for a plant of this sheet, in their order.</summary>
    public IReadOnlyList<IAdviser> Advisers { get; } = [.. Advising.Advisers.All.Where(adviser => sheet.Rule(adviser.Rule) is not null)];

    /// <summary>The guards that stand before an act, in their order.</summary>
    public IReadOnlyList<IGuard> Before(Care care) => before[(int)care];

    static IGuard[] Guarding(CultureSheet sheet, Care care) =>
        [.. Guards.All.Where(guard => sheet.Rule(guard.Rule) is not null && guard.StandsBefore(care))];
}

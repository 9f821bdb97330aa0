using BudClock.Core.Culture;

namespace BudClock.Core.Evidence;

/// <summary>
/// Rule V7: how many days each kind of evidence is good for, from one table on the sheet. What is older asks, and orders nothing.
/// </summary>
/// <param name="Wet">A medium felt wet or damp.</param>
/// <param name="Dry">A medium felt dry and not watered since.</param>
/// <param name="Limp">Leaves seen limp or pliable, unless they were seen so again.</param>
/// <param name="Bulbs">What bulbs looked like.</param>
/// <param name="Roots">A root's length; that there are roots, or none, holds until newer evidence.</param>
/// <param name="Nights">A night measured at the place.</param>
/// <param name="Meter">A moisture meter's reading.</param>
/// <param name="Colour">Leaves yellow, pale or scorched.</param>
/// <param name="Pests">Pests, of which nobody wrote again.</param>
public sealed record Ages(int Wet, int Dry, int Limp, int Bulbs, int Roots, int Nights, int Meter, int Colour, int Pests)
{
    /// <summary>The table of a sheet; every sheet has it from the general one.</summary>
    public static Ages Of(CultureSheet sheet)
    {
        var table = sheet.Rule("V7")!;
        return new(
            Days("wet"),
            Days("dry"),
            Days("limp"),
            Days("bulbs"),
            Days("roots"),
            Days("nights"),
            Days("meter"),
            Days("colour"),
            Days("pests")
        );

        int Days(string name) => (int)table[name];
    }
}

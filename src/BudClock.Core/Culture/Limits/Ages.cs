namespace BudClock.Core.Culture.Limits;

/// <summary>
/// Rule V7: how many days each kind of evidence is good for, from one table on the sheet. What is older asks, and orders nothing.
/// </summary>
[Rule("V7", "how long what was seen is good for")]
public sealed record Ages(
    [Limit("days", 1, 10, "a medium felt wet or damp")] int Wet,
    [Limit("days", 2, 90, "a medium felt dry and not watered since")] int Dry,
    [Limit("days", 1, 10, "leaves seen limp or pliable, unless they were seen so again")] int Limp,
    [Limit("days", 3, 90, "what bulbs looked like")] int Bulbs,
    [Limit("days", 7, 365, "a root's length; that there are roots, or none, holds until newer evidence")] int Roots,
    [Limit("days", 1, 14, "a night measured at the place")] int Nights,
    [Limit("days", 1, 10, "a moisture meter's reading")] int Meter,
    [Limit("days", 3, 60, "leaves yellow, pale or scorched")] int Colour,
    [Limit("days", 14, 365, "pests, of which nobody wrote again")] int Pests
);

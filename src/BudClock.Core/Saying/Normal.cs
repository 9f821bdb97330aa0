using BudClock.Core.Advising;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Saying;

/// <summary>Rule G9: what looks alarming and is normal, said when it is logged.</summary>
public static class Normal
{
    /// <summary>A calm sentence for an entry on this plant; null where there is nothing to calm.</summary>
    public static string? Say(EntryKind kind, string? text, Assessment plant)
    {
        var month = plant.Situation?.Around.Garden.Southern == true ? ((plant.On.Month + 5) % 12) + 1 : plant.On.Month;
        var autumn = month is >= 9 and <= 12;
        if (kind == LeafDropped && (autumn || plant.Phase.Phase is Phase.GoingToRest or Phase.Resting))
            return "Leaves that go oldest first in autumn, with a firm base, are the way to rest. That is normal.";
        if (kind == LeafDropped)
            return "One old leaf is age. Several, or young ones, ask for a look at the roots.";
        if (kind == Leaves && text == "yellowing")
            return "The oldest leaf alone yellowing is age, and normal. Several, or young ones, with a wet medium point to too much water.";
        if (kind == LeavesGone && (autumn || plant.Phase.Phase is Phase.Resting))
            return "Leafless and firm is resting, not dead.";
        if (kind == GrowthStopped)
            return "A shoot that stops is not the end: where its roots go on, another follows; a vine branches below a dead tip.";
        if (
            kind == Note
            && text?.Contains("drop", StringComparison.OrdinalIgnoreCase) == true
            && text.Contains("tip", StringComparison.OrdinalIgnoreCase)
        )
            return "Drops at leaf tips after watering are normal; keep them off floors and electronics.";
        if (kind == Planted)
            return "A tuber shows in 4 to 5 weeks where it is warm; a corm may take months. That is normal.";
        return kind == WinterRosette ? "Small dry leaves for the winter are how this plant rests. That is normal." : null;
    }
}

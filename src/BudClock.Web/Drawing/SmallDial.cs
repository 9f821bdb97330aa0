using BudClock.Core.Advising;

namespace BudClock.Web.Drawing;

/// <summary>The dial for lists: the shoot outside, the roots inside, and the hand.</summary>
public sealed record SmallDial(IReadOnlyList<SmallArc> Arcs, Point Hand)
{
    public const double Outer = 20.75;
    public const double Inner = 12.75;
    const int RecordedDays = 274;

    public static SmallDial Of(Assessment plant, bool southern)
    {
        var dial = new DialGeometry(southern);
        // Rest lies below, flowers on top, where lanes of the shoot overlap.
        var arcs = plant.Lanes.OrderByDescending(lane => lane.Kind).Select(lane => Arc(dial, lane, plant.On)).OfType<SmallArc>();
        return new([.. arcs], dial.At(plant.On, 24));
    }

    static SmallArc? Arc(DialGeometry dial, Lane lane, DateOnly today)
    {
        var (from, to) = (lane.From, lane.To ?? today);
        if (from < today.AddDays(-RecordedDays))
            from = today.AddDays(-RecordedDays);
        if (to <= from && to < today)
            return null;
        return new(lane.Kind, lane.Expected, dial.Arc(from, to, lane.Kind is LaneKind.Roots ? Inner : Outer));
    }
}

public sealed record SmallArc(LaneKind Kind, bool Expected, string Path)
{
    public double Width => Kind is LaneKind.Roots ? 4.5 : 6.5;
}

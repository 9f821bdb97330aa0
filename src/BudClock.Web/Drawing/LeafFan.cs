using System.Globalization;
using BudClock.Core.Advising;

namespace BudClock.Web.Drawing;

/// <summary>A single-stem plant as a fan of its leaves, each as long as it was measured.</summary>
public sealed record LeafFan(IReadOnlyList<FanLeaf> Leaves, string Summary)
{
    public const double Width = 240;
    public const double Height = 150;
    const double Foot = 132;
    const double Longest = 105;
    const int Most = 9;

    /// <summary>Null for a plant on which no leaf is recorded as a part of its own.</summary>
    public static LeafFan? Of(Assessment plant)
    {
        var journal = plant.Book.Journal;
        var leaves = plant
            .Plant.Organs.Where(organ => organ.Kind is Organ.Leaf)
            .Select(leaf => (Leaf: leaf, Own: journal.Entries.Where(e => e.Organ == leaf.Id).ToList()))
            .Where(leaf => leaf.Own.Count > 0 && !leaf.Own.Exists(e => e.Kind == EntryKinds.Lost || e.Kind == EntryKinds.Cut))
            .TakeLast(Most)
            .ToList();
        if (leaves.Count == 0)
            return null;
        var spans = leaves.Select(leaf => leaf.Own.LastOrDefault(e => e.Kind == EntryKinds.LeafSpan)?.Amount?.InBase).ToList();
        var widest = Math.Max(1, spans.Max() ?? 1);
        var drawn = leaves
            .Select((leaf, index) => Leaf(index, leaf.Leaf.Label ?? leaf.Leaf.Id, spans[index], widest, index == leaves.Count - 1))
            .ToList();
        return new(drawn, string.Join(", ", drawn.Select(leaf => $"{leaf.Label}: {leaf.Size}")));
    }

    /// <summary>Leaves alternate left and right, the newest upright in the middle.</summary>
    static FanLeaf Leaf(int index, string label, double? span, double widest, bool newest)
    {
        var length = Longest * ((span ?? widest * 0.5) / widest);
        var lean = (index % 2 == 0 ? -1 : 1) * (newest ? 0.12 : 0.45 + (0.7 / (index + 1)));
        var (along, across) = ((X: Math.Sin(lean), Y: -Math.Cos(lean)), (X: Math.Cos(lean), Y: Math.Sin(lean)));
        var (foot, tip) = (On(0, 0), On(length, 0));
        return new(
            $"M{foot} Q{On(length * 0.5, length * 0.2)} {tip} Q{On(length * 0.5, -length * 0.2)} {foot}Z",
            label,
            span is { } cm ? string.Create(CultureInfo.InvariantCulture, $"{cm:0.#} cm") : "not measured",
            newest
        );

        Point On(double far, double beside) =>
            new((Width / 2) + (far * along.X) + (beside * across.X), Foot + (far * along.Y) + (beside * across.Y));
    }
}

public sealed record FanLeaf(string Path, string Label, string Size, bool Newest);

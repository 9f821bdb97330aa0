namespace BudClock.Web.Drawing;

/// <summary>Rule P5: a family drawn from its oldest plant on record, generation by generation, how each was made on its line.</summary>
public sealed record FamilyTree(IReadOnlyList<TreeNode> Nodes, double Width, double Height, string Summary)
{
    public const double Box = 118;
    public const double BoxHeight = 38;
    const double Column = 190;
    const double Row = 50;
    const int Deepest = 6;

    /// <summary>A parent that is its own child, by a slip in a file, ends the walk here.</summary>
    const int MostNodes = 60;

    /// <summary>Null for a plant without a parent or offspring on record.</summary>
    public static FamilyTree? Of(Plant plant, IEnumerable<Plant> all)
    {
        var byTag = all.DistinctBy(one => one.Tag, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(one => one.Tag, StringComparer.OrdinalIgnoreCase);
        var children = byTag.Values.Where(one => one.Parent is not null).ToLookup(one => one.Parent!, StringComparer.OrdinalIgnoreCase);
        var root = Oldest(plant, byTag);
        if (plant.Parent is null && !children[plant.Tag].Any())
            return null;
        var nodes = new List<TreeNode>();
        // A parent that is not here any more still has its tag.
        if (root.Parent is { } lost && !byTag.ContainsKey(lost))
        {
            nodes.Add(new(lost, "not here", null, 0, 0, null, false));
            Walk(root, 1, 0, nodes[0]);
        }
        else
            Walk(root, 0, 0, null);
        return new(
            nodes,
            nodes.Max(node => node.X) + Box + 4,
            nodes.Max(node => node.Y) + BoxHeight + 4,
            string.Join(", ", nodes.Select(node => node.From is null ? node.Tag : $"{node.Tag} ({node.Origin}) from {node.From.Tag}"))
        );

        int Walk(Plant one, int depth, int row, TreeNode? from)
        {
            var node = new TreeNode(one.Tag, one.Called, one.Origin ?? "made", depth * Column, row * Row, from, one.Tag == plant.Tag);
            nodes.Add(node);
            var next = row;
            foreach (var child in children[one.Tag].Where(_ => depth < Deepest).OrderBy(child => child.Acquired).ThenBy(child => child.Tag))
                if (nodes.Count < MostNodes && nodes.All(known => known.Tag != child.Tag))
                    next = Walk(child, depth + 1, next, node);
            return Math.Max(next, row + 1);
        }
    }

    static Plant Oldest(Plant plant, Dictionary<string, Plant> byTag)
    {
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        while (plant.Parent is { } parent && seen.Add(plant.Tag) && byTag.TryGetValue(parent, out var known) && !seen.Contains(parent))
            plant = known;
        return plant;
    }
}

/// <summary>A plant in the tree.</summary>
/// <param name="From">Its parent; null for the oldest.</param>
/// <param name="Here">The plant whose page it is.</param>
public sealed record TreeNode(string Tag, string Called, string? Origin, double X, double Y, TreeNode? From, bool Here)
{
    /// <summary>From the parent's right side to its own left side.</summary>
    public string? Line =>
        From is null
            ? null
            : FormattableString.Invariant($"M{From.X + FamilyTree.Box:0.#} {From.Y + 20:0.#} H{X - 56:0.#} V{Y + 20:0.#} H{X:0.#}");

    /// <summary>The name, where it fits its box.</summary>
    public string Short => Called.Length > 17 ? Called[..16].TrimEnd() + "…" : Called;
}

using System.Globalization;

namespace BudClock.Core.Potting;

/// <summary>Leaves, cuttings, corms or seeds that were started together (rule P5).</summary>
/// <param name="Code">Unique among the batches, on its label.</param>
/// <param name="Method">The name of a <see cref="RaisingMethod"/>.</param>
/// <param name="Started">The day the first were set.</param>
/// <param name="Number">How many were started, 1 to 10 000.</param>
public sealed record YoungBatch(string Code, string Method, DateOnly Started, int Number)
{
    /// <summary>More than this nobody counts.</summary>
    public const int MostStarted = 10_000;

    /// <summary>What is raised, as it is called: its parent's name, or what stood on the packet.</summary>
    public string Name { get; init; } = "";

    /// <summary>The tag of the plant it was made from; null for bought seed and swapped leaves.</summary>
    public string? Parent { get; init; }

    /// <summary>Its botanical name; null where it is its parent's.</summary>
    public string? Taxon { get; init; }

    /// <summary>From whom, where it came from outside.</summary>
    public string? Source { get; init; }

    /// <summary>The code of the place where it stands.</summary>
    public string? Place { get; init; }

    /// <summary>It was saved from a plant that was being lost (rule V2).</summary>
    public bool Rescue { get; init; }

    /// <summary>The cut is set into its medium on this day, and dries until then; null where nothing dries.</summary>
    public DateOnly? DriesUntil { get; init; }

    /// <summary>In the grower's words: medium, cover, warmth.</summary>
    public string? Note { get; init; }

    /// <summary>What was counted, oldest first.</summary>
    public IReadOnlyList<BatchCount> Counts { get; init; } = [];

    /// <summary>The day it was given up or used up: what had not rooted by then did not.</summary>
    public DateOnly? Ended { get; init; }

    /// <summary>How many of a kind were counted in all.</summary>
    /// <param name="what">One of <see cref="BatchCount.Kinds"/>.</param>
    public int Of(string what) => Counts.Where(count => count.What == what).Sum(count => count.Number);

    /// <summary>Neither rooted nor lost yet; none in a batch that ended.</summary>
    public int Waiting => Ended is null ? Math.Max(0, Number - Of(BatchCount.Rooted) - Of(BatchCount.Lost)) : 0;

    /// <summary>Of how many it is known whether they took.</summary>
    public int Decided => Ended is null ? Of(BatchCount.Rooted) + Of(BatchCount.Lost) : Number;

    /// <summary>When it was last looked at: the last count, else the day it was started.</summary>
    public DateOnly Looked => Counts.Count > 0 ? Counts.Max(count => count.On) : Started;

    /// <summary>When it is looked at next; null for one that ended.</summary>
    /// <remarks>Before the first can show nothing is looked at but the cover. A cut that dries is looked at when it has.</remarks>
    public DateOnly? NextLook(RaisingMethod method, DateOnly today) =>
        Ended is not null ? null
        : DriesUntil >= today ? DriesUntil
        : new[] { Looked.AddDays(method.EveryDays), Set.AddDays(Math.Min(method.FromDays, method.EveryDays * 2)) }.Max();

    /// <summary>The day it came into its medium.</summary>
    public DateOnly Set => DriesUntil ?? Started;

    /// <summary>What its counts cannot be, as sentences; none when they add up.</summary>
    /// <param name="method">How it is raised.</param>
    /// <param name="today">No count is of a later day.</param>
    public IReadOnlyList<string> Faults(RaisingMethod method, DateOnly today)
    {
        var faults = new List<string>();
        if (Number is < 1 or > MostStarted)
            faults.Add($"How many were started is 1 to {MostStarted}.");
        if (Started > today || Ended > today || Counts.Any(count => count.On > today))
            faults.Add("A day in it is still to come.");
        if (Ended < Started || Counts.Any(count => count.On < Started))
            faults.Add("A day in it is before the day it was started.");
        if (DriesUntil < Started)
            faults.Add("The cut cannot have dried before it was made.");
        if (Counts.Any(count => count.Number is < 1 or > MostStarted))
            faults.Add($"A count is 1 to {MostStarted}.");
        if (Of(BatchCount.Rooted) > Number)
            faults.Add(Text($"{Of(BatchCount.Rooted)} rooted, but only {Number} were started."));
        else if (Of(BatchCount.Rooted) + Of(BatchCount.Lost) > Number && !method.Many)
            faults.Add(Text($"{Of(BatchCount.Rooted)} rooted and {Of(BatchCount.Lost)} lost are more than the {Number} started."));
        if (!method.Many && Of(BatchCount.Potted) > Number)
            faults.Add(Text($"{Of(BatchCount.Potted)} potted on, but only {Number} were started."));
        if (Of(BatchCount.Kept) + Of(BatchCount.Given) > Math.Max(Of(BatchCount.Potted), Of(BatchCount.Rooted)))
            faults.Add(Text($"{Of(BatchCount.Kept)} kept and {Of(BatchCount.Given)} given are more than there are."));
        return faults;
    }

    static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

/// <summary>Something that was counted in a batch on a day.</summary>
/// <param name="What">One of <see cref="Kinds"/>.</param>
/// <param name="Number">How many, 1 or more.</param>
/// <param name="To">To whom, for what was given; tags, for what was potted on.</param>
public sealed record BatchCount(DateOnly On, string What, int Number, string? To = null)
{
    /// <summary>It took: roots, plantlets or a shoot show.</summary>
    public const string Rooted = "rooted";

    /// <summary>Gone soft, dried or hollow.</summary>
    public const string Lost = "lost";

    /// <summary>In a pot of its own.</summary>
    public const string Potted = "potted";

    /// <summary>Kept, with a tag of its own.</summary>
    public const string Kept = "kept";

    /// <summary>Given away or swapped.</summary>
    public const string Given = "given";

    /// <summary>Came plain, where the parent is marked.</summary>
    public const string Plain = "plain";

    /// <summary>Came marked as its parent is.</summary>
    public const string Marked = "marked";

    /// <summary>What can be counted.</summary>
    public static readonly IReadOnlyList<string> Kinds = [Rooted, Lost, Potted, Kept, Given, Plain, Marked];
}

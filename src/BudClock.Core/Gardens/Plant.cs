namespace BudClock.Core.Gardens;

/// <summary>A plant on record. Its tag stays but for a slip of the pen; its name, place and sheet may change, each from a day on.</summary>
public sealed record Plant
{
    /// <summary>Permanent and unique in the garden, case aside: letters, digits and hyphens.</summary>
    public required string Tag { get; init; }

    /// <summary>Tags it had before, oldest first: it is still found by them.</summary>
    public IReadOnlyList<string> FormerTags { get; init; } = [];

    /// <summary>What the grower calls it.</summary>
    public string? Name { get; init; }

    /// <summary>Its botanical name; null when only its sheet is known.</summary>
    public string? Taxon { get; init; }

    /// <summary>The culture sheet's name; null when none fits its genus.</summary>
    public string? Sheet { get; init; }

    /// <summary>The place's code; null is "unplaced".</summary>
    public string? Place { get; init; }

    /// <summary>The code of the tray, reservoir or cover pot it stands in; null when it has none that others share.</summary>
    public string? Vessel { get; init; }

    /// <summary>The day it came; null when not known.</summary>
    public DateOnly? Acquired { get; init; }

    /// <summary>When it came, where no day is known; null where one is, and where nothing is.</summary>
    public RoughDate? AcquiredAbout { get; init; }

    /// <summary>When it was last potted before its log began, where no day is known; a repot in the log is newer.</summary>
    public RoughDate? PottedAbout { get; init; }

    /// <summary>Its pot; null when not known.</summary>
    public Pot? Pot { get; init; }

    /// <summary>What it stands in, in the grower's words.</summary>
    public string? Medium { get; init; }

    /// <summary>The identity is a guess.</summary>
    public bool Doubtful { get; init; }

    /// <summary>Earlier names, newest last: the plant is still found by them.</summary>
    public IReadOnlyList<string> Synonyms { get; init; } = [];

    /// <summary>Rule P5: the tag of the plant it was made from; null when unknown or from outside.</summary>
    public string? Parent { get; init; }

    /// <summary>How it was made from its parent, one of <see cref="Origins"/>.</summary>
    public string? Origin { get; init; }

    /// <summary>Where it came from, in the grower's words.</summary>
    public string? Source { get; init; }

    /// <summary>The last day a newcomer is kept apart.</summary>
    public DateOnly? QuarantineUntil { get; init; }

    /// <summary>How often its details were changed; a form that shows an older count is out of date.</summary>
    public int Version { get; init; }

    /// <summary>Forecasts as they were made, oldest first, so that their error can be known later.</summary>
    public IReadOnlyList<Forecast> Forecasts { get; init; } = [];

    /// <summary>How a plant can be made from its parent.</summary>
    public static readonly IReadOnlyList<string> Origins = ["division", "cutting", "layer", "leaf", "corm", "tuber", "offset", "seed"];

    /// <summary>Chosen schools by question, such as first-water: sip.</summary>
    public Choices Schools { get; init; } = Choices.None;

    /// <summary>Parts that are followed on their own.</summary>
    public IReadOnlyList<Organ> Organs { get; init; } = [];

    /// <summary>Its log, struck entries included.</summary>
    public IReadOnlyList<Entry> Entries { get; init; } = [];

    /// <summary>What the plant is called in a list: its name, else its taxon, else its tag.</summary>
    public string Called => Name ?? Taxon ?? Tag;

    /// <summary>First word of its taxon.</summary>
    public string? Genus => Taxon?.Split(' ', StringSplitOptions.RemoveEmptyEntries).FirstOrDefault();
}

/// <summary>A pot; what is not known is null. What it is, holes and wall and well, is read from its words (<see cref="Form"/>).</summary>
/// <param name="DiameterCm">Across the top.</param>
/// <param name="HeightCm">From the bottom to the rim.</param>
/// <param name="Kind">In the grower's words: stuff, form, and what it holds below.</param>
public sealed record Pot(double? DiameterCm, double? HeightCm, string? Kind)
{
    /// <summary>The kind that holds water below.</summary>
    public const string Reservoir = "reservoir";

    /// <summary>The kind without drainage.</summary>
    public const string CoverPot = "cover pot";

    /// <summary>What its words say that it is.</summary>
    public PotForm Form => PotForm.Of(Kind);

    /// <summary>How far down the roots have to go: the height, or the diameter where the height was not measured.</summary>
    public double? DepthCm => HeightCm ?? DiameterCm;

    /// <summary>Content in mL of a pot that narrows by a quarter, or null without a diameter.</summary>
    public double? VolumeMl
    {
        get
        {
            if (DiameterCm is not { } top)
                return null;
            var (r, q, h) = (top / 2, top * 0.75 / 2, HeightCm ?? top);
            return Math.PI * h / 3 * ((r * r) + (r * q) + (q * q)); // frustum
        }
    }
}

/// <summary>A part of the plant that is followed on its own, such as the growth of one year.</summary>
public sealed record Organ(string Id, string Kind, string? Label = null, string? Parent = null)
{
    public const string Growth = "growth";
    public const string Bulb = "bulb";
    public const string Roots = "roots";
    public const string Spike = "spike";
    public const string Peduncle = "peduncle";
    public const string Leaf = "leaf";
    public const string Tuber = "tuber";
    public const string Corm = "corm";
    public const string Vine = "vine";

    /// <summary>What an organ can be.</summary>
    public static readonly IReadOnlyList<string> Kinds = [Growth, Bulb, Roots, Spike, Peduncle, Leaf, Tuber, Corm, Vine];

    /// <summary>"spike 2031 b".</summary>
    public string Words =>
        Label is null || Label.StartsWith(Kind, StringComparison.OrdinalIgnoreCase) ? Label ?? $"{Kind} {Id}" : $"{Kind} {Label}";
}

/// <summary>Chosen schools, question to school; compares by content.</summary>
public sealed class Choices(IReadOnlyDictionary<string, string> chosen) : IEquatable<Choices>
{
    /// <summary>Nothing chosen.</summary>
    public static readonly Choices None = new(new Dictionary<string, string>());

    /// <summary>Question to school.</summary>
    public IReadOnlyDictionary<string, string> All { get; } = chosen;

    /// <summary>The school chosen on a question; null for none.</summary>
    public string? For(string question) => All.GetValueOrDefault(question);

    /// <summary>The same with one more.</summary>
    public Choices With(string question, string school) => new(new Dictionary<string, string>(All) { [question] = school });

    /// <summary>The same with another answer to one question; null takes the answer back.</summary>
    public Choices Choose(string question, string? school)
    {
        var chosen = new Dictionary<string, string>(All);
        chosen.Remove(question);
        if (school is not null)
            chosen[question] = school;
        return new(chosen);
    }

    /// <inheritdoc/>
    public bool Equals(Choices? other) =>
        other is not null && All.Count == other.All.Count && All.All(pair => other.For(pair.Key) == pair.Value);

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as Choices);

    /// <inheritdoc/>
    public override int GetHashCode() => All.Count;
}

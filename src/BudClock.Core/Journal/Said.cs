using System.Globalization;

namespace BudClock.Core.Journal;

/// <summary>Facts that an entry can say in words, beside its kind, its number and its organ.</summary>
[Flags]
public enum SaidFacts
{
    /// <summary>None of them.</summary>
    None = 0,

    /// <summary>It was looked for pests, and none was seen.</summary>
    NoneSeen = 1,

    /// <summary>Pests are written to be over, so that one clear look is enough.</summary>
    AllClear = 1 << 1,

    /// <summary>Predators were let loose.</summary>
    Predators = 1 << 2,

    /// <summary>It is algae.</summary>
    Algae = 1 << 3,

    /// <summary>On an eye, a bud or the newest growth.</summary>
    OnNewGrowth = 1 << 4,

    /// <summary>It speaks of roots.</summary>
    OfRoots = 1 << 5,

    /// <summary>Something rots.</summary>
    Rotten = 1 << 6,

    /// <summary>What rotted is cut clean, callused, firm or sound.</summary>
    Clean = 1 << 7,

    /// <summary>It has no live roots.</summary>
    Rootless = 1 << 8,

    /// <summary>It was planted as a cutting, a leaf or a corm.</summary>
    Cutting = 1 << 9,

    /// <summary>Feed that is released slowly.</summary>
    SlowRelease = 1 << 10,

    /// <summary>Into full sun.</summary>
    FullSun = 1 << 11,

    /// <summary>Under a roof.</summary>
    Indoors = 1 << 12,

    /// <summary>Out, or out of doors.</summary>
    Out = 1 << 13,

    /// <summary>It stays in its pot.</summary>
    InThePot = 1 << 14,

    /// <summary>Straight into a store.</summary>
    ToStore = 1 << 15,

    /// <summary>Leaves were rinsed, not the medium.</summary>
    LeafRinse = 1 << 16,

    /// <summary>It is sent to rest.</summary>
    ToRest = 1 << 17,

    /// <summary>Flowers do not come.</summary>
    NoFlowers = 1 << 18,

    /// <summary>The medium was rinsed through, as older logs write a flush.</summary>
    MediumRinse = 1 << 19,

    /// <summary>Its roots were seen, and are alive and firm.</summary>
    SoundRoots = 1 << 20,

    /// <summary>More of it than before.</summary>
    Worse = 1 << 21,

    /// <summary>Under a clear dome, bag or cup.</summary>
    UnderDome = 1 << 22,

    /// <summary>Tips or margins of leaves are brown and crisp.</summary>
    CrispTips = 1 << 23,

    /// <summary>A sheath has turned brown.</summary>
    BrownSheath = 1 << 24,

    /// <summary>Where no rain reaches it.</summary>
    Covered = 1 << 25,

    /// <summary>To be done when it next comes out of its pot.</summary>
    AtRepot = 1 << 26,

    /// <summary>Bare on top, where light does not reach.</summary>
    BaldTop = 1 << 27,

    /// <summary>Long gaps between leaves.</summary>
    Leggy = 1 << 28,

    /// <summary>It stood in a draught.</summary>
    Draught = 1 << 29,
}

/// <summary>
/// What an entry says in words, as structure: read once, kept with the entry in files and in the database, and asked by every rule in
/// place of the words, which stay beside it as they were typed.
/// </summary>
/// <param name="Facts">The facts.</param>
/// <param name="Share">Of the usual, of the label or of what is named: 0.25 for "a quarter of the label"; null for none.</param>
/// <param name="Plan">What the start of a programme plans; null for nothing, and for any other entry.</param>
public sealed record Said(SaidFacts Facts, double? Share = null, ProgrammePlan? Plan = null)
{
    const string ShareWord = "share ";

    static readonly SaidFacts[] All = [.. Enum.GetValues<SaidFacts>().Where(fact => fact is not SaidFacts.None)];

    /// <summary>An entry without words, or with words that say nothing more.</summary>
    public static readonly Said Nothing = new(SaidFacts.None);

    /// <summary>Whether it says so.</summary>
    public bool Has(SaidFacts fact) => Facts.HasFlag(fact);

    /// <summary>As files write it: "none-seen", "on-new-growth", "share 0.25"; empty for nothing.</summary>
    public IReadOnlyList<string> Words =>
        [
            .. All.Where(Has).Select(Name),
            .. Share is { } share ? [string.Create(CultureInfo.InvariantCulture, $"{ShareWord}{share:0.###}")] : (string[])[],
            .. Plan?.Words ?? [],
        ];

    /// <summary>All words that files may write, but for shares.</summary>
    public static IReadOnlyList<string> Known { get; } = [.. All.Select(Name)];

    /// <summary>Reads what a file or the database wrote.</summary>
    /// <param name="words">As <see cref="Words"/> gives them.</param>
    /// <param name="unknown">The first word that says nothing here; null when all were read.</param>
    public static Said Read(IEnumerable<string> words, out string? unknown)
    {
        var said = Nothing;
        unknown = null;
        foreach (var word in words)
            if (Array.FindIndex(All, fact => Name(fact) == word) is >= 0 and var at)
                said = said with { Facts = said.Facts | All[at] };
            else if (
                word.StartsWith(ShareWord, StringComparison.Ordinal)
                && double.TryParse(word[ShareWord.Length..], NumberStyles.Float, CultureInfo.InvariantCulture, out var share)
                && share is > 0 and <= 10
            )
                said = said with { Share = share };
            else if ((said.Plan ?? ProgrammePlan.None).With(word) is { } plan)
                said = said with { Plan = plan };
            else
                unknown ??= word;
        return said;
    }

    static string Name(SaidFacts fact)
    {
        var name = new System.Text.StringBuilder();
        foreach (var letter in fact.ToString())
            name.Append(char.IsUpper(letter) && name.Length > 0 ? "-" : "").Append(char.ToLowerInvariant(letter));
        return name.ToString();
    }
}

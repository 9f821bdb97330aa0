using System.Globalization;
using System.Text.RegularExpressions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Journal;

/// <summary>
/// Reads what the words of an entry say: the one place where words are read. Entries of the note line, of forms, files, CSV and older
/// databases all pass here once.
/// </summary>
static partial class SaidReader
{
    /// <summary>What an entry of a kind says with a text; <see cref="Said.Nothing"/> for a state, and for words that say no more.</summary>
    public static Said Read(EntryKind kind, string? text)
    {
        if (text is null || kind.States.Length > 0)
            return Said.Nothing;
        var facts = Facts(kind, text);
        var share = kind == Fed || kind == Watered || kind == Soaked ? Share(text) : null;
        return Whole(kind, text, facts is SaidFacts.None && share is null ? Said.Nothing : new(facts, share));
    }

    static SaidFacts Facts(EntryKind kind, string text) =>
        kind == EntryKinds.Pest ? Pests(text)
        : kind == Treated ? Pests(text) | If(SaidFacts.Predators, Released().IsMatch(text)) | CutClean(text)
        : kind == Inspected ? Pests(text) | CutClean(text) | FoundRotten(text) | Roots(text)
        : kind == EntryKinds.Rot ? Rotting(text) | If(SaidFacts.Clean, Healed(text))
        : kind == Cut ? CutClean(text)
        : kind == Note
            ? CutClean(text)
                | If(SaidFacts.CrispTips, Crisp().IsMatch(text))
                | If(SaidFacts.BrownSheath, Contains(text, "sheath") && Contains(text, "brown"))
                | If(SaidFacts.Algae, Contains(text, "algae"))
                | If(SaidFacts.BaldTop, Contains(text, "bald"))
                | If(SaidFacts.Leggy, Contains(text, "leggy"))
                | If(SaidFacts.Draught, Contains(text, "draught") || Contains(text, "draft"))
                | If(SaidFacts.NoFlowers, Flowerless(text))
                | If(SaidFacts.AtRepot, NextRepot().IsMatch(text))
        : kind == Acquired || kind == Divided || kind == Repotted ? Roots(text)
        : kind == Planted ? If(SaidFacts.Cutting, StartedSmall().IsMatch(text))
        : kind == Fed ? If(SaidFacts.SlowRelease, Contains(text, "slow"))
        : kind == Moved ? Whither(text)
        : kind == Stored || kind == Lifted
            ? If(SaidFacts.InThePot, Contains(text, "in the pot")) | If(SaidFacts.ToStore, Contains(text, "store"))
        : kind == Rinsed ? If(SaidFacts.LeafRinse, LeafWords().IsMatch(text)) | If(SaidFacts.MediumRinse, MediumWords().IsMatch(text))
        : kind == Flagged ? If(SaidFacts.AtRepot, NextRepot().IsMatch(text))
        : kind == ProgrammeStarted ? If(SaidFacts.ToRest, Contains(text, "rest"))
        : SaidFacts.None;

    static SaidFacts Pests(string text) =>
        If(SaidFacts.NoneSeen, NothingSeen().IsMatch(text))
        | If(SaidFacts.AllClear, PestsOver().IsMatch(text))
        | If(SaidFacts.Algae, Contains(text, "algae"))
        | If(SaidFacts.Worse, MoreOfIt().IsMatch(text))
        | If(SaidFacts.OnNewGrowth, Newest().IsMatch(text));

    /// <summary>An entry of rot shows it, unless it says that there is none, or that it is over.</summary>
    static SaidFacts Rotting(string text) =>
        If(SaidFacts.Rotten, !Denied().IsMatch(text) && (!RotOver().IsMatch(text) || Soft().IsMatch(text)))
        | If(SaidFacts.OfRoots, OfRoots().IsMatch(text));

    static bool Healed(string text) => RotHealed().IsMatch(text) && !Denied().IsMatch(text) && !Soft().IsMatch(text);

    static SaidFacts FoundRotten(string text) =>
        If(SaidFacts.Rotten, Rotten().IsMatch(text) && !Denied().IsMatch(text)) | If(SaidFacts.OfRoots, OfRoots().IsMatch(text));

    static SaidFacts CutClean(string text) => If(SaidFacts.Clean, RotOver().IsMatch(text) && !Denied().IsMatch(text));

    static SaidFacts Roots(string text) =>
        WithoutRoots().IsMatch(text) ? SaidFacts.Rootless : If(SaidFacts.SoundRoots, WithRoots().IsMatch(text));

    static SaidFacts Whither(string text) =>
        If(SaidFacts.FullSun, Contains(text, "full sun"))
        | If(SaidFacts.Indoors, Contains(text, "indoors"))
        | If(SaidFacts.Out, Contains(text, "out"))
        | If(SaidFacts.UnderDome, Dome().IsMatch(text))
        | If(SaidFacts.Covered, Cover().IsMatch(text));

    static bool Flowerless(string text) =>
        (Contains(text, "flower") || Contains(text, "bloom"))
        && (
            Contains(text, "never") || Contains(text, "no ") || Contains(text, "not ") || Contains(text, "n't") || Contains(text, "without")
        );

    static double? Share(string text)
    {
        if (Fraction().Match(text) is not { Success: true } found)
            return null;
        if (found.Groups["percent"] is { Success: true } percent)
            return double.Parse(percent.ValueSpan, CultureInfo.InvariantCulture) / 100 is var share and > 0 and <= 10 ? share : null;
        return found.Groups["word"].Value.ToLowerInvariant() switch
        {
            "½" or "1/2" or "half" => 0.5,
            "¼" or "1/4" or "quarter" => 0.25,
            "¾" or "3/4" or "three quarters" => 0.75,
            "1/8" or "eighth" => 0.125,
            "1/10" or "tenth" => 0.1,
            _ => 0.333,
        };
    }

    static SaidFacts If(SaidFacts fact, bool said) => said ? fact : SaidFacts.None;

    static bool Contains(string text, string word) => text.Contains(word, StringComparison.OrdinalIgnoreCase);

    [GeneratedRegex(
        @"^\s*(no\b|none\b|clear\b|clean\b|gone\b|nothing\b|not? .*(seen|found))|"
            + @"\b(all clear|no pests?|none (seen|found|left)|is clear|are gone)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex NothingSeen();

    [GeneratedRegex(@"\ball clear\b|(?<!\ball )\bover\b", RegexOptions.IgnoreCase)]
    private static partial Regex PestsOver();

    [GeneratedRegex(@"\bpredat\w*|\breleased\b|\bbeneficial|\bnematode", RegexOptions.IgnoreCase)]
    private static partial Regex Released();

    [GeneratedRegex(@"\b(eye|new(est)? (growth|leaf|leaves|shoot)|bud|tip|spike)s?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Newest();

    [GeneratedRegex(@"\b(more|worse|many|everywhere|spread\w*|all over it|swarm\w*)\b", RegexOptions.IgnoreCase)]
    private static partial Regex MoreOfIt();

    [GeneratedRegex(@"\broots?\b", RegexOptions.IgnoreCase)]
    private static partial Regex OfRoots();

    [GeneratedRegex(@"\b(clear|cleared|clean|healed|callused|firm|sound|gone|over)\b", RegexOptions.IgnoreCase)]
    private static partial Regex RotOver();

    /// <summary>Rot that is "gone over to the next bulb", or has left a firm top, is not over.</summary>
    [GeneratedRegex(@"\b(cleared|clean|healed|callused)\b", RegexOptions.IgnoreCase)]
    private static partial Regex RotHealed();

    [GeneratedRegex(@"\b(soft|smell\w*|brown|black|spread\w*|mush\w*)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Soft();

    [GeneratedRegex(@"\b(no|not|never|without|nothing)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Denied();

    [GeneratedRegex(@"\brot(s|ten|ting|ted)?\b|\bmush\w*|\bsoft (base|stem|crown|bulb|tuber|corm)", RegexOptions.IgnoreCase)]
    private static partial Regex Rotten();

    [GeneratedRegex(
        @"\b(no|without|zero|lost (all )?(its |the )?)\s*(live |living |good )?roots?\b(?!\s*(rot|yet lost))|"
            + @"\brootless\b|\bunrooted\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex WithoutRoots();

    [GeneratedRegex(
        @"\b(sound|firm|healthy|good|live|living|white|pale|fine|plenty of|strong|many|\d+)( \w+){0,2} roots?\b(?!\s*rot)|"
            + @"\broots? (are |were |is |was |look(ed)? |all )*(sound|firm|healthy|good|white|alive|fine|ok(ay)?)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex WithRoots();

    [GeneratedRegex(@"\b(crisp\w*|brown|dry) (leaf )?(tips?|edges?|margins?)\b|\btips? (\w+ ){0,2}(crisp|brown)", RegexOptions.IgnoreCase)]
    private static partial Regex Crisp();

    [GeneratedRegex(@"\b(under|in|inside) (a |the |its )?(\w+ ){0,2}(dome|bag|cup|propagator|cloche)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Dome();

    [GeneratedRegex(
        @"\b(eaves|under (a )?(cover|roof|glass)|out of the rain|from (the )?rain|porch|veranda|indoors|inside|shed|carport|awning)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Cover();

    [GeneratedRegex(
        @"\b(at|with|on|for) (the |its )?next repot\w*|\bwhen (it is |i |you )?(next )?repot\w*|"
            + @"\bwhile (i am |you are |we are )?in there\b|"
            + @"\bnext time (it is |it's |i am |you are |we are )?(out of|in) (the|its|there)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex NextRepot();

    [GeneratedRegex(@"\bcuttings?\b|\bleaf\b|\bcorm", RegexOptions.IgnoreCase)]
    private static partial Regex StartedSmall();

    [GeneratedRegex(
        @"\b(leaf|leaves|foliage|fronds?|dust|pests?|bugs?|aphids?|mites?|scale|thrips|meal(y|ies)|soap|off)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex LeafWords();

    [GeneratedRegex(@"\bflush\w*|\bsalts?\b|\bmedium\b|\bthrough\b|\bfrom the top\b|\bleach\w*|\bpot\b", RegexOptions.IgnoreCase)]
    private static partial Regex MediumWords();

    [GeneratedRegex(
        @"\b(?<percent>\d{1,3}(\.\d+)?) ?%|(?<word>[½¼¾]|(?<!\d)(1/2|1/3|1/4|1/8|1/10|3/4)(?!\d)|"
            + @"\bthree quarters\b|\b(half|quarter|third|eighth|tenth)\b)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Fraction();
}

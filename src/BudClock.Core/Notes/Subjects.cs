using System.Text.RegularExpressions;

namespace BudClock.Core.Notes;

/// <summary>Where a line names what it is about.</summary>
sealed record Subject(int Start, int End, IReadOnlyList<string> Tags)
{
    /// <summary>What was written, where it was not the tag itself: it is said in the reading.</summary>
    public string? Heard { get; init; }

    /// <summary>Several plants fit and one is meant: the line asks.</summary>
    public bool Which { get; init; }

    /// <summary>The code of the place that is named; null for plants.</summary>
    public string? Place { get; init; }

    /// <summary>A place that stands for all plants in it, and not only for a reading.</summary>
    public bool Whole { get; init; }
}

/// <summary>
/// Finds plants and places in a line, wherever they stand: "lyc1", "l y c one", "sai-03/04", "the yellow lycaste", "south bench".
/// </summary>
sealed partial class Subjects
{
    const int LongestName = 5;

    readonly string line;
    readonly SubjectIndex index;
    readonly List<(string Text, int Start, int End)> words;

    Subjects(string line, SubjectIndex index)
    {
        (this.line, this.index) = (line, index);
        words = [.. Word().Matches(line).Select(m => (m.Value.ToLowerInvariant().Replace('’', '\''), m.Index, m.Index + m.Length))];
    }

    /// <summary>All names in the line, in order, none overlapping.</summary>
    public static IReadOnlyList<Subject> Find(string line, SubjectIndex index) => new Subjects(line, index).Find();

    IReadOnlyList<Subject> Find()
    {
        var found = new List<Subject>();
        for (var at = 0; at < words.Count; )
        {
            if (NoteWord().IsMatch(words[at].Text) && !line.AsSpan(words[at].End).TrimStart().StartsWith("\""))
                break;
            if (Quoted(words[at].Start))
            {
                at++;
                continue;
            }
            var (subject, next) = Plant(at, found.Count > 0);
            if (subject is null)
            {
                at++;
                continue;
            }
            found.Add(subject);
            at = Followers(subject, next, found);
        }
        return found.Count > 0 ? found : Places();
    }

    /// <summary>Inside quotation marks nothing is a name.</summary>
    bool Quoted(int start) =>
        line.AsSpan(0, start).Count('"') % 2 == 1 && line.IndexOf('"', start) >= 0 && !Inches().IsMatch(line[..start]);

    (Subject? Subject, int Next) Plant(int at, bool later)
    {
        if (Tagged(at) is { Subject: { } tagged } tag)
            return (tagged, tag.Next);
        if (Named(at) is { Subject: { } named } name)
            return (named, name.Next);
        return later || at > 1 ? (null, at) : Spoken(at);
    }

    (Subject? Subject, int Next) Tagged(int at)
    {
        var (text, start, end) = words[at];
        if (index.Tag(text) is { } exact)
            return (new(start, end, [exact]), at + 1);
        if (text.Any(char.IsDigit) && text.Any(char.IsLetter) && index.Spelled(SubjectIndex.Spelling(text)) is { } spelled)
            return (new(start, end, [spelled]), at + 1);
        for (var (last, key) = (at + 1, text.Trim('-')); last < words.Count && last < at + 6 && Beside(last); last++)
        {
            if (Number(words[last].Text) is { } number)
                return index.Spelled(SubjectIndex.Spelling(key) + number) is { } tag
                    ? (new(start, words[last].End, [tag]) { Heard = Said(start, words[last].End, tag) }, last + 1)
                    : (null, at);
            if (words[last].Text.Length > 1 || text.Length > 1)
                break;
            key += words[last].Text;
        }
        return (null, at);
    }

    /// <summary>"lick one" sounds like LYC-01: the number must be right, and only one tag may sound so.</summary>
    (Subject? Subject, int Next) Spoken(int at)
    {
        var (text, start, _) = words[at];
        if (at + 1 >= words.Count || !Beside(at + 1) || Number(words[at + 1].Text) is not { } number || !text.All(char.IsAsciiLetter))
            return (null, at);
        if (Lexicon.Shipped.Begins(text) || text.Length < 2)
            return (null, at);
        var sounds = index
            .Tags.Where(tag =>
                Split().Match(tag) is { Success: true } parts
                && parts.Groups["number"].Value.TrimStart('0') == number
                && Soundex.Of(parts.Groups["letters"].Value) == Soundex.Of(text)
            )
            .Select(tag => index.Tag(tag)!)
            .Distinct()
            .Take(2)
            .ToList();
        var end = words[at + 1].End;
        return sounds is [var one] ? (new(start, end, [one]) { Heard = Said(start, end, one) }, at + 2) : (null, at);
    }

    (Subject? Subject, int Next) Named(int at)
    {
        var first = at;
        var (all, article) = (false, false);
        while (first < words.Count - 1 && words[first].Text is "the" or "all" or "both" or "every" or "my" or "our")
        {
            all |= words[first].Text is "all" or "both" or "every";
            article |= words[first].Text is "the" or "my" or "our";
            first++;
        }
        for (var length = Math.Min(LongestName, words.Count - first); length > 0; length--)
        {
            if (!Together(first, length))
                continue;
            var run = words.Skip(first).Take(length).Select(word => word.Text).ToList();
            var plants = index.Named(run);
            if (plants.Count > 0 && Fits(run, plants, first + length))
                return (Mean(at, first, length, run, plants, all, article), first + length);
        }
        return (null, at);
    }

    Subject Mean(int at, int first, int length, List<string> run, IReadOnlyList<NamedPlant> plants, bool all, bool article)
    {
        var (start, end) = (words[at].Start, words[first + length - 1].End);
        var exact = plants.Where(plant => SubjectIndex.WordsOf(plant.Name).SequenceEqual(run)).ToList();
        if (exact is [var only] && !all)
            plants = [only];
        var plural = SubjectIndex.Singular(run[^1]) != run[^1];
        var whole =
            plants.Count == 1
            || all
            || (plural && index.IsKind(string.Join(' ', run)))
            || (!article && index.IsKind(string.Join(' ', run)));
        return new(start, end, [.. plants.Select(plant => plant.Tag)])
        {
            Which = !whole,
            Heard = plants.Count == 1 ? Said(start, end, plants[0].Tag) : null,
        };
    }

    /// <summary>A name ends in a word that names; "lycaste yellow leaf" is a leaf, and no yellow lycaste.</summary>
    bool Fits(List<string> run, IReadOnlyList<NamedPlant> plants, int next)
    {
        if (!run.Exists(index.IsHead))
            return false;
        if (index.IsHead(run[^1]))
            return true;
        for (var from = 0; from < run.Count; from++)
            if (index.IsKind(string.Join(' ', run.Skip(from))))
                return true;
        return plants.Any(plant => SubjectIndex.WordsOf(plant.Name).SequenceEqual(run))
            && (
                !SubjectIndex.Describes(run[^1])
                || next >= words.Count
                || !Beside(next)
                || !Lexicon.Shipped.Begins(words[next].Text)
                || Unit.Find(words[next].Text) is not null
            );
    }

    /// <summary>"sai-03/04", "pin-01, 02", "lyc-01 and 04": numbers behind a tag, with its letters.</summary>
    int Followers(Subject subject, int next, List<Subject> found)
    {
        if (subject.Tags is not [var tag] || subject.Place is not null || Split().Match(tag) is not { Success: true } parts)
            return next;
        while (next < words.Count && Follows().Match(line[found[^1].End..]) is { Success: true } match)
        {
            var number = match.Groups["number"];
            if (index.Spelled(SubjectIndex.Spelling(parts.Groups["letters"].Value + number.Value)) is not { } other)
                return next;
            var end = found[^1].End + number.Index + number.Length;
            found.Add(new(found[^1].End + number.Index, end, [other]));
            while (next < words.Count && words[next].Start < end)
                next++;
        }
        return next;
    }

    /// <summary>A place is meant where no plant is: at the beginning, behind "everything on", or with a reading.</summary>
    List<Subject> Places()
    {
        for (var at = 0; at < words.Count; at++)
            foreach (var (name, place) in index.Places.SelectMany(Names).OrderByDescending(pair => pair.Name.Length))
            {
                if (!Starts(at, name) || (at > 0 && words[at - 1].Text is "to" or "from" or "into" or "onto"))
                    continue;
                var first = at;
                while (first > 0 && words[first - 1].Text is "the" or "on" or "in" or "at" or "of")
                    first--;
                var everything = first > 0 && words[first - 1].Text is "everything" or "all" or "plants";
                while (first > 0 && words[first - 1].Text is "everything" or "all" or "plants")
                    first--;
                return
                [
                    new(words[first].Start, words[LastOf(at, name)].End, place.Tags)
                    {
                        Place = place.Code,
                        Whole = everything || first == 0,
                    },
                ];
            }
        return [];
    }

    IEnumerable<(string Name, NamedPlace Place)> Names(NamedPlace place)
    {
        string[] name = [.. Word().Matches(place.Name.ToLowerInvariant().Replace('-', ' ')).Select(m => m.Value)];
        yield return (string.Join(' ', name), place);
        yield return (place.Code.ToLowerInvariant(), place);
        if (name.Length > 1 && index.Places.Count(other => other.Name.EndsWith(name[^1], StringComparison.OrdinalIgnoreCase)) == 1)
            yield return (name[^1], place);
    }

    /// <summary>The word that a name ends in: "potting-room sill" is two words here, three in the name.</summary>
    int LastOf(int at, string name)
    {
        for (var parts = name.Split(' ').Length; ; at++)
            if ((parts -= words[at].Text.Split('-').Length) <= 0)
                return at;
    }

    bool Starts(int at, string name)
    {
        var parts = name.Split(' ');
        var here = words.Skip(at).Take(parts.Length).SelectMany(word => word.Text.Split('-')).Take(parts.Length);
        return here.SequenceEqual(parts);
    }

    bool Together(int first, int length)
    {
        for (var i = first + 1; i < first + length; i++)
            if (!Beside(i) && line[words[i - 1].End..words[i].Start].Trim() != ",")
                return false;
        return true;
    }

    /// <summary>Only spaces lie between a word and the one before it.</summary>
    bool Beside(int at) => string.IsNullOrWhiteSpace(line[words[at - 1].End..words[at].Start]);

    string? Said(int start, int end, string tag) =>
        SubjectIndex.Spelling(line[start..end]) == SubjectIndex.Spelling(tag) ? null : line[start..end];

    static string? Number(string word) =>
        word.All(char.IsAsciiDigit) ? word.TrimStart('0')
        : SpokenNumbers.Value(word) is { } value ? $"{value}"
        : null;

    [GeneratedRegex(@"[\p{L}\p{N}]['’\p{L}\p{N}-]*", RegexOptions.CultureInvariant)]
    private static partial Regex Word();

    [GeneratedRegex(@"^(?<letters>[A-Za-z]+)-?(?<number>[0-9]+)$", RegexOptions.CultureInvariant)]
    private static partial Regex Split();

    [GeneratedRegex(
        @"^(?:\s*/\s*(?<number>[0-9]{1,3})|\s*(?:,|&|\+|and)\s*(?<number>0[0-9]{1,2}))(?![\w.,/]*[0-9]|\s*(?:cm|mm|in|ml|l|g)\b)",
        RegexOptions.CultureInvariant | RegexOptions.IgnoreCase
    )]
    private static partial Regex Follows();

    [GeneratedRegex(@"^(note|nb|remark|memo)$", RegexOptions.CultureInvariant)]
    private static partial Regex NoteWord();

    [GeneratedRegex("[0-9½¼¾]\"[^\"]*$", RegexOptions.CultureInvariant)]
    private static partial Regex Inches();
}

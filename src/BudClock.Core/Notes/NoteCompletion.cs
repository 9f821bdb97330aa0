namespace BudClock.Core.Notes;

/// <summary>How a line could go on.</summary>
/// <param name="Words">What the button says.</param>
/// <param name="Line">The whole line with it.</param>
public sealed record Completion(string Words, string Line);

/// <summary>
/// What the end of a line could become: tags, names and places where a plant is wanted, then the words that fit the plant, the likely
/// first, recipes and batches. The first one is what Tab takes.
/// </summary>
public static class NoteCompletion
{
    const int Most = 6;
    const int LongestPhrase = 3;

    /// <summary>The completions of a line; none where nothing fits.</summary>
    public static IReadOnlyList<Completion> Of(string line, NoteContext context)
    {
        if (line.Length is 0 or > EntryCheck.LongestText)
            return [];
        var subjects = Subjects.Find(line, context.Index);
        var fresh = char.IsWhiteSpace(line[^1]);
        var words = line.Split((char[])[' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries);
        if (subjects.Count == 0)
            return fresh || words.Length == 0 ? [] : [.. Subjected(line, words, context).Take(Most)];
        if (subjects[^1].End == line.Length)
            return [.. Longer(line, subjects[^1], context).Take(Most)];
        if (fresh || words.Length == 0)
            return string.IsNullOrWhiteSpace(line[subjects[^1].End..]) ? [.. Likely(line, subjects[^1], context).Take(Most)] : [];
        return [.. Phrases(line, words, subjects[^1], context).DistinctBy(c => c.Line.TrimEnd()).Take(Most)];
    }

    static IEnumerable<Completion> Subjected(string line, string[] words, NoteContext context)
    {
        var last = words[^1];
        var index = context.Index;
        var tags = index.Tags.Where(tag => Begins(tag, last)).Order(StringComparer.OrdinalIgnoreCase);
        var names = index
            .Plants.Where(plant => !plant.Gone && SubjectIndex.WordsOf($"{plant.Name} {plant.Taxon}").Any(word => Begins(word, last)))
            .Select(plant => plant.Tag);
        foreach (var tag in tags.Concat(names).Distinct().Take(Most))
            yield return Ended(
                line,
                last,
                tag,
                index.Plants.FirstOrDefault(plant => plant.Tag == tag)?.Name is { } name ? $"{tag} {name}" : tag
            );
        foreach (var place in index.Places.Where(place => Begins(place.Name, last)))
            yield return Ended(line, last, $"{place.Name}:", place.Name);
        foreach (var phrase in Known(last))
            yield return Ended(line, last, phrase, phrase);
        if ((Slips.NearTag(last, index) ?? Slips.NearName(last, index)) is { } near)
            yield return Ended(line, last, near, near);
    }

    /// <summary>"lyc-1" may still become LYC-12.</summary>
    static IEnumerable<Completion> Longer(string line, Subject subject, NoteContext context)
    {
        var written = line[subject.Start..subject.End];
        var places = context.Index.Places.Where(place => subject.Place is not null && Begins(place.Name, written));
        return context
            .Index.Tags.Where(tag => Begins(tag, written) && tag.Length > written.Length)
            .Order(StringComparer.OrdinalIgnoreCase)
            .Select(tag => Ended(line, written, tag, tag))
            .Concat(places.Select(place => Ended(line, written, $"{place.Name}:", place.Name)));
    }

    static IEnumerable<Completion> Likely(string line, Subject subject, NoteContext context) =>
        subject.Tags is [var tag] ? context.Likely(tag).Select(words => new Completion(words, line + words)) : [];

    static IEnumerable<Completion> Phrases(string line, string[] words, Subject subject, NoteContext context)
    {
        // The longest end of the line that begins something known is what is being written.
        var likely = subject.Tags is [var tag] ? context.Likely(tag) : [];
        var written = words.Where(word => line.LastIndexOf(word, StringComparison.Ordinal) >= subject.End).ToArray();
        for (var length = Math.Min(LongestPhrase, written.Length); length > 0; length--)
        {
            var end = string.Join(' ', written[^length..]);
            if (!line.EndsWith(end, StringComparison.Ordinal))
                continue;
            foreach (var phrase in likely.Concat(Known(end)).Concat(Mixes(end, context)).Where(phrase => Begins(phrase, end)))
                yield return Ended(line, end, phrase, phrase);
        }
        if (written.Length > 0 && written[^1].Length > 3 && !Lexicon.Shipped.Begins(written[^1].ToLowerInvariant()))
            foreach (var near in Slips.Near(written[^1].ToLowerInvariant()))
                yield return Ended(line, written[^1], near, near);
    }

    static IEnumerable<string> Known(string begun) =>
        Lexicon
            .Shipped.Phrases.Where(phrase => Begins(phrase, begun) && phrase.Length > begun.Length && begun.Length > 1 && !IsName(phrase))
            .OrderBy(phrase => phrase.Length)
            .ThenBy(phrase => phrase, StringComparer.Ordinal);

    /// <summary>"spike-kept" is what files call it; people write "spike kept".</summary>
    static bool IsName(string phrase) =>
        phrase.Contains('-') && EntryKinds.Find(phrase) is { } kind && !kind.Words.Equals(phrase, StringComparison.OrdinalIgnoreCase);

    static IEnumerable<string> Mixes(string begun, NoteContext context) =>
        context.Mixes.Concat(context.Batches.Select(code => $"#{code}")).Where(name => Begins(name, begun));

    static bool Begins(string whole, string begun) => whole.StartsWith(begun, StringComparison.OrdinalIgnoreCase);

    static Completion Ended(string line, string begun, string word, string words) =>
        new(words, $"{line[..^begun.Length]}{word.TrimEnd()} ");
}

namespace BudClock.Core.Notes;

/// <summary>
/// Slips of the pen: a word that the line does not know is read as the near word that makes sense of its clause. The only one is taken
/// and said; of several the line asks.
/// </summary>
static class Slips
{
    const int ShortestWord = 4;
    const int LongWord = 8;
    const int MostCandidates = 8;

    /// <summary>The clause with its slip mended, where that can be done; else as it was.</summary>
    public static Clause Mend(
        string line,
        List<Token> tokens,
        NoteContext context,
        IReadOnlyList<string> tags,
        Found? before,
        Clause clause,
        List<Taken> taken
    )
    {
        foreach (var at in Enumerable.Range(0, tokens.Count).Where(i => Unknown(tokens[i], clause)))
            if (Mended(at) is { } mended)
                return mended;
        return clause;

        Clause? Mended(int at) => Mend(line, tokens, at, context, tags, before, taken);
    }

    static Clause? Mend(
        string line,
        List<Token> tokens,
        int at,
        NoteContext context,
        IReadOnlyList<string> tags,
        Found? before,
        List<Taken> taken
    )
    {
        var written = tokens[at].Text;
        var readings = new List<(string Word, Clause Read)>();
        foreach (var word in Near(written))
        {
            List<Token> mended = [.. tokens];
            mended[at] = tokens[at] with { Text = word };
            var read = ClauseReader.Read(line, new ItemReader(mended, context, tags).Read(), context, tags, before);
            if (read is { Whole: true, Empty: false, Thought: false })
                readings.Add((word, read));
        }
        var different = readings.DistinctBy(reading => Meaning(reading.Read)).ToList();
        if (different.Count == 0)
            return null;
        if (different is [var only])
        {
            taken.Add(new(line[tokens[at].Start..tokens[at].End], only.Word));
            return only.Read;
        }
        var asked = new Clause();
        asked.Doubts.Add(
            new(
                written,
                $"\"{written}\" is near to several words.",
                tokens[at].Start,
                tokens[at].End,
                [.. different.Select(d => (d.Word, d.Word))]
            )
        );
        return asked;
    }

    /// <summary>The tag near to a word; null where none is.</summary>
    public static string? NearTag(string word, SubjectIndex index) =>
        Nearest.To(word, index.Tags) is { } tag
        && Nearest.Steps(word.ToLowerInvariant(), tag.ToLowerInvariant()) <= (tag.Length >= LongWord ? 2 : 1)
            ? tag
            : null;

    /// <summary>The name of a plant near to a word; null where none or several are.</summary>
    public static string? NearName(string word, SubjectIndex index) =>
        word.Length > ShortestWord + 1
        && Nearest.All(word, index.Heads).Where(head => Slipped(word.ToLowerInvariant(), head)).Take(2).ToList() is [var only]
            ? only
            : null;

    static bool Unknown(Token token, Clause clause) =>
        token.Kind is TokenKind.Word
        && token.Text.Length >= ShortestWord
        && !Lexicon.Shipped.Begins(token.Text)
        && !Lexicon.Shipped.MeansItself(token.Text)
        && !NoteDates.Words.Contains(token.Text)
        && clause.Unread.Exists(u => u.Start <= token.Start && u.Start + u.Fragment.Length >= token.End);

    /// <summary>The words of the line that a word can have been meant for.</summary>
    public static IEnumerable<string> Near(string written) =>
        written.Length < ShortestWord
            ? []
            : Nearest
                .All(written, Lexicon.Shipped.Single.Concat(NoteDates.Words).Distinct())
                .Where(word => Slipped(written, word))
                .Take(MostCandidates);

    /// <summary>A pen slips on one letter of a short word and two of a long one, and seldom on the first.</summary>
    static bool Slipped(string written, string word) =>
        Nearest.Steps(written, word) <= (written.Length >= LongWord ? 2 : 1)
        && !(written.Length > word.Length + 1 && written.StartsWith(word, StringComparison.Ordinal)) // "completely" is a word of its own
        && (written[0] == word[0] || (written[0] == word[1] && written[1] == word[0]));

    static string Meaning(Clause clause) =>
        string.Join('|', clause.Found.Select(f => (f.Kind, f.Amount, f.Text, f.Organ, f.Mix).ToString()))
        + string.Join('|', clause.Days)
        + string.Join('|', clause.Doubts.Select(d => d.Ask + d.Entry));
}

namespace BudClock.Core.Notes;

/// <summary>The plants of a part of the line, with what is said of them.</summary>
/// <param name="Loose">It is parted from the one before by a comma or nothing, so a day at the end of the line is for both.</param>
sealed record Segment(IReadOnlyList<Subject> Subjects, List<Token> Content, bool Loose)
{
    /// <summary>"watered lyc-04, cal-02 dry": something before the plants and something else behind them.</summary>
    public bool Mixed { get; init; }

    /// <summary>The plants that are meant, each once.</summary>
    public IReadOnlyList<string> Tags => [.. Subjects.SelectMany(subject => subject.Tags).Distinct()];

    /// <summary>The place that was named first; null where none was.</summary>
    public string? Place => Subjects.Select(subject => subject.Place).FirstOrDefault(place => place is not null);

    /// <summary>Whether all plants of each named place are meant.</summary>
    public bool Whole => Subjects.All(subject => subject.Place is null || subject.Whole);

    /// <summary>Where the first of the names begins in the line.</summary>
    public int Start => Subjects[0].Start;

    /// <summary>The names as they were written.</summary>
    public string Named(string line) => line[Subjects[0].Start..Subjects[^1].End];
}

/// <summary>
/// Parts a line into plants and what is said of them: "lyc-01 roots 10 cm; lyc-04 roots 8 cm" as well as "watered cli-01, fed cal-02".
/// </summary>
sealed class Segments
{
    static readonly HashSet<string> Joins = ["and", "&", "+", "/", "-", "with", "plus", "or", "to"];

    readonly IReadOnlyList<Subject> subjects;
    readonly string line;

    /// <summary>What stands before the first plant, where that is only a day.</summary>
    public IReadOnlyList<Token> Lead { get; private set; } = [];

    /// <summary>The groups, in the order of the line.</summary>
    public List<Segment> Groups { get; } = [];

    Segments(IReadOnlyList<Subject> subjects, string line) => (this.subjects, this.line) = (subjects, line);

    /// <summary>Parts a line into groups of plants with what is said of each.</summary>
    public static Segments Of(List<Token> tokens, IReadOnlyList<Subject> subjects, string line)
    {
        var segments = new Segments(subjects, line);
        segments.Part([.. tokens.Where(token => !subjects.Any(s => token.Start < s.End && token.End > s.Start))]);
        return segments;
    }

    void Part(List<Token> tokens)
    {
        if (subjects.Count == 0)
        {
            Lead = tokens;
            return;
        }
        // Runs of plants with only joining words between them are one subject.
        var runs = new List<List<Subject>>();
        var between = new List<List<Token>>();
        var lead = Between(tokens, 0, subjects[0].Start);
        foreach (var (index, subject) in subjects.Index())
        {
            var gap = index == 0 ? [] : Between(tokens, subjects[index - 1].End, subject.Start);
            if (index > 0 && gap.TrueForAll(IsJoin))
                runs[^1].Add(subject);
            else
            {
                if (index > 0)
                    between.Add(gap);
                runs.Add([subject]);
            }
        }
        between.Add(Between(tokens, subjects[^1].End, line.Length));
        if (lead.TrueForAll(token => IsJoin(token) || token.Is("on") || token.Is("for") || token.Is(":")) || OnlyDay(lead))
            NamesFirst(lead, runs, between);
        else
            ContentFirst(lead, runs, between);
    }

    void NamesFirst(List<Token> lead, List<List<Subject>> runs, List<List<Token>> between)
    {
        Lead = lead;
        for (var i = 0; i < runs.Count; i++)
            Groups.Add(new(runs[i], between[i], i > 0 && Loosely(between[i - 1])));
    }

    /// <summary>"watered cli-01 200 ml, fed cal-02": what follows the last break before a plant belongs to that plant.</summary>
    void ContentFirst(List<Token> lead, List<List<Subject>> runs, List<List<Token>> between)
    {
        var content = lead;
        for (var i = 0; i < runs.Count; i++)
        {
            var (own, next) = i == runs.Count - 1 ? (between[i], []) : AtBreak(between[i]);
            var mixed = runs[i].Count > 1 && content.Count > 0 && Says(own);
            Groups.Add(new(runs[i], [.. content, .. own], i > 0 && Loosely(between[i - 1])) { Mixed = mixed });
            content = next;
        }
    }

    /// <summary>More is said behind the plants than how and how much: of which of them?</summary>
    static bool Says(List<Token> tokens)
    {
        for (var at = 0; at < tokens.Count; )
        {
            if (Lexicon.Shipped.Longest(tokens.ToArray().AsSpan(at)) is not { } word)
            {
                at++;
                continue;
            }
            if (!word.Is(Lexicon.How) && (word.Signs.Count > 0 || word.Act is not null || word.Event is not null))
                return true;
            at += word.Split.Length;
        }
        return false;
    }

    static (List<Token> Own, List<Token> Next) AtBreak(List<Token> tokens)
    {
        var at = tokens.FindLastIndex(token => token.Kind is TokenKind.Break || token.Is("and") || token.Is("then") || token.Is("&"));
        return at < 0 ? ([], tokens) : (tokens[..at], tokens[(at + 1)..]);
    }

    static bool Loosely(List<Token> tokens) => !tokens.Exists(token => token is { Kind: TokenKind.Break, Text: ";" or "." or "\n" });

    /// <summary>A comma joins plants to one subject; what stands behind a semicolon or a full stop is a sentence of its own.</summary>
    static bool IsJoin(Token token) =>
        token is { Kind: TokenKind.Break, Text: "," } || (token.Kind is TokenKind.Word && Joins.Contains(token.Text));

    static bool OnlyDay(List<Token> tokens)
    {
        var rest = tokens.Where(token => token.Kind is not TokenKind.Break && !token.Is(":")).ToArray();
        return rest.Length > 0 && NoteDates.InFront(rest, DateOnly.MaxValue.AddYears(-1)) is not null;
    }

    static List<Token> Between(List<Token> tokens, int from, int to) => tokens.FindAll(token => token.Start >= from && token.End <= to);
}

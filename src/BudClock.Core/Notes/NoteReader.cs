namespace BudClock.Core.Notes;

/// <summary>
/// Reads a typed line such as "lyc-01 roots 11cm, bulbs wrinkled yesterday": plants by tag, name, genus or place, and what was seen or
/// done, in any order. It never throws and never guesses: what can mean two things is asked, what is unlikely for the plant is asked
/// once, and what it cannot read it gives back with the nearest thing known.
/// </summary>
/// <remarks>
/// A date at the beginning or the end of a line, or in a clause of its own, belongs to the whole line; one in between belongs to its
/// clause. A comma between digits is a decimal comma, but before three digits. A bare number is in the garden's units.
/// </remarks>
public sealed class NoteReader
{
    readonly string line;
    readonly NoteContext context;
    readonly List<Unread> unread = [];
    readonly List<NoteQuestion> questions = [];
    readonly List<Taken> taken = [];
    readonly List<PlaceReading> readings = [];

    NoteReader(string line, NoteContext context) => (this.line, this.context) = (line, context);

    /// <summary>What a note says, or what in it was not understood, with its place.</summary>
    public static ReadNote Read(string line, NoteContext context)
    {
        if (line.Length > EntryCheck.LongestText)
            return new(line, [], [new(0, "", TooLong(line))]);
        return string.IsNullOrWhiteSpace(line) ? new(line, [], []) : new NoteReader(line, context).Read();
    }

    /// <summary>What a line says of plants that are chosen already, so that it names none.</summary>
    public static ReadNote Read(string line, IReadOnlyList<string> tags, NoteContext context)
    {
        if (line.Length > EntryCheck.LongestText)
            return new(line, [], [new(0, "", TooLong(line))]);
        return new NoteReader(line, context).Read([new Subject(0, 0, tags)]);
    }

    static string TooLong(string line) =>
        $"A note holds at most {EntryCheck.LongestText} characters; this one has {line.Length}. Shorten it, or log it in parts.";

    ReadNote Read() => Read(Subjects.Find(line, context.Index));

    ReadNote Read(IReadOnlyList<Subject> subjects)
    {
        var segments = Segments.Of(SpokenNumbers.Heard(Tokens.Of(line, 0)), subjects, line);
        if (subjects.Count == 0)
            return Nameless(segments);
        foreach (var subject in subjects.Where(s => s.Heard is not null))
            taken.Add(new(subject.Heard!, subject.Tags[0]));
        foreach (var subject in subjects.Where(s => s.Which))
            AskWhich(subject);

        var groups = new List<NoteGroup>();
        var shared = DaysOf(segments.Lead);
        var read = new List<GroupRead>();
        var said = Without(subjects);
        foreach (var segment in segments.Groups)
            read.Add(
                GroupReader.Read(said, segment, context, read.Count > 0 ? read[^1].Clauses.SelectMany(c => c.Found).LastOrDefault() : null)
            );
        var last = read.Count > 0 && segments.Groups[^1].Loose ? read[^1].Trailing : null;
        foreach (var group in read)
            Finish(group, DayFor(group), groups);
        var note = new ReadNote(line, groups, unread)
        {
            Questions = questions,
            Readings = readings,
            Taken = taken,
        };
        return note.Complete ? note : note with { AsNote = AsNote(read, groups, DayFor) };

        DateOnly DayFor(GroupRead group) => shared ?? (group == read[^1] ? null : last) ?? context.Today;
    }

    /// <summary>The line with blanks for the plants in it, so that no text of an entry swallows one.</summary>
    string Without(IReadOnlyList<Subject> subjects)
    {
        var letters = line.ToCharArray();
        foreach (var subject in subjects)
            letters.AsSpan(subject.Start..subject.End).Fill(' ');
        return new(letters);
    }

    void Finish(GroupRead group, DateOnly day, List<NoteGroup> groups)
    {
        taken.AddRange(group.Taken);
        if (group.Readings is { Count: > 0 } found)
        {
            readings.AddRange(found);
            return;
        }
        var drafts = group.Drafts(day);
        foreach (var clause in group.Clauses)
        {
            unread.AddRange(clause.Unread.Select(AsTyped));
            foreach (var doubt in clause.Doubts)
                questions.Add(Question(doubt));
        }
        if (group.Segment.Mixed)
            unread.Add(new(group.Segment.Start, group.Segment.Named(line), "Which plant is which? Say it for each by itself."));
        if (drafts.Count == 0 && group.Clauses.TrueForAll(c => c is { Unread.Count: 0, Doubts.Count: 0 }))
            unread.Add(new(group.Segment.Start, group.Segment.Named(line), "What did you see or do?"));
        groups.Add(new(group.Segment.Tags, drafts));
        foreach (var tag in group.Segment.Tags)
        {
            AskOrgans(group, tag, drafts);
            foreach (var doubt in Doubts.Of(group, drafts, tag, context, line))
                if (questions.TrueForAll(q => q.Entry != doubt.Entry || q.Ask != doubt.Ask))
                    questions.Add(Question(doubt));
        }
    }

    /// <summary>A piece with what stands in it of a plant's name.</summary>
    Unread AsTyped(Unread piece)
    {
        var typed = line.Substring(piece.Start, piece.Fragment.Length);
        return piece with { Fragment = typed, Why = piece.Why.Replace($"\"{piece.Fragment}\"", $"\"{typed}\"", StringComparison.Ordinal) };
    }

    NoteQuestion Question(Doubt doubt) =>
        new(doubt.Entry, [.. doubt.Answers.Select(answer => new NoteAnswer(answer.Words, Instead(doubt, answer.Instead)))], doubt.Ask);

    string Instead(Doubt doubt, string written) => $"{line[..doubt.Start]}{written}{line[doubt.End..]}";

    void AskWhich(Subject subject)
    {
        const int most = 6;
        var named = line[subject.Start..subject.End];
        var answers = subject
            .Tags.Take(most)
            .Select(tag => new NoteAnswer(tag, $"{line[..subject.Start]}{tag}{line[subject.End..]}"))
            .Append(new($"all {subject.Tags.Count}", $"{line[..subject.Start]}{string.Join(", ", subject.Tags)}{line[subject.End..]}"));
        questions.Add(new(named, [.. answers], $"Which {named}?"));
    }

    /// <summary>Which organ was meant, where a plant has several under way. With several plants nothing can be asked.</summary>
    void AskOrgans(GroupRead group, string tag, IReadOnlyList<EntryDraft> drafts)
    {
        foreach (var question in context.Books(tag)?.Place(drafts).Questions ?? [])
        {
            var (entry, end) = (drafts[question.Index], group.Found(question.Index).End);
            if (group.Segment.Tags.Count == 1)
                questions.Add(
                    new(
                        entry.Words,
                        [.. question.Choices.Select(choice => new NoteAnswer(choice.Words, line.Insert(end, $" #{choice.Reference}")))]
                    )
                );
            else
                unread.Add(
                    new(
                        0,
                        tag,
                        $"\"{tag}\" has several parts that this could mean: "
                            + $"{string.Join("; ", question.Choices.Select(c => c.Words))}. Write it for one plant at a time."
                    )
                );
        }
    }

    /// <summary>Which word should have been a plant: the first that the line knows nothing of.</summary>
    ReadNote Nameless(Segments segments)
    {
        if (PlaceReadings.Wanting(segments.Lead, context) is { Count: > 0 } temperature)
            return new(line, [], []) { Questions = [new(line.Trim(), [.. context.Index.Places.Select(p => At(p))], "At which place?")] };
        var words = line.Split((char[])[' ', ',', ':', ';'], StringSplitOptions.RemoveEmptyEntries);
        var word = words.FirstOrDefault(w => !Known(w)) ?? words.FirstOrDefault() ?? "";
        var at = line.IndexOf(word, StringComparison.Ordinal);
        var near = Slips.NearTag(word, context.Index) ?? Slips.NearName(word, context.Index);
        var nearest = near ?? Nearest.To(word, context.Index.Tags);
        var meant = near is null ? null : new NoteAnswer(near, $"{line[..at]}{near}{line[(at + word.Length)..]}");
        return new(line, [], [new(at, word, $"No plant here is tagged \"{word}\".", nearest)])
        {
            Questions = meant is null ? [] : [new(word, [meant], "Was it this one?")],
        };
    }

    NoteAnswer At(NamedPlace place) => new(place.Name, $"{place.Name}: {line.Trim()}");

    bool Known(string word)
    {
        var tokens = Tokens.Of(word.ToLowerInvariant(), 0);
        return tokens.Count == 0
            || tokens[0].Kind is not TokenKind.Word
            || Lexicon.Shipped.Begins(tokens[0].Text)
            || NoteDates.Read([.. tokens], context.Today) is not null;
    }

    DateOnly? DaysOf(IReadOnlyList<Token> lead)
    {
        var words = lead.Where(token => token.Kind is not TokenKind.Break && !token.Is(":")).ToArray();
        if (words.Length > 0 && NoteDates.InFront(words, context.Today, context.UsUnits) is { } front)
        {
            if (front.Fault is { } why)
                unread.Add(new(words[0].Start, line[words[0].Start..words[^1].End], why));
            return front.Day;
        }
        var items = new ItemReader(words, context, []).Read();
        foreach (var fault in items.Where(item => item is { Kind: ItemKind.Date, Date.Fault: not null }))
            unread.Add(new(fault.Start, line[fault.Start..fault.End], fault.Date.Fault!));
        return items.Find(item => item.Kind is ItemKind.Date)?.Date.Day;
    }

    /// <summary>The line again, with every clause that was not understood as a note in its own words.</summary>
    string? AsNote(List<GroupRead> read, List<NoteGroup> groups, Func<GroupRead, DateOnly> day)
    {
        if (
            groups.Count == 0
            || unread.Count == 0
            || read.Count != groups.Count
            || read.Exists(group => group.Clauses.TrueForAll(c => c.OnlyDays))
        )
            return null;
        return string.Join("; ", read.Zip(groups, (group, entries) => group.AsNote(line, entries, day(group))));
    }
}

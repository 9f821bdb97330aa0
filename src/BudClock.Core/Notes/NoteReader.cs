namespace BudClock.Core.Notes;

/// <summary>
/// Reads a typed line such as "lyc-01 roots 11cm, bulbs wrinkled yesterday": a plant's tag, then what was seen or done.
/// Case, commas and spaces do not matter. It never throws, and what it cannot read it gives back with the nearest thing known.
/// </summary>
/// <remarks>
/// A date at the beginning or the end of a line, or in a clause of its own, belongs to the whole line; one in between
/// belongs to its clause. A comma between digits is a decimal comma. A bare number is in the garden's units.
/// </remarks>
public sealed class NoteReader
{
    readonly string line;
    readonly NoteContext context;
    readonly Token[] tokens;
    readonly List<Found> found = [];
    readonly List<(int Clause, int FoundBefore, DateOnly Day)> dates = [];
    readonly List<Unread> unread = [];
    IReadOnlyList<string> tags = [];
    string? reference;
    string? batch;
    int at;
    int clause;

    sealed record Found(int Clause, int End, EntryKind Kind, Quantity? Amount, string? Text, string? Organ, string? Mix);

    NoteReader(string line, int from, NoteContext context)
    {
        (this.line, this.context) = (line, context);
        tokens = [.. Tokens.Of(line, from)];
    }

    /// <summary>What a note says, or what in it was not understood, with its place.</summary>
    public static ReadNote Read(string line, NoteContext context)
    {
        if (line.Length > EntryCheck.LongestText)
            return new(
                line,
                [],
                [],
                [
                    new(
                        0,
                        "",
                        $"A note holds at most {EntryCheck.LongestText} characters; this one has {line.Length}. Shorten it, or log it in "
                            + $"parts."
                    ),
                ]
            );
        var head = NoteHead.Read(line, context);
        if (head.Unknown is { Length: 0 })
            return new(line, [], [], []);

        var reader = new NoteReader(line, head.End, context) { tags = head.Tags };
        if (head.Unknown is { } word)
            reader.unread.Add(new(head.Start, word, $"No plant here is tagged \"{word}\".", Nearest.To(word, context.Tags)));
        reader.ReadAll();
        var entries = reader.Entries();
        var questions = reader.Questions(entries).ToList(); // may find more that cannot be read
        return new(line, head.Tags, entries, reader.unread) { Questions = questions };
    }

    ReadOnlySpan<Token> Ahead => tokens.AsSpan(at);

    void ReadAll()
    {
        while (at < tokens.Length)
        {
            if (tokens[at].Kind is TokenKind.Break)
                (clause, at, reference, batch) = (clause + 1, at + 1, null, null);
            else if (TakeBatch() || TakeReference()) { }
            else if (TakeDate() || TakeCounted() || TakePhrase()) { }
            else if (Vocabulary.Filler.Contains(tokens[at].Text))
                at++;
            else
                TakeUnread();
        }
    }

    bool TakeDate()
    {
        if (NoteDates.Read(Ahead, context.Today) is not { } date)
            return false;
        if (date.Day is { } day)
            dates.Add((clause, found.Count, day));
        else
            Refuse(at, at + date.Taken, date.Fault!);
        at += date.Taken;
        return true;
    }

    /// <summary>"#G310520": the batch that the entry before it was given, or the one behind it.</summary>
    bool TakeBatch()
    {
        if (
            tokens[at].Kind is not TokenKind.Reference
            || context.Batches.FirstOrDefault(code => code.Equals(tokens[at].Text, StringComparison.OrdinalIgnoreCase)) is not { } code
        )
            return false;
        at++;
        if (found.Count == 0 || found[^1].Clause != clause || found[^1].Mix is not null)
            batch = code;
        else if (Given.Contains(found[^1].Kind))
            found[^1] = found[^1] with { Mix = code, End = tokens[at - 1].End };
        else
            Refuse(at - 1, at, NotGiven(code));
        return true;
    }

    static readonly EntryKind[] Given = [EntryKinds.Fed, EntryKinds.Watered, EntryKinds.Soaked, EntryKinds.ToppedUp];

    static string NotGiven(string code) => $"{code} is a batch: it is given, such as fed #{code}.";

    /// <summary>"#s31b": the organ that the entry before it means, or the one behind it.</summary>
    bool TakeReference()
    {
        if (tokens[at].Kind is not TokenKind.Reference)
            return false;
        var organ = ReadReference();
        if (found.Count > 0 && found[^1].Clause == clause && found[^1].Organ is null)
            found[^1] = found[^1] with { Organ = organ, End = tokens[at - 1].End };
        else
            reference = organ;
        return true;
    }

    string? ReadReference()
    {
        var name = tokens[at].Text;
        var organ = tags.Count == 1 ? context.Books(tags[0])?.Find(name) : null;
        if (organ is null)
            Refuse(at, at + 1, tags.Count == 1 ? $"\"{name}\" is no part of {tags[0]}." : "A part can be named for one plant at a time.");
        at++;
        return organ;
    }

    /// <summary>"3 buds", "8.5 cm roots": the number first.</summary>
    bool TakeCounted()
    {
        if (Amount(at) is not { } amount)
            return false;
        var start = at;
        if (Vocabulary.Longest(tokens.AsSpan(amount.Next)) is not { } phrase)
            return false;
        var kind =
            amount.Quantity.Unit is null ? phrase.Counted
            : phrase.Kind.Measure is null ? null
            : phrase.Kind;
        if (kind?.Measure is null)
            return false;
        at = amount.Next + phrase.Split.Length;
        Keep(start, kind, amount.Quantity, null);
        return true;
    }

    bool TakePhrase()
    {
        if (Vocabulary.Longest(Ahead) is not { } phrase)
            return false;
        var start = at;
        at += phrase.Split.Length;
        if (at < tokens.Length && tokens[at].Kind is TokenKind.Reference && !TakePendingBatch())
            reference = ReadReference();
        if (phrase.Kind == EntryKinds.Note)
            Keep(start, phrase.Kind, null, RestOfLine());
        else if (Vocabulary.TakesText.Contains(phrase.Kind))
            KeepWithText(start, phrase.Kind);
        else if (phrase.State is not null)
            Keep(start, phrase.Kind, null, phrase.State);
        else
            KeepWithValue(start, phrase);
        return true;
    }

    /// <summary>A batch named between an entry's words and its number.</summary>
    bool TakePendingBatch()
    {
        batch = context.Batches.FirstOrDefault(code => code.Equals(tokens[at].Text, StringComparison.OrdinalIgnoreCase));
        if (batch is not null)
            at++;
        return batch is not null;
    }

    /// <summary>"look again in 10 days: did it stop at the sheath?": a number first where the kind has one.</summary>
    void KeepWithText(int start, EntryKind kind)
    {
        var amount = TakeAmount(kind);
        if (amount is not null && at < tokens.Length && (tokens[at].Is("days") || tokens[at].Is("day")))
            at++;
        Keep(start, kind, amount, RestOfClause());
    }

    void KeepWithValue(int start, Phrase phrase)
    {
        var (amount, state) = (TakeAmount(phrase.Kind), phrase.Kind.States.Length > 0 ? TakeState(phrase.Kind) : null);
        var kind = amount is null && phrase.Bare is { } bare ? bare : phrase.Kind;
        Keep(start, kind, amount, state);
    }

    Quantity? TakeAmount(EntryKind kind)
    {
        if (kind.Measure is not { } measure || Amount(AfterFiller()) is not { } amount)
            return null;
        at = amount.Next;
        return amount.Quantity.Unit is null && Unit.Default(measure.Dimension, context.UsUnits) is { } unit
            ? amount.Quantity with
            {
                Unit = unit,
            }
            : amount.Quantity;
    }

    string? TakeState(EntryKind kind)
    {
        var next = AfterFiller();
        if (next >= tokens.Length || tokens[next].Kind is not TokenKind.Word)
            return null;
        if (Vocabulary.State(kind, tokens[next].Text) is not { } state)
            return null;
        at = next + 1;
        return state;
    }

    /// <summary>A number with the unit behind it, unless the number begins a date.</summary>
    (Quantity Quantity, int Next)? Amount(int from)
    {
        if (from >= tokens.Length || tokens[from].Kind is not TokenKind.Number)
            return null;
        if (NoteDates.Read(tokens.AsSpan(from), context.Today) is not null)
            return null;
        for (var words = Math.Min(2, tokens.Length - from - 1); words > 0; words--)
        {
            var name = string.Join(' ', tokens.Skip(from + 1).Take(words).Select(token => token.Text));
            if (Unit.Find(name) is { } unit)
                return (new(tokens[from].Number, unit), from + 1 + words);
        }
        return (new(tokens[from].Number), from + 1);
    }

    int AfterFiller()
    {
        var next = at;
        while (next < tokens.Length && tokens[next].Kind is TokenKind.Word && Vocabulary.Filler.Contains(tokens[next].Text))
            next++;
        return next;
    }

    string? RestOfLine()
    {
        var from = at < tokens.Length ? tokens[at].Start : line.Length;
        at = tokens.Length;
        return line[from..].TrimStart(' ', ':', ',').TrimEnd() is { Length: > 0 } text ? text : null;
    }

    string? RestOfClause()
    {
        var from = at;
        while (at < tokens.Length && tokens[at].Kind is not TokenKind.Break && NoteDates.Read(Ahead, context.Today) is null)
            at++;
        return from == at || line[tokens[from].Start..tokens[at - 1].End].TrimStart(':', ' ') is not { Length: > 0 } text ? null : text;
    }

    void Keep(int start, EntryKind kind, Quantity? amount, string? text)
    {
        if (kind == EntryKinds.Note && text is null)
            Refuse(start, at, "A note needs some words behind it.");
        else if (EntryCheck.Fault(kind, context.Today, amount, text, context.Today) is { } fault)
            Refuse(start, at, fault);
        else if (batch is not null && !Given.Contains(kind))
            Refuse(start, at, NotGiven(batch));
        else
            found.Add(new(clause, tokens[at - 1].End, kind, amount, text, reference, batch));
        (reference, batch) = (null, null);
    }

    void TakeUnread()
    {
        var start = at++;
        while (
            at < tokens.Length
            && tokens[at].Kind is TokenKind.Word
            && Vocabulary.Longest(Ahead) is null
            && NoteDates.Read(Ahead, context.Today) is null
        )
            at++;
        var fragment = Piece(start, at);
        Refuse(
            start,
            at,
            tokens[start].Kind is TokenKind.Number
                ? $"\"{fragment}\" belongs to nothing before it."
                : $"\"{fragment}\" is not a word of the log.",
            Vocabulary.Nearest(fragment) ?? Vocabulary.Nearest(tokens[start].Text)
        );
    }

    void Refuse(int from, int to, string why, string? nearest = null) => unread.Add(new(tokens[from].Start, Piece(from, to), why, nearest));

    string Piece(int from, int to) => line[tokens[from].Start..tokens[Math.Max(from, to - 1)].End];

    IReadOnlyList<EntryDraft> Entries() =>
        [.. found.Select(entry => new EntryDraft(entry.Kind, DayOf(entry.Clause), entry.Amount, entry.Text, entry.Organ, entry.Mix))];

    /// <summary>What has to be asked before the entries can be logged. With several plants nothing can be asked.</summary>
    IEnumerable<NoteQuestion> Questions(IReadOnlyList<EntryDraft> entries)
    {
        foreach (var tag in tags)
            foreach (var question in context.Books(tag)?.Place(entries).Questions ?? [])
            {
                var (entry, end) = (entries[question.Index], found[question.Index].End);
                if (tags.Count == 1)
                    yield return new(
                        entry.Words,
                        [.. question.Choices.Select(choice => new NoteAnswer(choice.Words, line.Insert(end, $" #{choice.Reference}")))]
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

    /// <summary>The clause's own date, else one that stands for the whole line, else today.</summary>
    DateOnly DayOf(int clause)
    {
        var own = dates.Where(date => date.Clause == clause).Select(date => (DateOnly?)date.Day).FirstOrDefault();
        return own ?? dates.Where(ForWholeLine).Select(date => (DateOnly?)date.Day).FirstOrDefault() ?? context.Today;
    }

    bool ForWholeLine((int Clause, int FoundBefore, DateOnly Day) date) =>
        date.FoundBefore == 0 || date.FoundBefore == found.Count || found.All(entry => entry.Clause != date.Clause);
}

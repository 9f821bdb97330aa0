namespace BudClock.Core.Notes;

/// <summary>What was read of one segment.</summary>
sealed record GroupRead(Segment Segment, List<Clause> Clauses, List<Taken> Taken)
{
    /// <summary>Readings of the place that was named, where the line has them.</summary>
    public IReadOnlyList<PlaceReading> Readings { get; init; } = [];

    /// <summary>The day at the very end, for what stands before on the line.</summary>
    public DateOnly? Trailing =>
        Clauses.LastOrDefault() is { Days: { Count: > 0 } days } last && days[^1].Before == last.Found.Count ? days[^1].Day : null;

    /// <summary>Where an entry stands, by its place among <see cref="Drafts"/>.</summary>
    public Found Found(int index) => Placed()[index].Found;

    /// <summary>The entries with their days, in the order of the line.</summary>
    /// <param name="otherwise">The day of what has none of its own.</param>
    /// <param name="wholeOnly">Without those of clauses that were not understood whole.</param>
    public List<EntryDraft> Drafts(DateOnly otherwise, bool wholeOnly = false) =>
        [
            .. Placed()
                .Where(placed => !wholeOnly || placed.Clause.Whole)
                .Select(placed => new EntryDraft(
                    placed.Found.Kind,
                    placed.Day ?? otherwise,
                    placed.Found.Amount,
                    placed.Found.Text,
                    placed.Found.Organ,
                    placed.Found.Mix
                )
                {
                    Sure = placed.Found.Sure,
                }),
        ];

    List<(Found Found, DateOnly? Day, Clause Clause)> Placed()
    {
        var placed = new List<(Found, DateOnly?, Clause)>();
        for (var i = 0; i < Clauses.Count; i++)
            foreach (var found in Clauses[i].Found)
            foreach (var day in DaysOf(i))
                placed.Add((found, day, Clauses[i]));
        return placed;
    }

    /// <summary>
    /// The clause's own days, with those of clauses of days alone behind it; else the day that stands for the whole part.
    /// </summary>
    IEnumerable<DateOnly?> DaysOf(int index)
    {
        var own = Clauses[index].Days.Select(day => day.Day).ToList();
        if (own.Count > 0)
        {
            own.AddRange(
                Clauses.Skip(index + 1).TakeWhile(clause => clause.OnlyDays).SelectMany(clause => clause.Days).Select(day => day.Day)
            );
            return own.Distinct().Select(day => (DateOnly?)day);
        }
        return [WholeDay()];
    }

    /// <summary>A day in a clause of its own, before everything or behind everything, is for the whole part.</summary>
    DateOnly? WholeDay()
    {
        var alone = Clauses.FirstOrDefault(clause => clause.OnlyDays);
        if (alone is not null)
            return alone.Days[0].Day;
        if (Clauses.FirstOrDefault() is { Days: [(0, var first), ..] })
            return first;
        return Trailing;
    }

    /// <summary>This part again, with the clauses that were not understood as notes in their own words.</summary>
    /// <param name="otherwise">The day of what has none of its own.</param>
    public string AsNote(string line, NoteGroup entries, DateOnly otherwise)
    {
        var kept = Drafts(otherwise, wholeOnly: true).Select(draft => draft.Canonical);
        var notes = Clauses
            .Where(clause => !clause.Whole)
            .Select(clause => clause.Raw(line))
            .Select(text => new EntryDraft(EntryKinds.Note, otherwise, Text: text).Canonical);
        return $"{string.Join(", ", entries.Tags)}: {string.Join(", ", kept.Concat(notes))}";
    }
}

/// <summary>Reads what is said of some plants, clause by clause.</summary>
static class GroupReader
{
    static readonly EntryKind[] GoOn =
    [
        EntryKinds.Repotted,
        EntryKinds.Divided,
        EntryKinds.Planted,
        EntryKinds.Stored,
        EntryKinds.Moved,
        EntryKinds.Cut,
    ];

    /// <summary>Reads what is said of one group of plants; the last entry of the line so far lends its kind to what names none.</summary>
    public static GroupRead Read(string line, Segment segment, NoteContext context, Found? before)
    {
        if (segment.Place is { } place && PlaceReadings.Read(segment, place, context) is { Count: > 0 } readings)
            return new(segment, [], []) { Readings = readings };
        var (clauses, taken) = (new List<Clause>(), new List<Taken>());
        foreach (var tokens in Parts(segment.Content))
        {
            var items = new ItemReader(tokens, context, segment.Tags).Read();
            if (items.TrueForAll(item => item.Filler))
                continue;
            var last = clauses.SelectMany(c => c.Found).LastOrDefault();
            if (last is not null && Continues(last, items))
            {
                Extend(line, clauses, items, last);
                continue;
            }
            var clause = ClauseReader.Read(line, items, context, segment.Tags, last ?? before);
            if (!clause.Whole && !clause.Thought)
                clause = Slips.Mend(line, tokens, context, segment.Tags, last ?? before, clause, taken);
            if (!clause.Whole)
                clause.Doubts.Clear(); // what is not understood is not asked about either
            if (clause.Amends is { } amended)
                clause = Amend(clauses, clause, last, amended);
            clause.Span = (tokens[0].Start, tokens[^1].End);
            if (!clause.Empty)
                clauses.Add(clause);
            if (items.FindIndex(item => item.Word?.Act is { Text: ActText.Rest }) is >= 0 and var note && !Quotes(items, note + 1))
                break;
        }
        if (segment.Place is not null && !segment.Whole)
            return new(segment with { Subjects = [segment.Subjects[0] with { Tags = [] }] }, clauses, taken);
        return new(segment, clauses, taken);
    }

    static bool Quotes(List<Item> items, int at) => at < items.Count && items[at].Kind is ItemKind.Quoted;

    /// <summary>The number goes to the entry before it, or repeats that entry for another plant.</summary>
    static Clause Amend(List<Clause> clauses, Clause clause, Found? last, Found amended)
    {
        var holder = last is null ? null : clauses.Find(c => c.Found.Contains(last));
        if (holder is null)
            clause.Found.Add(amended);
        else
            holder.Found[holder.Found.IndexOf(last!)] = amended;
        clause.Amends = null;
        return clause;
    }

    /// <summary>"repotted into 14 cm, fresh bark": words that only go on about the repot.</summary>
    static bool Continues(Found last, List<Item> items)
    {
        if (!GoOn.Contains(last.Kind))
            return false;
        if (last.Kind == EntryKinds.Repotted && items.TrueForAll(i => i.Filler || i is { Amount: { Dimension: Dimension.Length } }))
            return true;
        if (!items.Exists(GoesFurther))
            return false;
        foreach (var (index, item) in items.Index())
        {
            if (item.Kind is ItemKind.Date || (item.Word?.Act is not null && !item.Is(Lexicon.GoesOn)))
                return false;
            var rest = items.Skip(index + 1).FirstOrDefault(i => !i.Filler);
            if (
                item.Word?.Thing is { } thing
                && (rest?.Word?.SignOf(thing) is not null || (rest is { Measured: true } && !GoesFurther(item)))
            )
                return false;
        }
        return true;
    }

    static bool GoesFurther(Item item) => item.Is(Lexicon.GoesOn) || item.Word?.Thing?.Name == "medium";

    static void Extend(string line, List<Clause> clauses, List<Item> items, Found last)
    {
        var holder = clauses.First(clause => clause.Found.Contains(last));
        var text = line[items[0].Start..items[^1].End];
        holder.Found[holder.Found.IndexOf(last)] = last with
        {
            Text = last.Text is null ? text : $"{last.Text}, {text}",
            End = items[^1].End,
        };
    }

    static IEnumerable<List<Token>> Parts(List<Token> tokens)
    {
        var part = new List<Token>();
        foreach (var token in tokens)
        {
            if (token.Kind is not TokenKind.Break)
                part.Add(token);
            else if (part.Count > 0)
            {
                yield return part;
                part = [];
            }
        }
        if (part.Count > 0)
            yield return part;
    }
}

using BudClock.Core.Culture;
using BudClock.Core.Mixing;

namespace BudClock.Core.States;

/// <summary>
/// Something that begins, goes on and ends: a pest case, a wound, scorched leaves, a place to get used to. One file a state; it says what
/// opens it, what ends it and when it lapses, and no rule keeps a version of its own (rules L1, L3 and L4).
/// </summary>
/// <remarks>A class that derives from it is a state: there is no list to add it to. It needs a constructor without parameters.</remarks>
public abstract class State
{
    EntryKind[]? kinds;

    /// <summary>What it is called, as a clause: "scorched leaves".</summary>
    public abstract string Name { get; }

    /// <summary>What it is a state of, and goes no further than.</summary>
    public virtual Subject Of => Subject.Plant;

    /// <summary>What opens it, and what opens it anew while it goes on.</summary>
    public abstract IReadOnlyList<Mark> Opens { get; }

    /// <summary>What is done or seen while it goes on, and is kept with it.</summary>
    public virtual IReadOnlyList<Mark> Meets => [];

    /// <summary>Every entry that ends it, and every showing of the plant that does.</summary>
    public abstract IReadOnlyList<Mark> Ends { get; }

    /// <summary>What holds when it has ended, as a sentence.</summary>
    public abstract string Afterwards { get; }

    /// <summary>How long after its newest sign it lapses by itself, days; null where it never does.</summary>
    public virtual int? Lasts(CultureSheet sheet) => null;

    /// <summary>The same in words, for the page of states: "after 14 days"; null where it never does.</summary>
    public virtual string? LapsesInWords(CultureSheet sheet) => Lasts(sheet) is { } days ? $"after {days} days" : null;

    /// <summary>The same for a span, where it depends on what was met in it.</summary>
    protected virtual int? Lasts(Span open, CultureSheet sheet) => Lasts(sheet);

    /// <summary>What the plant's own details say beside its log, as the entry that would say it; null for nothing.</summary>
    protected virtual Entry? OnRecord(Plant plant) => null;

    /// <summary>The span that a sign opens; null where it is none after all.</summary>
    protected virtual Span? Opened(Entry sign, PlantLog log) => new(this, sign, sign, [], null, null);

    /// <summary>The span after one more entry of <see cref="Meets"/>.</summary>
    protected virtual Span Met(Span open, Entry entry, PlantLog log) => open with { Since = [.. open.Since, entry] };

    /// <summary>The span after one more sign while it goes on.</summary>
    protected virtual Span Again(Span open, Entry sign, PlantLog log) => open with { Sign = sign };

    /// <summary>The span after an entry that ends it; one that is only half of an end keeps it open.</summary>
    protected virtual Span Ended(Span open, Entry end, PlantLog log) => open with { End = end };

    /// <summary>Whether two entries are about two different subjects: of the plant, its pot and its place there is only one.</summary>
    protected virtual bool Apart(Span open, Entry entry, PlantLog log) =>
        Of is Subject.Organ && open.Opened.Organ is { } one && entry.Organ is { } other && one != other && log.OfOneKind(one, other);

    /// <summary>Every span of the log, oldest first; several may be open where it is a state of organs.</summary>
    public IReadOnlyList<Span> Read(PlantLog log, DateOnly today)
    {
        var spans = new List<Span>();
        // Most states never began: then nothing is gathered.
        if (MayBegin(log))
            foreach (var entry in log.Journal.Of(kinds ??= Kinds()))
                Next(spans, entry, log);
        else if (OnRecord(log.Plant) is { } record && record.On <= today)
            Next(spans, record, log);
        else
            return [];
        Lapse(spans, log, today);
        return spans;
    }

    /// <summary>Whether anything in the log may open it: what never began costs nothing.</summary>
    protected virtual bool MayBegin(PlantLog log)
    {
        foreach (var mark in Opens)
            if (log.Journal.Has(mark.Kind))
                return true;
        return false;
    }

    void Next(List<Span> spans, Entry entry, PlantLog log)
    {
        var goesOn = GoesOn(spans);
        if (goesOn)
            Lapse(spans, log, entry.On);
        if (Fits(Opens, entry))
            Open(spans, entry, log);
        else if (!goesOn)
            return;
        else if (Fits(Ends, entry))
            Change(spans, entry, log, Ended);
        else if (Fits(Meets, entry))
            Change(spans, entry, log, Met);
    }

    static bool GoesOn(List<Span> spans)
    {
        for (var i = spans.Count - 1; i >= 0; i--)
            if (spans[i].Open)
                return true;
        return false;
    }

    void Open(List<Span> spans, Entry sign, PlantLog log)
    {
        if (spans.FindLastIndex(span => span.Open && !Apart(span, sign, log)) is >= 0 and var going)
            spans[going] = Again(spans[going], sign, log);
        else if (Opened(sign, log) is { } opened)
            spans.Add(opened);
    }

    void Change(List<Span> spans, Entry entry, PlantLog log, Func<Span, Entry, PlantLog, Span> change)
    {
        for (var i = 0; i < spans.Count; i++)
            if (spans[i].Open && !Apart(spans[i], entry, log))
                spans[i] = change(spans[i], entry, log);
    }

    void Lapse(List<Span> spans, PlantLog log, DateOnly today)
    {
        for (var i = 0; i < spans.Count; i++)
            if (
                spans[i] is { Open: true } open
                && Lasts(open, log.Sheet) is { } days
                && open.Newest.On.AddDays(days) is var end
                && end <= today
            )
                spans[i] = open with { LapsedOn = end };
    }

    static bool Fits(IReadOnlyList<Mark> marks, Entry entry)
    {
        foreach (var mark in marks)
            if (mark.Fits(entry))
                return true;
        return false;
    }

    EntryKind[] Kinds() => [.. Opens.Concat(Meets).Concat(Ends).Select(mark => mark.Kind).Distinct()];
}

/// <summary>What states are read from: the plant, what is in force of its log, its sheet, and the shelf that it is fed from.</summary>
public readonly record struct PlantLog(Plant Plant, PlantJournal Journal, CultureSheet Sheet, Shelf Shelf)
{
    /// <summary>Two spikes are two, a sheath and the growth that it stands on are not.</summary>
    public bool OfOneKind(string one, string other) => KindOf(one) is { } kind && kind == KindOf(other);

    string? KindOf(string organ)
    {
        foreach (var part in Plant.Organs)
            if (part.Id == organ)
                return part.Kind;
        return null;
    }
}

/// <summary>What a state belongs to.</summary>
public enum Subject
{
    /// <summary>The plant as a whole.</summary>
    Plant,

    /// <summary>One growth, spike, leaf or root flush.</summary>
    Organ,

    /// <summary>Its pot and what is in it.</summary>
    Pot,

    /// <summary>Where it stands.</summary>
    Place,
}

/// <summary>One form of entry that opens, meets or ends a state.</summary>
/// <param name="Words">As a grower would say it, as a clause: "leaves seen firm".</param>
/// <param name="When">What else has to be true of the entry; null for nothing.</param>
public sealed record Mark(EntryKind Kind, string Words, Func<Entry, bool>? When = null)
{
    /// <summary>Whether an entry is of this form.</summary>
    public bool Fits(Entry entry) => entry.Kind == Kind && When?.Invoke(entry) != false;

    /// <summary>An entry of one of these states: leaves firm.</summary>
    public static Mark Of(EntryKind kind, string words, params string[] states) => new(kind, words, entry => states.Contains(entry.Text));

    /// <summary>An entry whose words say one of these facts.</summary>
    public static Mark Saying(EntryKind kind, string words, SaidFacts fact) => new(kind, words, entry => (entry.Said.Facts & fact) != 0);

    /// <summary>Every entry that has an effect, whatever it is called: what is poured, topped up or fed by the litre wets.</summary>
    public static IEnumerable<Mark> Doing(Effects does) =>
        EntryEffects.KindsThat(does).Select(kind => new Mark(kind, Doing(kind), entry => entry.Does.HasFlag(does)));

    static string Doing(EntryKind kind) =>
        kind == EntryKinds.Fed ? "fed with an amount of water"
        : kind == EntryKinds.Rinsed ? "the medium rinsed"
        : kind.Words.ToLowerInvariant();

    /// <summary>A number above nothing.</summary>
    public static Mark Some(EntryKind kind, string words) => new(kind, words, entry => entry.Amount is { InBase: > 0 });
}

/// <summary>A state from its opening to its end.</summary>
/// <param name="Opened">The entry that opened it.</param>
/// <param name="Sign">The newest sign of it.</param>
/// <param name="Since">What was done or seen since the newest sign, oldest first.</param>
/// <param name="End">The entry that ended it; null where none did.</param>
/// <param name="LapsedOn">The day on which it lapsed by itself; null where it did not.</param>
public sealed record Span(State State, Entry Opened, Entry Sign, IReadOnlyList<Entry> Since, Entry? End, DateOnly? LapsedOn)
{
    /// <summary>It goes on.</summary>
    public bool Open => End is null && LapsedOn is null;

    /// <summary>The newest entry that speaks of it.</summary>
    public Entry Newest => Since is [.., var last] ? last : Sign;
}

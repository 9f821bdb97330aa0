using System.Globalization;

namespace BudClock.Core.Organs;

/// <summary>
/// Decides which organ of a plant a new entry is about. A start makes a new organ; anything else belongs to the organ of its
/// kind that was under way on that day. Where there are several, it asks.
/// </summary>
sealed class OrganPlacing
{
    readonly List<Organ> organs;
    readonly List<Lane> lanes;
    readonly List<Organ> added = [];
    readonly PlantJournal journal;
    readonly OrganHabit habit;

    /// <summary>Places onto the parts that this book knows.</summary>
    public OrganPlacing(OrganBook book) =>
        (organs, lanes, journal, habit) = ([.. book.Plant.Organs], [.. book.Lanes], book.Journal, book.Habit);

    /// <summary>Gives each entry the part it means; begins a part where a kind begins one.</summary>
    public PlacedEntries Place(IReadOnlyList<EntryDraft> entries)
    {
        var (placed, questions) = (new List<EntryDraft>(), new List<OrganQuestion>());
        foreach (var (index, entry) in entries.Index())
        {
            var (organ, choices) = Find(entry);
            placed.Add(entry with { Organ = organ });
            if (choices.Count > 1)
                questions.Add(new(index, choices));
        }
        return new(placed, added, questions);
    }

    (string? Organ, IReadOnlyList<OrganChoice> Choices) Find(EntryDraft entry)
    {
        var part = OrganParts.Of(entry.Kind);
        if (entry.Organ is not null and not OrganBook.New and not OrganBook.Unnamed)
            return (entry.Organ, []);
        if (part is null || entry.Organ == OrganBook.Unnamed)
            return (null, []);
        if (entry.Organ == OrganBook.New || (part.Starts(entry.Kind) && StartsAnew(part, entry)))
            return Start(part, entry);
        var candidates = Candidates(part, entry);
        if (candidates.Count == 0)
            return part.Measures(entry.Kind) && entry.Amount is not { InBase: <= 0 } ? Start(part, entry) : (Owner(part, entry), []);
        var choices = candidates.Select(organ => Choice(organ, entry)).ToList();
        if (part.Starts(entry.Kind))
            choices.Add(new(OrganBook.New, $"a new {habit.KindOf(part)}"));
        return (candidates[0]?.Id, choices);
    }

    /// <summary>A start is another organ, but for a spike out of its sheath, a lasting peduncle, and a tap done twice.</summary>
    bool StartsAnew(OrganPart part, EntryDraft entry)
    {
        if (part == OrganParts.Roots)
            return UnderWay(part, entry.On).Count == 0;
        if (part == OrganParts.Flower && entry.Kind == EntryKinds.SpikeStarted && (Sheaths(entry.On).Count > 0 || Peduncles().Count > 0))
            return false;
        return !UnderWay(part, entry.On).Any(organ => Began(organ) == entry.On);
    }

    (string? Organ, IReadOnlyList<OrganChoice> Choices) Start(OrganPart part, EntryDraft entry)
    {
        if (Owner(part, entry) is { } owner && entry.Organ != OrganBook.New)
            return (Begin(part, owner, entry.On), []);
        var year = entry.On.Year.ToString(CultureInfo.InvariantCulture);
        var kind = habit.KindOf(part);
        var number = 1 + organs.Count(organ => organ.Kind == kind && organ.Label?.StartsWith(year, StringComparison.Ordinal) == true);
        var letter = number == 1 ? "" : $"{(char)('a' + Math.Min(number, 26) - 1)}";
        var id = Enumerable
            .Range(0, 999)
            .Select(n => $"{kind[0]}{entry.On:yy}{letter}{(n == 0 ? "" : n)}")
            .First(id => organs.All(o => !o.Id.Equals(id, StringComparison.OrdinalIgnoreCase)));
        var organ = new Organ(id, kind, letter.Length == 0 ? year : $"{year} {letter}", Parent(part, entry.On));
        organs.Add(organ);
        added.Add(organ);
        return (Begin(part, id, entry.On), []);
    }

    string Begin(OrganPart part, string id, DateOnly on)
    {
        if (!lanes.Any(lane => lane.Kind == part.Lane && lane.Open && lane.Organ == id))
            lanes.Add(new(part.Lane, on, null, id));
        return id;
    }

    /// <summary>Roots of a plant that makes growths belong to the newest growth; leaves of a growing shoot to the shoot.</summary>
    string? Owner(OrganPart part, EntryDraft entry) =>
        part == OrganParts.Roots || (part == OrganParts.Leaf && habit.Shoot is not Organ.Leaf)
            ? UnderWay(OrganParts.Shoot, entry.On).LastOrDefault()?.Id
            : null;

    /// <summary>The organs an entry can be about on its day, the likeliest first; null stands for the one without a name.</summary>
    List<Organ?> Candidates(OrganPart part, EntryDraft entry)
    {
        List<Organ?> found =
            part == OrganParts.Tuber ? [.. organs.Where(part.Has)]
            : entry.Kind == EntryKinds.SpikeStarted && Sheaths(entry.On) is { Count: > 0 } sheaths ? sheaths
            : entry.Kind == EntryKinds.SpikeStarted && Peduncles() is { Count: > 0 } peduncles ? [.. peduncles]
            : UnderWay(part, entry.On);
        return
        [
            .. found
                .Distinct()
                .OrderBy(organ => Unlikely(organ, entry))
                .ThenByDescending(organ => Last(organ, entry)?.On)
                .ThenByDescending(Began),
        ];
    }

    List<Organ?> Sheaths(DateOnly on) =>
        [
            .. UnderWay(OrganParts.Flower, on)
                .Where(organ =>
                    organ is not null
                    && journal.Of(EntryKinds.SheathStarted).Any(e => e.Organ == organ.Id)
                    && !journal.Of(EntryKinds.SpikeStarted).Any(e => e.Organ == organ.Id)
                ),
        ];

    List<Organ> Peduncles() =>
        [
            .. organs.Where(organ =>
                organ.Kind == Organ.Peduncle && !journal.Of(EntryKinds.Lost, EntryKinds.Cut).Any(e => e.Organ == organ.Id)
            ),
        ];

    /// <summary>Organs whose lane was open on that day, in the order of their start; null for a lane without a name.</summary>
    List<Organ?> UnderWay(OrganPart part, DateOnly on) =>
        [
            .. lanes
                .Where(lane => part.Lanes.Contains(lane.Kind) && lane.From <= on && (lane.To is null || lane.To >= on))
                .OrderBy(lane => lane.From)
                .Select(lane => lane.Organ is null ? null : organs.FirstOrDefault(organ => organ.Id == lane.Organ))
                .Where(organ => organ is null || part.Has(organ))
                .Distinct(),
        ];

    /// <summary>A length below the last one, or far above it, is likelier another organ's.</summary>
    double Unlikely(Organ? organ, EntryDraft entry)
    {
        if (
            entry.Amount is not { } now
            || entry.Kind.Measure?.Dimension is not Dimension.Length
            || Last(organ, entry)?.Amount is not { } last
        )
            return 0;
        var rise = now.InBase - last.InBase;
        return rise >= -0.5 ? rise : 1000 - rise;
    }

    Entry? Last(Organ? organ, EntryDraft entry) => journal.Of(entry.Kind).LastOrDefault(e => e.Organ == organ?.Id && e.On <= entry.On);

    DateOnly? Began(Organ? organ) => lanes.Where(lane => lane.Organ == organ?.Id).Select(lane => (DateOnly?)lane.From).Max();

    /// <summary>A growth comes from the newest finished one; a spike or a leaf from the newest growth.</summary>
    string? Parent(OrganPart part, DateOnly on)
    {
        var swelling = journal
            .Of(EntryKinds.EyeSwelling)
            .LastOrDefault(e => e.Organ is not null && e.On <= on && e.On > on.AddDays(-120))
            ?.Organ;
        if (part == OrganParts.Shoot && swelling is not null)
            return swelling;
        var shoots = organs.Where(OrganParts.Shoot.Has).ToList();
        var finished = shoots.LastOrDefault(shoot =>
            lanes.All(lane => lane.Organ != shoot.Id || lane.Kind is not LaneKind.Growth || lane.To <= on)
        );
        return part == OrganParts.Shoot || part == OrganParts.Flower ? finished?.Id : shoots.LastOrDefault()?.Id;
    }

    OrganChoice Choice(Organ? organ, EntryDraft entry)
    {
        var name = organ?.Words ?? $"the {habit.KindOf(OrganParts.Of(entry.Kind)!)} without a name";
        var seen =
            Last(organ, entry) is { } last && last.Amount is { } amount ? $", {amount} on {Dates.Short(last.On)}"
            : Began(organ) is { } began ? $", since {Dates.Near(began, entry.On)}"
            : "";
        return new(organ?.Id ?? OrganBook.Unnamed, name + seen);
    }
}

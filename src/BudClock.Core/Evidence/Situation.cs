using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Measuring;

namespace BudClock.Core.Evidence;

/// <summary>Everything a rule may look at: the plant and its journal read to a day, its sheet, its surroundings.</summary>
public sealed record Situation
{
    public required Plant Plant { get; init; }
    public required CultureSheet Sheet { get; init; }
    public required DateOnly Today { get; init; }
    public required PlantJournal Journal { get; init; }
    public required IReadOnlyList<Lane> Lanes { get; init; }
    public required PhaseRead Phase { get; init; }
    public required Season Season { get; init; }
    public required RootsSeen Roots { get; init; }

    /// <summary>What has been measured, organ by organ, the newest first.</summary>
    public IReadOnlyList<OrganSeries> Series { get; init; } = [];

    /// <summary>The rest that is going on; null for a plant in growth.</summary>
    public RestState? Rest { get; init; }

    /// <summary>Growing in the open season: not resting, and not waiting for its first water.</summary>
    public bool InGrowth => Rest is null && !Season.Asleep && !Season.Waking;

    /// <summary>Its roots were found dead, and no new ones were seen since (rule W15).</summary>
    public DateOnly? RootsDeadSince
    {
        get
        {
            if (Journal.Last(EntryKinds.RootsLost) is not { } lost) return null;
            return Journal.Of(EntryKinds.RootsStarted, EntryKinds.RootLength, EntryKinds.RootsAtBase, EntryKinds.RootCount).Any(e => e.On >= lost.On && e.Logged > lost.Logged && e.Amount is not { InBase: <= 0 }) ? null : lost.On;
        }
    }

    /// <summary>The school that the grower chose for this plant, else the sheet's; null where the sheet knows no such question.</summary>
    public (School Chosen, IReadOnlyList<OtherSchool> Others)? School(string question)
    {
        if (Sheet.Schools.GetValueOrDefault(question) is not { } schools) return null;
        var chosen = Plant.Schools.For(question) is { } own && schools.Answers.ContainsKey(own) ? own : schools.Default;
        return (schools.Answers[chosen], [.. schools.Answers.Values.Where(s => s.Name != chosen).Select(s => new OtherSchool(s.Name, s.Does, s.Risks))]);
    }

    /// <summary>What the bulbs last looked like.</summary>
    public Seen<string>? Bulbs { get; init; }

    /// <summary>The garden, the weather of the plant's place, and its kind.</summary>
    public required Surroundings Around { get; init; }

    /// <summary>The coolest night of the last week at the plant's place, °C.</summary>
    public Seen<double>? CoolestNightC => Around.CoolestNightC;

    /// <summary>A threshold of a rule on this plant's sheet.</summary>
    public double Needs(string rule, string threshold) => Sheet.Rule(rule)![threshold];

    /// <summary>Whether a threshold that names genera is meant for this plant.</summary>
    public bool IsFor(string rule, string threshold) =>
        Sheet.Rule(rule)!.Thresholds[threshold].Genera.Contains(Plant.Genus, StringComparer.OrdinalIgnoreCase);
}

/// <summary>What is known of the new roots since the plant woke.</summary>
/// <param name="Series">Their lengths, oldest first, those above nothing.</param>
/// <param name="Checked">The last day anybody looked at them.</param>
/// <param name="Started">The day they were first seen.</param>
/// <param name="AtBase">The day they were seen at the bottom of the pot or turning round it.</param>
/// <param name="Lost">The day they were found dead, unless new ones followed.</param>
public sealed record RootsSeen(IReadOnlyList<Measurement> Series, DateOnly? Checked, DateOnly? Started, DateOnly? AtBase, DateOnly? Lost)
{
    public static readonly RootsSeen None = new([], null, null, null, null);

    public bool Live => Started is not null && Lost is null;

    public Seen<double>? Longest => Series is [.., var last] ? new(last.Cm, last.On) : null;

    /// <summary>Reads the roots from the day the plant woke. Roots that were lost count no more, nor does their length.</summary>
    public static RootsSeen Read(PlantJournal journal, DateOnly? since)
    {
        if (since is not { } day) return None;
        var lost = journal.Last(EntryKinds.RootsLost) is { } gone && gone.On >= day ? gone.On : (DateOnly?)null;
        var signs = journal.Of(EntryKinds.RootsStarted, EntryKinds.RootLength, EntryKinds.RootCount, EntryKinds.RootsAtBase)
            .Where(e => e.On >= day && !(e.On <= lost)).ToList();
        var live = signs.Where(e => e.Amount is not { InBase: <= 0 }).ToList();
        return new(Lengths(live), signs.LastOrDefault()?.On ?? lost, live.FirstOrDefault()?.On,
            live.LastOrDefault(e => e.Kind == EntryKinds.RootsAtBase)?.On, live.Count > 0 ? null : lost);
    }

    /// <summary>One length a day: the last one written down.</summary>
    static List<Measurement> Lengths(IEnumerable<Entry> signs) =>
        [.. signs.Where(e => e.Kind == EntryKinds.RootLength).GroupBy(e => e.On).Select(g => new Measurement(g.Key, g.Last().Amount!.Value.InBase))];
}

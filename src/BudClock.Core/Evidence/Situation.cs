using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Measuring;
using BudClock.Core.Programmes;

namespace BudClock.Core.Evidence;

/// <summary>
/// All the evidence on one plant and one day, weighed once: every rule, page and report asks here, and none reads a sign alone.
/// </summary>
/// <remarks>Each finding is read when it is first asked for, and kept. Not for use by several threads at once.</remarks>
public sealed class Situation
{
    Ages? ages;
    RootsFound? roots;
    Wetness? wetness;
    Thirst? thirst;
    Interval? interval;
    Levels? levels;
    Daylight? daylight;
    Sleep? sleep;
    Arrival? arrival;
    RotCase? rot;
    PestCase? pests;
    Temper? temper;
    ProgrammeRun? programme;
    bool arrivalRead,
        rotRead,
        pestsRead,
        programmeRead;

    /// <summary>The plant.</summary>
    public required Plant Plant { get; init; }

    /// <summary>The sheet it is read by.</summary>
    public required CultureSheet Sheet { get; init; }

    /// <summary>The day it is judged on; later entries are not there.</summary>
    public required DateOnly Today { get; init; }

    /// <summary>The plant's entries up to today.</summary>
    public required PlantJournal Journal { get; init; }

    /// <summary>What each organ was doing.</summary>
    public required IReadOnlyList<Lane> Lanes { get; init; }

    /// <summary>Where it stands between leaf fall and first water, for habits with a dry rest.</summary>
    public required DryRest DryRest { get; init; }

    /// <summary>The garden, the weather of the plant's place, its kind, and what it shares water or a store with.</summary>
    public required Surroundings Around { get; init; }

    /// <summary>What has been measured, organ by organ, the newest first.</summary>
    public IReadOnlyList<OrganSeries> Series { get; init; } = [];

    /// <summary>The rest that is on record; null for a plant in growth, and for one that may have woken.</summary>
    public RestState? Rest { get; init; }

    /// <summary>Leaves on what sleeps by the log; null where the log does not contradict itself.</summary>
    public Astir? Astir { get; init; }

    /// <summary>How long each kind of evidence is good for.</summary>
    public Ages Ages => ages ??= Ages.Of(Sheet);

    /// <summary>Has it live roots?</summary>
    public RootsFound Roots =>
        roots ??= RootsFound.Read(Plant, Journal, Today, Needs("V3", "few"), Needs("F7", "strong"), (int)Needs("V3", "rooting"));

    /// <summary>The new roots since it woke, for habits with a dry rest.</summary>
    public NewRoots NewRoots { get; init; } = NewRoots.None;

    /// <summary>How wet the medium is, and when water was given.</summary>
    public Wetness Wetness => wetness ??= Wetness.Read(Journal, Today, Ages);

    /// <summary>Days from water to water.</summary>
    public Interval Interval => interval ??= Interval.Read(this);

    /// <summary>Thirst, or roots.</summary>
    public Thirst Thirst =>
        thirst ??= Thirst.Read(
            this,
            Interval.Days,
            Interval.Rhythm.Own ? Interval.To : null,
            Needs("V1", "third") / 100,
            (int)Needs("V1", "forgotten")
        );

    /// <summary>The water below it.</summary>
    public Levels Levels => levels ??= Vessels.LevelsOf(this);

    /// <summary>The day's length.</summary>
    public Daylight Daylight => daylight ??= Daylight.Of(Around.Garden, Today);

    /// <summary>Whether it rests, goes to rest, or perhaps rests.</summary>
    public Sleep Sleep => sleep ??= Sleep.Read(this);

    /// <summary>How it came; null where no day is known.</summary>
    public Arrival? Arrival => arrivalRead ? arrival : Read(ref arrivalRead, ref arrival, () => Arrival.Read(Plant, Journal, Sheet, Today));

    /// <summary>Rot, from its finding to its end; null for a plant that never rotted.</summary>
    public RotCase? Rot => rotRead ? rot : Read(ref rotRead, ref rot, () => RotCase.Read(Journal));

    /// <summary>Pests, from the day they were seen to the second clear look; null where none were.</summary>
    public PestCase? Pests => pestsRead ? pests : Read(ref pestsRead, ref pests, () => PestCase.Read(Journal));

    /// <summary>Too cold or too warm for it, measured or forecast.</summary>
    public Temper Temper => temper ??= Temper.Read(this);

    /// <summary>Its newest programme; null where none was started.</summary>
    public ProgrammeRun? Programme =>
        programmeRead || !Journal.Has(EntryKinds.ProgrammeStarted)
            ? programme
            : Read(ref programmeRead, ref programme, () => ProgrammeRuns.Newest(Plant, Sheet, Journal, Counted, Around.Programmes, Today));

    /// <summary>What programmes are counted by; an unmeasured garden where nothing is known of its places.</summary>
    public ProgrammeAround Counted => Around.Places ?? new(Around.Days, _ => PlaceRecord.Empty, _ => Around.Place);

    /// <summary>What is ahead of its programme, where it stands, from how long steps took on its kind before.</summary>
    public ProgrammeOutlook Outlook => new(Counted, Plant.Place, Today) { Earlier = StepsBefore };

    /// <summary>How long a step took in this plant's own earlier programmes, days.</summary>
    IReadOnlyList<int> StepsBefore(Programme programme, Step step) =>
        [
            .. ProgrammeRuns
                .All(Plant, Sheet, Journal, Counted, Around.Programmes, Today)
                .Where(run => run.Programme.Name == programme.Name)
                .SelectMany(run => run.Steps)
                .Where(done => done.Step.Name == step.Name && done.To is not null)
                .Select(done => done.To!.Value.DayNumber - done.From.DayNumber),
        ];

    /// <summary>The state in one word.</summary>
    public PhaseRead Phase => phase ??= PhaseRead.Read(this);

    PhaseRead? phase;

    /// <summary>On record as resting, or as leafless and waiting for its new growth.</summary>
    public bool Resting => Rest is not null || DryRest.Asleep;

    /// <summary>Growing in the open season: not resting, and not waiting for its first water.</summary>
    public bool InGrowth => !Resting && !DryRest.Waking;

    /// <summary>Watered into the pot in the ordinary way: in growth, rooted, and not over a reservoir or in a tray.</summary>
    public bool DrinksFromAbove => InGrowth && !Roots.Unrooted && !Levels.OverWater;

    /// <summary>What the bulbs last looked like; null for never, and for what is too old to tell.</summary>
    public Seen<string>? Bulbs => Journal.State(EntryKinds.Bulbs, e => e.On >= Today.AddDays(-Ages.Bulbs));

    /// <summary>The coolest night of the last days at the plant's place, °C.</summary>
    public Seen<double>? CoolestNightC => Around.Weather.CoolestNight(Today, Ages.Nights);

    /// <summary>An organ of that lane is under way.</summary>
    public bool Open(LaneKind kind) => Lanes.Any(lane => lane.Kind == kind && lane.Open);

    /// <summary>A threshold of a rule on this plant's sheet.</summary>
    public double Needs(string rule, string threshold) => Sheet.Rule(rule)![threshold];

    /// <summary>Whether a threshold that names genera is meant for this plant.</summary>
    public bool IsFor(string rule, string threshold) =>
        Sheet.Rule(rule)!.Thresholds[threshold].Genera.Contains(Plant.Genus, StringComparer.OrdinalIgnoreCase);

    /// <summary>The school that the grower chose for this plant, else the sheet's; null where the sheet knows no such question.</summary>
    public ChosenSchool? School(string question)
    {
        if (Sheet.Schools.GetValueOrDefault(question) is not { } schools)
            return null;
        var chosen = Plant.Schools.For(question) is { } own && schools.Answers.ContainsKey(own) ? own : schools.Default;
        return new(
            schools.Answers[chosen],
            [.. schools.Answers.Values.Where(s => s.Name != chosen).Select(s => new OtherSchool(s.Name, s.Does, s.Risks))]
        );
    }

    static T? Read<T>(ref bool done, ref T? kept, Func<T?> read)
        where T : class
    {
        if (!done)
            (kept, done) = (read(), true);
        return kept;
    }
}

/// <summary>The school a plant is grown by, with what the others would do.</summary>
public sealed record ChosenSchool(School Chosen, IReadOnlyList<OtherSchool> Others);

/// <summary>Another school's way, with what it risks.</summary>
public sealed record OtherSchool(string Name, string Would, string Risks);

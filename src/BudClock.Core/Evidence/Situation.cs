using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Measuring;
using BudClock.Core.Programmes;
using BudClock.Core.States;

namespace BudClock.Core.Evidence;

/// <summary>
/// All the evidence on one plant and one day, weighed once: every rule, page and report asks here, and none reads a sign alone.
/// </summary>
/// <remarks>Each finding is read when it is first asked for, and kept. Not for use by several threads at once.</remarks>
public sealed class Situation(Plant plant, CultureSheet sheet, PlantJournal journal, Surroundings around, DateOnly today)
{
    RootsFound? roots;
    Wetness? wetness;
    Thirst? thirst;
    Interval? interval;
    Levels? levels;
    Daylight? daylight;
    Sleep? sleep;
    Temper? temper;
    IReadOnlyList<Lane>? lanes;
    IReadOnlyList<OrganSeries>? series;
    DryRest? dryRest;
    NewRoots? newRoots;
    PhaseRead? phase;
    PottingMedium? standsIn;
    IReadOnlyList<Span>?[]? spans;
    Once<Astir> astir;
    Once<RestState> rest;
    Once<Arrival> arrival;
    Once<RotCase> rot;
    Once<PestCase> pests;
    Once<ProgrammeRun> programme;
    Once<SaltExcess> salts;
    Once<EarlySoak> earlySoak;
    Once<TwoGrowths> twoGrowths;

    /// <summary>The plant.</summary>
    public Plant Plant => plant;

    /// <summary>The sheet it is read by.</summary>
    public CultureSheet Sheet => sheet;

    /// <summary>The day it is judged on; later entries are not there.</summary>
    public DateOnly Today => today;

    /// <summary>The plant's entries up to today.</summary>
    public PlantJournal Journal => journal;

    /// <summary>The garden, the weather of the plant's place, its kind, and what it shares water or a store with.</summary>
    public Surroundings Around => around;

    /// <summary>What it stands in, as parts; a mix of the grower's own by its name.</summary>
    public PottingMedium StandsIn => standsIn ??= PottingMedium.Of(Plant.Medium, Around.OwnMixes);

    /// <summary>On a mount or in a basket: nothing around its roots holds water.</summary>
    public bool Mounted => StandsIn.Mounted || Plant.Pot?.Form.Mount == true;

    /// <summary>What states are read from.</summary>
    public PlantLog Log => new(Plant, Journal, Sheet, Around.Shelf);

    /// <summary>What each organ was doing.</summary>
    public IReadOnlyList<Lane> Lanes => lanes ??= LaneReader.Read(Journal);

    /// <summary>Where it stands between leaf fall and first water, for habits with a dry rest.</summary>
    /// <remarks>What may be awake is not judged as asleep: whether it rests is asked first.</remarks>
    public DryRest DryRest => dryRest ??= Sheet.Is(Traits.DryRest) && Astir is null ? DryRest.Read(this) : DryRest.None;

    /// <summary>What has been measured, organ by organ, the newest first.</summary>
    public IReadOnlyList<OrganSeries> Series => series ??= SeriesReader.Read(Journal, Lanes, Plant.Organs);

    /// <summary>The rest that is on record; null for a plant in growth, and for one that may have woken.</summary>
    public RestState? Rest => Astir is null ? rest.Is(this, RestState.Read) : null;

    /// <summary>Leaves on what sleeps by the log; null where the log does not contradict itself.</summary>
    public Astir? Astir => astir.Is(this, Astir.Read);

    /// <summary>How long each kind of evidence is good for.</summary>
    public Ages Ages => Limits<Ages>();

    /// <summary>Has it live roots?</summary>
    public RootsFound Roots => roots ??= RootsFound.Read(this);

    /// <summary>The new roots since it woke, for habits with a dry rest.</summary>
    public NewRoots NewRoots => newRoots ??= NewRoots.Read(Journal, DryRest.Woke);

    /// <summary>How wet the medium is, and when water was given.</summary>
    public Wetness Wetness => wetness ??= Wetness.Read(Journal, Today, Ages);

    /// <summary>Days from water to water.</summary>
    public Interval Interval => interval ??= Interval.Read(this);

    /// <summary>Thirst, or roots.</summary>
    public Thirst Thirst =>
        thirst ??= Thirst.Read(
            this,
            Interval.Lasts(this),
            Interval.Rhythm is { Own: true, Practised: false } ? Interval.To : null,
            Limits<ThirstLimits>().Third / 100
        );

    /// <summary>The water below it.</summary>
    public Levels Levels => levels ??= Vessels.LevelsOf(this);

    /// <summary>The day's length.</summary>
    public Daylight Daylight => daylight ??= Daylight.Of(Around.Garden, Today);

    /// <summary>Whether it rests, goes to rest, or perhaps rests.</summary>
    public Sleep Sleep => sleep ??= Sleep.Read(this);

    /// <summary>How it came; null where no day is known.</summary>
    public Arrival? Arrival => arrival.Is(this, Arrival.Read);

    /// <summary>Rot, from its finding to its end; null for a plant that never rotted.</summary>
    public RotCase? Rot => rot.Is(this, static now => now.Last<Rotting>() is { } span ? new(span) : null);

    /// <summary>Pests, from the day they were seen to the second clear look; null where none were.</summary>
    public PestCase? Pests => pests.Is(this, static now => now.Last<PestsFound>() is { } span ? new(span) : null);

    /// <summary>Too cold or too warm for it, measured or forecast.</summary>
    public Temper Temper => temper ??= Temper.Read(this);

    /// <summary>Its newest programme; null where none was started.</summary>
    public ProgrammeRun? Programme =>
        Journal.Has(EntryKinds.ProgrammeStarted)
            ? programme.Is(this, static now =>
                ProgrammeRuns.Newest(now.Plant, now.Sheet, now.Journal, now.Counted, now.Around.Programmes, now.Today)
            )
            : null;

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

    /// <summary>Salts above what its roots bear; null for none.</summary>
    public SaltExcess? Salts => salts.Is(this, SaltExcess.Read);

    /// <summary>A first soak that came too early; null for none.</summary>
    public EarlySoak? EarlySoak => earlySoak.Is(this, EarlySoak.Read);

    /// <summary>Two growths at once; null for none.</summary>
    public TwoGrowths? TwoGrowths => twoGrowths.Is(this, TwoGrowths.Read);

    /// <summary>How long its new roots have to be before the first soak, cm. For habits with a dry rest.</summary>
    public double NeededRootCm => Limits<FirstSoakLimits>().NeededCm(Plant.Pot?.DepthCm);

    /// <summary>Bulbs that are held back for a day: the first step of their programme is to wait.</summary>
    public bool HeldBack => Sheet.Is(Traits.Forced) && Programme is { State: RunState.Running, Steps.Count: 1 };

    /// <summary>
    /// Roots that grow in days so short that a small pot over water gets a little, often (rule W10); null for none, and for any other
    /// habit.
    /// </summary>
    public Lane? WinterRoots =>
        Sheet.Find<LittleOftenLimits>() is { } limits && InGrowth && Daylight.ShorterThan(limits.ShortDays)
            ? Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Roots, Open: true })
            : null;

    /// <summary>An organ of that lane is under way.</summary>
    public bool Open(LaneKind kind) => Lanes.Any(lane => lane.Kind == kind && lane.Open);

    /// <summary>A state that goes on today, the newest where several organs have it; null where it does not.</summary>
    /// <typeparam name="T">The state.</typeparam>
    public Span? In<T>()
        where T : State
    {
        var all = Spans<T>();
        for (var i = all.Count - 1; i >= 0; i--)
            if (all[i].Open)
                return all[i];
        return null;
    }

    /// <summary>The newest span of a state, open or ended; null where there never was one.</summary>
    /// <typeparam name="T">The state.</typeparam>
    public Span? Last<T>()
        where T : State => Spans<T>() is [.., var last] ? last : null;

    /// <summary>Every span of a state, oldest first.</summary>
    /// <typeparam name="T">The state.</typeparam>
    public IReadOnlyList<Span> Spans<T>()
        where T : State
    {
        var at = AllStates.At<T>();
        return (spans ??= new IReadOnlyList<Span>?[AllStates.All.Count])[at] ??= AllStates.All[at].Read(Log, Today);
    }

    /// <summary>The limits of a rule that this plant's habit follows.</summary>
    /// <typeparam name="T">The record of the rule's limits.</typeparam>
    /// <exception cref="InvalidOperationException">The habit does not follow the rule.</exception>
    public T Limits<T>()
        where T : class => Sheet.Limits<T>();

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
}

/// <summary>The school a plant is grown by, with what the others would do.</summary>
public sealed record ChosenSchool(School Chosen, IReadOnlyList<OtherSchool> Others);

/// <summary>Another school's way, with what it risks.</summary>
public sealed record OtherSchool(string Name, string Would, string Risks);

using System.Collections.Concurrent;
using System.Collections.Immutable;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Evidence;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Core.Notes;
using BudClock.Core.Planning;
using BudClock.Core.Potting;
using BudClock.Core.Programmes;
using BudClock.Core.Round;
using BudClock.Core.Saying;

namespace BudClock.Web.Standing;

/// <summary>The garden on one day, with every plant assessed.</summary>
public sealed class GardenDay
{
    readonly ImmutableSortedDictionary<string, Assessment> byTag;
    readonly GardenAround around;
    IReadOnlyList<SharedVessel>? shared;
    TodaysMix? mix;

    /// <param name="weather">The weather of its places.</param>
    /// <param name="before">The garden before a change: what the change does not touch keeps its assessment.</param>
    public GardenDay(GardenRecord record, DateOnly day, PlaceWeathers weather, GardenDay? before = null)
    {
        record = record with { Plants = [.. record.Plants.Select(plant => plant.On(day))] };
        Unread = record.Unread;
        (Garden, Places, Forecast, Day) = (record.Garden, record.Places, record.Forecast, day);
        (Vessels, SheetChanges, Assessor) = (record.Vessels, record.SheetChanges, Assessor.With(record.SheetChanges));
        around = new(record, day, weather);
        Devices = record.Devices;
        Own = record.Programmes;
        Shed = record.Shed;
        byTag = Assess(record.Plants, before?.Day == day ? before : null);
    }

    GardenDay(GardenDay other, GardenAround around, ImmutableSortedDictionary<string, Assessment> byTag) =>
        (Garden, Places, Forecast, Day, this.around, Vessels, SheetChanges, Assessor, Unread, Devices, Own, Shed, this.byTag) = (
            other.Garden,
            other.Places,
            other.Forecast,
            other.Day,
            around,
            other.Vessels,
            other.SheetChanges,
            other.Assessor,
            other.Unread,
            other.Devices,
            other.Own,
            other.Shed,
            byTag
        );

    /// <summary>On as many cores as there are: the first assessment of a large garden is most of a cold start.</summary>
    ImmutableSortedDictionary<string, Assessment> Assess(IEnumerable<Plant> plants, GardenDay? before = null) =>
        plants
            .AsParallel()
            .Select(plant => before is null ? Assessed(plant) : before.Still(plant, this) ?? Assessed(plant))
            .ToImmutableSortedDictionary(a => a.Plant.Tag, a => a, StringComparer.OrdinalIgnoreCase);

    /// <summary>The assessment that a plant had, where nothing that it rests on has changed since; null where something has.</summary>
    Assessment? Still(Plant plant, GardenDay now) =>
        now.Garden == Garden
        && ReferenceEquals(now.Shelf, Shelf)
        && Find(plant.Tag) is { } known
        && ReferenceEquals(known.Plant.Entries, plant.Entries)
        && known.Plant.Version == plant.Version
        && now.SheetChanges.SequenceEqual(SheetChanges)
        && now.Own.SequenceEqual(Own)
        && known.Situation.Programme is null // which is counted by readings of long ago
        && around.Of(known.Plant).Same(now.around.Of(plant))
            ? known
            : null;

    /// <summary>What could not be read of the stored garden, as sentences.</summary>
    public IReadOnlyList<string> Unread { get; } = [];

    public DateOnly Day { get; }
    public Garden Garden { get; }
    public IReadOnlyList<Place> Places { get; }
    public IReadOnlyList<ForecastDay> Forecast { get; private init; }
    public IReadOnlyList<Vessel> Vessels { get; }

    /// <summary>The mixing shelf.</summary>
    public Shelf Shelf => around.Shelf;

    /// <summary>Empty pots, mixes of the grower's own, young batches.</summary>
    public PottingShed Shed { get; }

    public IReadOnlyList<SheetChange> SheetChanges { get; }

    /// <summary>Programmes of the grower's own, as text.</summary>
    public IReadOnlyList<OwnProgramme> Own { get; }

    /// <summary>Every programme, the grower's own first.</summary>
    public ProgrammeBook Programmes => around.Programmes;

    /// <summary>What programmes are counted by.</summary>
    public ProgrammeAround Counted => around.Counted;

    /// <summary>The round at a place, or everywhere; sorted once, however often it is asked for.</summary>
    public RoundOfDay Round(string? place) =>
        place is null ? rounds.GetOrAdd("", _ => RoundOfDay.Of(Places, Plants))
        : PlaceAt(place) is null ? RoundOfDay.Of(Places, [])
        : rounds.GetOrAdd(place, code => RoundOfDay.Of(Places, Plants.Where(a => a.Plant.Place == code)));

    readonly ConcurrentDictionary<string, RoundOfDay> rounds = new();

    /// <summary>What is ahead in the next weeks.</summary>
    public IReadOnlyList<AgendaItem> Agenda =>
        agenda ??= Core.Planning.Agenda.Of(Plants, around.Weather, around.Programmes, Day, shed: Shed);

    IReadOnlyList<AgendaItem>? agenda;

    /// <summary>Assesses by the sheets with this grower's changes.</summary>
    public Assessor Assessor { get; }

    public IEnumerable<Assessment> Plants => byTag.Values;
    public IReadOnlyCollection<string> Tags => [.. byTag.Keys];

    /// <summary>What a typed line is read against.</summary>
    /// <param name="day">The day that "today" means in it, if not this one.</param>
    public NoteContext NoteContext(DateOnly? day = null) =>
        new(names ??= Names(), day ?? Day, Garden.UsUnits)
        {
            Books = tag => Find(tag)?.Book,
            Sheets = tag => Find(tag)?.Situation?.Sheet,
            Likely = tag => Find(tag) is { } plant ? [.. LikelyEntries.For(plant, Garden.UsUnits).Select(tap => tap.Line)] : [],
            Batches = [.. Shelf.Batches.Where(batch => batch.ThrownAway is null).Select(batch => batch.Code)],
            Mixes = [.. Shelf.Recipes.Select(recipe => recipe.Name)],
        };

    /// <summary>What stays the same from note to note: tags, names, and what stands at each place.</summary>
    SubjectIndex? names;

    SubjectIndex Names()
    {
        var here = Plants.Where(a => !a.Gone && a.Plant.Place is not null).ToLookup(a => a.Plant.Place!, a => a.Plant.Tag);
        return new(
            [.. Plants.Select(a => new NamedPlant(a.Plant.Tag, a.Plant.Name, a.Plant.Taxon, a.Gone))],
            [.. Places.Select(place => new NamedPlace(place.Code, place.Name, [.. here[place.Code]]))],
            Former
        );
    }

    /// <summary>The plant of that tag in any case, also of one it had before; null for none.</summary>
    public Assessment? Find(string? tag) =>
        tag is null ? null
        : byTag.TryGetValue(tag, out var plant) ? plant
        : Former.TryGetValue(tag, out var now) ? byTag.GetValueOrDefault(now)
        : null;

    IReadOnlyDictionary<string, string>? former;

    /// <summary>Tags that plants had before, to those they have now.</summary>
    IReadOnlyDictionary<string, string> Former =>
        former ??= Plants
            .SelectMany(a => a.Plant.FormerTags.Select(old => (old, a.Plant.Tag)))
            .Where(pair => !byTag.ContainsKey(pair.old))
            .DistinctBy(pair => pair.old, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(pair => pair.old, pair => pair.Tag, StringComparer.OrdinalIgnoreCase);

    /// <summary>Trays, reservoirs and cover pots with what stands in them.</summary>
    public IReadOnlyList<SharedVessel> SharedVessels => shared ??= [.. Vessels.Select(vessel => SharedVessel.Of(vessel, Plants, Day))];

    /// <summary>A plant with what is said of the vessel that it shares.</summary>
    public Assessment? WithShared(string? tag) => Find(tag) is { } plant ? GardenAssessed.WithShared(plant, SharedVessels) : null;

    /// <summary>All repot windows, read when first asked for.</summary>
    public RepotBoard Repots => repots ??= RepotBoard.Of(Plants, Day);

    RepotBoard? repots;

    /// <summary>What to mix for the plants that are due now.</summary>
    public TodaysMix Mix => mix ??= TodaysMix.Of(Plants, SharedVessels, Shelf, Day);

    public Place? PlaceOf(Plant plant) => PlaceAt(plant.Place);

    /// <summary>The place of that code, or null.</summary>
    public Place? PlaceAt(string? code) => Places.FirstOrDefault(p => p.Code == code);

    /// <summary>The coolest night of the last week at a place, °C; null where none was measured.</summary>
    public Seen<double>? CoolestNightC(string? place) => around.Weather.At(place).CoolestNight(Day, NightDays);

    /// <summary>How far back a night still speaks for the nights to come.</summary>
    const int NightDays = 7;

    /// <summary>The weather of its places.</summary>
    public PlaceWeathers Weather => around.Weather;

    /// <summary>Devices that send readings by themselves.</summary>
    public IReadOnlyList<Device> Devices { get; }

    /// <summary>The same garden in other weather; plants at places whose weather is as it was keep their assessment.</summary>
    public GardenDay In(PlaceWeathers weather, IReadOnlyList<ForecastDay> forecast)
    {
        var others = Places.Select(place => place.Code).Where(code => !around.Weather.At(code).Same(weather.At(code))).ToHashSet();
        var next = new GardenDay(this, around.In(weather, Plants.Select(a => a.Plant)), byTag) { names = names, Forecast = forecast };
        var changed = Plants.Where(InOther).Select(a => next.Assessed(a.Plant)).Select(a => KeyValuePair.Create(a.Plant.Tag, a)).ToList();
        return changed.Count == 0 ? next : new GardenDay(next, next.around, byTag.SetItems(changed)) { names = names, Forecast = forecast };

        // A programme counts readings of long ago, wherever the plant stood since its start.
        bool Recounted(Assessment a) =>
            a.Situation.Programme is { } run
            && run.Order.Start <= Day
            && Places.Any(place =>
                (
                    place.Code == a.Plant.Place
                    || a.Plant.Entries.Any(entry => entry.On >= run.Order.Start && entry.Sets.Any(set => set.To == place.Code))
                ) && !ReferenceEquals(around.Weather.RecordOf(place.Code), weather.RecordOf(place.Code))
            );

        bool InOther(Assessment a) =>
            (a.Plant.Place is { } here && others.Contains(here))
            || Recounted(a)
            || (a.Situation.Around.CameFrom is { } outside && others.Contains(outside.Place.Code));
    }

    /// <summary>Plants that have to come in before the same cold, place by place.</summary>
    public IReadOnlyList<BringIn> BringIns => bringIns ??= BringIn.Of(Places, Plants, Weather);

    IReadOnlyList<BringIn>? bringIns;

    /// <summary>The next days at each place, and what is at stake there.</summary>
    public IReadOnlyList<PlaceOutlook> Outlooks => outlooks ??= PlaceOutlook.Of(Plants, Weather, Day);

    IReadOnlyList<PlaceOutlook>? outlooks;

    /// <summary>The garden with some plants as they are after a change; what shares their water is assessed anew with them.</summary>
    public GardenDay With(IReadOnlyList<Assessment> changed)
    {
        if (changed.All(InItsPlace))
            return new(this, around, byTag.SetItems(changed.Select(a => KeyValuePair.Create(a.Plant.Tag, a)))) { names = names };
        var tags = changed.ToDictionary(a => a.Plant.Tag, StringComparer.OrdinalIgnoreCase);
        var plants = byTag.Values.Select(a => tags.GetValueOrDefault(a.Plant.Tag, a).Plant).ToList();
        var next = around.With(plants);
        var basis = new GardenDay(this, next, byTag.SetItems(changed.Select(a => KeyValuePair.Create(a.Plant.Tag, a))));
        var sharing = changed
            .SelectMany(a => next.Sharing(a.Plant).Concat(Find(a.Plant.Tag) is { } before ? around.Sharing(before.Plant) : []))
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        return sharing.Count == 0
            ? basis
            : new(
                this,
                next,
                basis.byTag.SetItems(plants.Where(p => sharing.Contains(p.Tag)).Select(p => KeyValuePair.Create(p.Tag, basis.Assessed(p))))
            );
    }

    /// <summary>It stands where it stood and shares no water: nobody else is judged otherwise for what was logged of it.</summary>
    bool InItsPlace(Assessment now) =>
        Find(now.Plant.Tag) is { } before
        && (before.Plant.Tag, before.Plant.Place, before.Gone) == (now.Plant.Tag, now.Plant.Place, now.Gone)
        && before.Plant.Vessel is null
        && now.Plant.Vessel is null
        && ReferenceEquals(before.Plant.FormerTags, now.Plant.FormerTags);

    /// <summary>What lies around a plant.</summary>
    public Surroundings Around(Plant plant) => around.Of(plant);

    /// <summary>The same plants by changed sheets: what a change would make of today.</summary>
    public IEnumerable<(Assessment Now, Assessment Then)> Trying(IReadOnlyList<SheetChange> changes)
    {
        var assessor = Assessor.With(changes);
        return Plants.Select(now => (now, assessor.Assess(now.Plant, Around(now.Plant), Day)));
    }

    /// <summary>A plant of this garden, perhaps with entries that are not written yet, as it would be judged today.</summary>
    public Assessment Assessed(Plant plant)
    {
        var now = plant.On(Day);
        return Assessor.Assess(now, Around(now), Day);
    }
}

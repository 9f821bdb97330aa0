using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Data;
using BudClock.Practice;
using BudClock.SimulatedPlants;
using BudClock.StandIns;
using BudClock.Web.Demo;
using BudClock.Web.Outside;
using BudClock.Web.StandIns;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.Stepping;

/// <summary>
/// Steps the clock of the demo or of a practice garden: the night passes, simulated plants answer to simulated weather and to what the
/// visitor did, and what a careful grower would see is written down. A garden of one's own is never stepped.
/// </summary>
public sealed class SteppingDesk(
    GardenStore store,
    TodaysGarden todaysGarden,
    Logbook logbook,
    Clock clock,
    ServerOptions options,
    OutsideSettings outside,
    ReadingIntake intake,
    PictureFolder pictures,
    OpenFolder folder,
    IDbContextFactory<GardenDb> databases,
    IEnumerable<Beside> beside
)
{
    /// <summary>A turn is looked for so many days ahead at the most.</summary>
    public const int FurthestTurn = 21;

    /// <summary>Weather of so many days lies behind a practice garden when it begins.</summary>
    const int DaysBehind = 40;

    readonly SemaphoreSlim gate = new(1, 1);

    static SimulatedWeather Weather(string? situation) => new(PracticeSituations.Named(situation)?.Seed ?? DemoWeather.Seed);

    /// <summary>The garden that is open is a practice's, and not the one of the demo's own folder.</summary>
    public bool Away => !folder.AtHome;

    /// <summary>This garden's clock can be stepped.</summary>
    public bool CanStep => options.Demo;

    /// <summary>How far it has come; null before the first step.</summary>
    public Task<SteppedState?> StateAsync() => SteppedState.ReadAsync(store);

    /// <summary>Steps so many days, or until something turns.</summary>
    /// <returns>What turned; empty for nothing.</returns>
    public async Task<IReadOnlyList<string>> StepAsync(int days, bool toTurn, CancellationToken cancel)
    {
        await gate.WaitAsync(cancel);
        try
        {
            var turned = new List<string>();
            await StandAloneAsync();
            for (var day = 0; day < days && turned.Count == 0 && !cancel.IsCancellationRequested; day++)
            {
                var news = await DayAsync(cancel);
                if (toTurn)
                    turned.AddRange(news);
                if ((await StateAsync())?.End is not null)
                    break;
            }
            return turned;
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>The devices that send by the true clock are silent from now on: their weather comes with each step.</summary>
    async Task StandAloneAsync()
    {
        foreach (var devices in beside.Select(one => one.Service).OfType<StandInProcesses>())
            await devices.StopAsync(CancellationToken.None);
        if (await outside.ForecastAsync() is null)
            return;
        await logbook.AsideAsync("Forecast by the step", OutsideSettings.Keep((ForecastSettings?)null));
        outside.Tell();
    }

    async Task<IReadOnlyList<string>> DayAsync(CancellationToken cancel)
    {
        var today = (await todaysGarden.TodayAsync())!;
        var state = await StateAsync() ?? Begin(today);
        var deeds = TakeIn(today, state);
        state.LeftUndone += today.Plants.Count(plant => !plant.Gone && plant.Main?.Verdict is Verdict.Do);
        var next = today.Day.AddDays(1);
        var sky = new SimulatedSky(Weather(state.Situation), today.Weather.Calendar);
        await WeatherAsync(sky, today, next, cancel);
        clock.StepTo(next);
        state = state with { Day = next };
        var seen = new List<(string Tag, IReadOnlyList<EntryDraft> Entries)>();
        var news = new List<string>();
        foreach (var plant in today.Plants.Where(plant => !plant.Gone && state.Plants.ContainsKey(plant.Plant.Tag)))
            if (Live(plant, state, deeds, sky, next, news) is { Count: > 0 } entries)
                seen.Add((plant.Plant.Tag, entries));
        await logbook.SeenAsync(seen, state.Keep(), cancel);
        return [.. news, .. await LookAsync(state, cancel)];
    }

    /// <summary>The plants of the garden as they stand, with what is not known of them made up by their log.</summary>
    static SteppedState Begin(GardenDay today) =>
        new(
            today.Day,
            today
                .Plants.Select(plant => (plant.Plant.Tag, Model: Beginnings.Of(plant, DemoWeather.Seed)))
                .Where(pair => pair.Model is not null)
                .ToDictionary(pair => pair.Tag, pair => pair.Model!.State),
            [],
            null
        )
        {
            TakenIn = today.Plants.SelectMany(plant => plant.Plant.Entries).Select(Written(today.Day)).DefaultIfEmpty(0).Max(),
        };

    /// <summary>What the demo's log holds of before was done before; what is of the day itself may have been written just now.</summary>
    static Func<Entry, long> Written(DateOnly day) => entry => entry.On < day ? entry.Logged.UtcTicks : 0;

    /// <summary>What the visitor did since the last step, told by the advice that stood before it.</summary>
    static Dictionary<string, List<Deed>> TakeIn(GardenDay today, SteppedState state)
    {
        var deeds = new Dictionary<string, List<Deed>>();
        var latest = state.TakenIn;
        foreach (var plant in today.Plants)
        {
            var fresh = plant.Plant.Entries.Where(entry => !entry.Struck && entry.Logged.UtcTicks > state.TakenIn).ToList();
            if (fresh.Count == 0)
                continue;
            latest = Math.Max(latest, fresh.Max(entry => entry.Logged.UtcTicks));
            foreach (var entry in fresh.OrderBy(entry => entry.Logged))
            {
                var before = plant.Plant with { Entries = [.. plant.Plant.Entries.Where(other => other.Logged < entry.Logged)] };
                if (Told.Of(entry, plant.Plant.Tag, today.Assessed(before.On(today.Day))) is { } told)
                    state.Acts.Add(told);
                var done = Deeds.Of(entry).ToList();
                if (done.Count > 0)
                    (deeds.TryGetValue(plant.Plant.Tag, out var mine) ? mine : deeds[plant.Plant.Tag] = []).AddRange(done);
            }
        }
        state.TakenIn = latest;
        return deeds;
    }

    async Task WeatherAsync(SimulatedSky sky, GardenDay today, DateOnly day, CancellationToken cancel)
    {
        var readings = today
            .Places.SelectMany(place => sky.Readings(place, day, today.Devices.FirstOrDefault(device => device.Place == place.Code)?.Code))
            .ToList();
        if (readings.Count > 0)
            await logbook.MeasureAsync(readings, cancel);
        // What each device said last is read anew: it spoke by the step.
        foreach (var device in today.Devices)
            intake.Forget(device.Code);
        await logbook.ForecastAsync([.. sky.Forecast(day)], cancel);
    }

    static List<EntryDraft> Live(
        Assessment plant,
        SteppedState state,
        Dictionary<string, List<Deed>> deeds,
        SimulatedSky sky,
        DateOnly day,
        List<string> news
    )
    {
        var tag = plant.Plant.Tag;
        if (Habits.Of(plant.Plant.Genus) is not { } habit)
            return [];
        var model = new SimulatedPlant(habit, state.Plants[tag]);
        var place = plant.Situation.Around.Place ?? new Place("", "", "indoors");
        model.Live(sky.At(place, day), deeds.GetValueOrDefault(tag) ?? []);
        var entries = CarefulEye
            .Glance(model, Last(plant, EntryKinds.Leaves), Last(plant, EntryKinds.Bulbs))
            .Select(sight => Drafted(sight, day))
            .OfType<EntryDraft>()
            .ToList();
        if (!model.Alive)
            entries.Add(new(EntryKinds.Died, day, Text: model.State.DiedOf));
        if (model.News.Any(sight => sight.Kind == "bloom-opened"))
            state.Bloomed.TryAdd(tag, day);
        news.AddRange(model.News.Select(sight => $"{tag}: {EntryKinds.Find(sight.Kind)?.Words.ToLowerInvariant() ?? sight.Kind}"));
        if (!model.Alive)
            news.Add($"{tag} died: {model.State.DiedOf}");
        return entries;
    }

    static string? Last(Assessment plant, EntryKind kind) => plant.Situation.Journal.Last(kind)?.Text;

    static EntryDraft? Drafted(Sight sight, DateOnly day) =>
        Deeds.Seen(sight, day, DateTimeOffset.UnixEpoch, Guid.Empty) is { } entry ? new(entry.Kind, day, entry.Amount, entry.Text) : null;

    /// <summary>Where the advice asks for a look, a careful grower looks, and writes it down.</summary>
    async Task<IReadOnlyList<string>> LookAsync(SteppedState state, CancellationToken cancel)
    {
        var today = (await todaysGarden.TodayAsync())!;
        var seen = new List<(string, IReadOnlyList<EntryDraft>)>();
        foreach (var plant in today.Plants.Where(plant => !plant.Gone && state.Plants.ContainsKey(plant.Plant.Tag)))
        {
            if (Habits.Of(plant.Plant.Genus) is not { } habit)
                continue;
            var model = new SimulatedPlant(habit, state.Plants[plant.Plant.Tag]);
            var drafts = plant
                .Advice.Where(advice => advice.Verdict is Verdict.Look)
                .SelectMany(advice => CarefulEye.Look(model, advice))
                .DistinctBy(sight => (sight.Kind, sight.Part))
                .Select(sight => Drafted(sight, today.Day))
                .OfType<EntryDraft>()
                .ToList();
            if (drafts.Count > 0)
                seen.Add((plant.Plant.Tag, drafts));
        }
        if (PracticeSituations.Named(state.Situation) is { } situation && state.End is null)
            state.End = situation.End(View(today, state));
        await logbook.SeenAsync(seen, state.Keep(), cancel);
        return state.End is null ? [] : ["The practice has come to its end."];
    }

    /// <summary>What a run has come to.</summary>
    public static PracticeView View(GardenDay today, SteppedState state) =>
        new(
            state.Day,
            state
                .Plants.Select(one => (one.Key, Habit: Habits.Of(today.Find(one.Key)?.Plant.Genus), State: one.Value))
                .Where(one => one.Habit is not null)
                .ToDictionary(one => one.Key, one => new SimulatedPlant(one.Habit!, one.State)),
            state.Acts,
            state.Bloomed
        );

    /// <summary>A practice has a folder of its own inside the demo's; what was written in another one stays in that.</summary>
    async Task OpenAsync(string name)
    {
        var stamp = DateTime.UtcNow.ToString("yyyyMMdd-HHmmss", System.Globalization.CultureInfo.InvariantCulture);
        var inside = Path.Combine(folder.Home, "practice", $"{stamp}-{name}");
        GardenFolder.Create(inside);
        folder.Open(inside);
        await GardenFolder.PrepareAsync(databases, inside, words => Serilog.Log.Warning("{Words}", words));
        todaysGarden.Forget();
    }

    /// <summary>The garden of the demo's own folder, as it was left.</summary>
    public async Task HomeAsync()
    {
        await gate.WaitAsync();
        try
        {
            folder.Open(folder.Home);
            todaysGarden.Forget();
            var stepped = await StateAsync();
            clock.StepTo(stepped?.Day ?? options.Day ?? DemoGarden.Day);
            todaysGarden.Forget();
            if (stepped is null)
                foreach (var devices in beside.Select(one => one.Service).OfType<StandInProcesses>())
                    await devices.StartAsync(CancellationToken.None);
            outside.Tell();
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>Begins a set situation, or the lighthouse as it was at first for null, in a folder of its own. Only in a demo.</summary>
    public async Task BeginAsync(PracticeSituation? situation, CancellationToken cancel)
    {
        if (!CanStep)
            throw new ActRefusedException("Only the demo's garden can be practised in.");
        await gate.WaitAsync(cancel);
        try
        {
            await OpenAsync(situation?.Name ?? "lighthouse");
            await StandAloneAsync();
            var garden = situation?.Garden ?? DemoGarden.With(pictures);
            var day = situation?.Day ?? DemoGarden.Day;
            await logbook.BeginWithAsync(situation is null ? "The demo garden" : situation.Title, garden);
            clock.StepTo(day);
            todaysGarden.Forget();
            var sky = new SimulatedSky(Weather(situation?.Name), new GardenDays(garden.Garden));
            for (var back = DaysBehind; back >= 0; back--)
                await WeatherAsync(sky, (await todaysGarden.TodayAsync())!, day.AddDays(-back), cancel);
            if (situation is null)
                return;
            var state = new SteppedState(day, situation.Hidden.ToDictionary(), [], situation.Name)
            {
                TakenIn = garden.Plants.SelectMany(plant => plant.Entries).Max(entry => entry.Logged.UtcTicks),
            };
            await logbook.AsideAsync("Practice begun", state.Keep(), cancel);
        }
        finally
        {
            gate.Release();
        }
    }
}

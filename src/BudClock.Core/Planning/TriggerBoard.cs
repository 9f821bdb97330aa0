using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Programmes;

namespace BudClock.Core.Planning;

/// <summary>What a lane of the triggers view is of.</summary>
public enum TriggerKind
{
    /// <summary>A programme that runs or is planned.</summary>
    Programme,

    /// <summary>Bulbs for a date.</summary>
    Bulbs,

    /// <summary>A spike on its way.</summary>
    Spike,
}

/// <summary>A stretch of a lane.</summary>
/// <param name="Name">What it is: "cool nights", "dark week", "in bloom".</param>
/// <param name="From">Its first day.</param>
/// <param name="To">Its last day, or the likely one.</param>
/// <param name="Expected">It lies ahead, wholly or in part.</param>
/// <param name="Bloom">Flowers.</param>
/// <param name="Latest">The late end of its range; its last day where it has none.</param>
public sealed record TriggerSpan(string Name, DateOnly From, DateOnly To, bool Expected, bool Bloom, DateOnly Latest);

/// <summary>One lane: a plant with its programme, its bulbs or its spike.</summary>
/// <param name="Title">The programme, or what is expected.</param>
/// <param name="Says">How it stands, as one sentence.</param>
/// <param name="Start">The day that can be moved: a planting day, a planned start; null where it has begun.</param>
/// <param name="Order">The entry that says it; null for a spike.</param>
public sealed record TriggerLane(
    string Tag,
    string Called,
    TriggerKind Kind,
    string Title,
    string Says,
    IReadOnlyList<TriggerSpan> Spans,
    DateOnly? Start,
    Guid? Order
)
{
    /// <summary>The grower paused it.</summary>
    public bool Paused { get; init; }

    /// <summary>The day on which flowers or buds are expected; null where nothing tells.</summary>
    public DateOnly? Bloom => Spans.LastOrDefault(span => span.Bloom)?.From;
}

/// <summary>Two things that do not go together.</summary>
/// <param name="On">The day on which they meet.</param>
/// <param name="Words">What meets what, and what to do.</param>
/// <param name="Tags">Whom it is about.</param>
public sealed record TriggerConflict(DateOnly On, string Words, IReadOnlyList<string> Tags);

/// <summary>Days on which nobody is there.</summary>
/// <param name="From">The first.</param>
/// <param name="To">The last.</param>
public sealed record Away(DateOnly From, DateOnly To)
{
    /// <summary>Nobody is there on that day.</summary>
    public bool Covers(DateOnly day) => day >= From && day <= To;
}

/// <summary>All programmes, forced bulbs and expected blooms of a garden as lanes over the coming months, with what meets badly.</summary>
public sealed record TriggerBoard(IReadOnlyList<TriggerLane> Lanes, IReadOnlyList<TriggerConflict> Conflicts)
{
    /// <summary>Flowers are drawn so long where nothing is known of how long they last, days.</summary>
    const int BloomDays = 21;

    /// <summary>Lays the board out.</summary>
    public static TriggerBoard Of(IEnumerable<Assessment> plants, IReadOnlyList<Away> away, DateOnly today)
    {
        var here = plants.Where(plant => !plant.Gone).ToList();
        var lanes = here.SelectMany(plant => Of(plant, today))
            .OrderBy(lane => lane.Kind)
            .ThenBy(lane => lane.Spans[0].From)
            .ThenBy(lane => lane.Tag, StringComparer.Ordinal)
            .ToList();
        return new(lanes, [.. Meet(lanes, here, away, today).OrderBy(conflict => conflict.On)]);
    }

    static IEnumerable<TriggerLane> Of(Assessment plant, DateOnly today)
    {
        var run = plant.Situation.Programme;
        if (run is { State: RunState.Running or RunState.Planned or RunState.Paused } going && Lane(plant, going, today) is { } lane)
            yield return lane;
        else if (
            plant.Forecasts.FirstOrDefault(forecast => forecast.Of is Forecasts.FirstFlower or Forecasts.PlantedToFlower) is { } flower
        )
            yield return Spike(plant, flower, today);
    }

    static TriggerLane? Lane(Assessment plant, ProgrammeRun run, DateOnly today)
    {
        if (plant.Situation.Sheet.Is(Traits.Forced) && run.Steps.Count <= 1)
            return run.Order.BloomOn is { } wanted ? Bulbs(plant, run, wanted) : null;
        var spans = new List<TriggerSpan>();
        foreach (var done in run.Steps.Where(step => step.To is not null))
            spans.Add(new(done.Step.Title, done.From, done.To!.Value, false, false, done.To.Value));
        var from = run.Now?.From ?? run.Order.Start;
        foreach (var ahead in plant.Situation.Outlook.Of(run))
        {
            var to = ahead.Likely ?? from.AddDays(ahead.Step.Measure.Need);
            spans.Add(new(ahead.Step.Title, from, Later(to, from), true, false, ahead.Latest ?? to));
            from = Later(to, from);
        }
        if (run.Programme.Done.Count > 0)
            spans.Add(new("buds or spike", from, from.AddDays(BloomDays), true, true, spans[^1].Latest.AddDays(BloomDays)));
        return new(
            plant.Plant.Tag,
            plant.Plant.Called,
            run.Programme.Rule == "B2" ? TriggerKind.Bulbs : TriggerKind.Programme,
            run.Programme.Title,
            Says(plant),
            spans,
            run.State is RunState.Planned ? run.Order.Start : null,
            run.Order.Entry.Id
        )
        {
            Paused = run.State is RunState.Paused,
        };
    }

    static TriggerLane Bulbs(Assessment plant, ProgrammeRun run, DateOnly wanted)
    {
        var took = BulbInterval.Of(plant.Situation);
        var planting = wanted.AddDays(-(int)Math.Round(took.Likely));
        var light = planting.AddDays(plant.Situation.Limits<ForcingLimits>().Dark);
        return new(
            plant.Plant.Tag,
            plant.Plant.Called,
            TriggerKind.Bulbs,
            run.Order.Bulbs is { } bulbs ? $"{bulbs} bulbs for {Dates.Short(wanted)}" : $"Bulbs for {Dates.Short(wanted)}",
            Says(plant),
            [
                new("held back", run.Order.Start, planting, true, false, planting),
                new("dark week", planting, light, true, false, light),
                new("bright and cool", light, wanted, true, false, planting.AddDays((int)Math.Round(took.To))),
                new("in bloom", wanted, wanted.AddDays(BloomDays), true, true, wanted.AddDays(BloomDays)),
            ],
            planting,
            run.Order.Entry.Id
        );
    }

    static TriggerLane Spike(Assessment plant, Forecast flower, DateOnly today)
    {
        var began = plant.Recorded.LastOrDefault(lane => lane is { Kind: LaneKind.Spike, Open: true })?.From
            ?? plant.Situation.Journal.Last(EntryKinds.Planted)?.On
            ?? flower.Made;
        var open = Later(flower.Likely, today);
        return new(
            plant.Plant.Tag,
            plant.Plant.Called,
            TriggerKind.Spike,
            "First flower",
            $"First flower about {Dates.Near(flower.Likely, today)} ({Dates.Range(flower.From, flower.To)}), by {flower.Source}.",
            [
                new("on its way", began, open, true, false, flower.To),
                new("in bloom", open, open.AddDays(BloomDays), true, true, Later(flower.To, open).AddDays(BloomDays)),
            ],
            null,
            null
        );
    }

    static string Says(Assessment plant) =>
        plant.Advice.FirstOrDefault(advice => advice.Topic == Topics.Trigger)?.Reason ?? plant.Main?.Reason ?? "";

    static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;

    static IEnumerable<TriggerConflict> Meet(
        IReadOnlyList<TriggerLane> lanes,
        IReadOnlyList<Assessment> plants,
        IReadOnlyList<Away> away,
        DateOnly today
    ) => Shelf(lanes, today).Concat(Holiday(lanes, away, today)).Concat(Watered(plants, today));

    /// <summary>Two lots that want the cool dark in the same days.</summary>
    static IEnumerable<TriggerConflict> Shelf(IReadOnlyList<TriggerLane> lanes, DateOnly today)
    {
        var dark = lanes
            .SelectMany(lane => lane.Spans.Where(span => span.Name == "dark week" && span.To >= today).Select(span => (lane, span)))
            .OrderBy(pair => pair.span.From)
            .ToList();
        foreach (var (first, second) in dark.Zip(dark.Skip(1)))
            if (second.span.From < first.span.To)
                yield return new(
                    second.span.From,
                    $"{first.lane.Tag} and {second.lane.Tag} want the cool dark shelf in the same days, from "
                        + $"{Dates.Short(second.span.From)}: is there room for both at 10 °C? Else move one.",
                    [first.lane.Tag, second.lane.Tag]
                );
    }

    /// <summary>A turn on a day on which nobody is there.</summary>
    static IEnumerable<TriggerConflict> Holiday(IReadOnlyList<TriggerLane> lanes, IReadOnlyList<Away> away, DateOnly today) =>
        from lane in lanes
        from span in lane.Spans.Where(span => span is { Bloom: false } && span.From > today)
        from gone in away.Where(gone => gone.Covers(span.From))
        select new TriggerConflict(
            span.From,
            $"{lane.Tag}: {span.Name} begins on {Dates.Short(span.From)}, and you are away from {Dates.Range(gone.From, gone.To)}. Move "
                + $"it, or ask somebody.",
            [lane.Tag]
        );

    /// <summary>A plant in its dry weeks over water that others are given.</summary>
    static IEnumerable<TriggerConflict> Watered(IReadOnlyList<Assessment> plants, DateOnly today) =>
        from plant in plants
        where plant.Situation.Programme is { Rules.Water: StepWater.None }
        where plant.Plant.Vessel is not null || plant.Situation.Programme is { Now.Setback: not null }
        select new TriggerConflict(
            today,
            plant.Plant.Vessel is not null
                ? $"{plant.Plant.Tag} is in its dry weeks and stands in a vessel that others drink from: take it out."
                : $"{plant.Plant.Tag} was watered in its dry weeks: {plant.Situation.Programme!.Now!.Setback!.Costs}.",
            [plant.Plant.Tag]
        );
}

using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>
/// Rule W8: one advice for a tray, reservoir or cover pot that plants share; those that need another regime are named to take out.
/// </summary>
/// <param name="Said">What is to be taken out, and whether it is to be filled, side by side; none where nothing is to be said.</param>
/// <param name="Out">Plants that should not stand in it now, with the reason.</param>
public sealed record SharedVessel(
    Vessel Vessel,
    IReadOnlyList<Assessment> Plants,
    IReadOnlyList<Advice> Said,
    IReadOnlyList<(Assessment Plant, string Why)> Out
)
{
    /// <summary>What comes first; null where nothing is to be said.</summary>
    public Advice? Advice => Said.MinBy(advice => advice.Verdict);

    /// <summary>Its water is asked for today.</summary>
    public bool AsksForWater => Said.Any(advice => advice.Asks && advice.Care.AnswersWater());

    /// <summary>The newest level; null where none holds.</summary>
    public LevelSeen? Level { get; private init; }

    /// <summary>How fast it falls, cm a day; null below two falls on record.</summary>
    public double? CmPerDay { get; private init; }

    /// <summary>What is to be said of a vessel, from the plants that stand in it.</summary>
    public static SharedVessel Of(Vessel vessel, IEnumerable<Assessment> plants, DateOnly today)
    {
        var inside = plants.Where(a => !a.Gone && a.Plant.Vessel == vessel.Code).ToList();
        if (inside.Count == 0)
            return new(vessel, inside, [], []);
        var take = inside
            .Select(a => (Plant: a, Why: WhyOut(a, vessel)))
            .Where(pair => pair.Why is not null)
            .Select(pair => (pair.Plant, pair.Why!))
            .ToList();
        var stay = inside.Where(a => take.All(pair => pair.Plant != a)).ToList();
        var levels = inside[0].Situation.Levels;
        return new(vessel, inside, [.. Judge(vessel, stay, take, levels, today)], take)
        {
            Level = levels.Level,
            CmPerDay = levels.CmPerDay,
        };
    }

    static string? WhyOut(Assessment plant, Vessel vessel)
    {
        var now = plant.Situation;
        if (now.Rot is { Open: true } rot)
            return $"{rot.Words}, set it apart (V2)";
        if (vessel.Kind == Vessel.CoverPot)
            return null;
        if (now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves) is { } turn && turn.Kind == EntryKinds.WinterRosette)
            return $"its winter rosette since {Dates.Near(turn.On, now.Today)} wants to be dry (W7)";
        if (now.Resting || now.DryRest.Waking)
            return now.DryRest.Waking ? "it waits dry for its first water (W1)" : "it rests";
        if (now.Roots.Dead)
            return "it has no live root (V3)";
        return vessel.Kind == Vessel.Tray && !now.Sheet.Is(Traits.StandsInWater) ? "its roots are not made to stand in water" : null;
    }

    static IEnumerable<Advice> Judge(
        Vessel vessel,
        List<Assessment> stay,
        List<(Assessment Plant, string Why)> take,
        Levels levels,
        DateOnly today
    )
    {
        if (take.Count > 0)
        {
            var conditions = take.Select(pair => new Condition(
                    $"{pair.Plant.Plant.Tag} suits the {vessel.Kind}",
                    new("no"),
                    new("yes"),
                    null,
                    false,
                    null
                ))
                .ToList();
            yield return new(
                Topics.Tray,
                "W8",
                Care.TakeOut,
                Verdict.Look,
                today,
                $"Take out {string.Join("; ", take.Select(pair => $"{pair.Plant.Plant.Tag} ({pair.Plant.Plant.Called}): {pair.Why}"))}.",
                conditions
            );
        }
        var water = vessel.Kind switch
        {
            Vessel.CoverPot => Standing(vessel, levels, today),
            Vessel.Tray => Fill(stay),
            _ => stay.Count == 0 ? null : Low(levels, today),
        };
        if (water is null)
            yield break;
        var first = take.Count > 0 ? " What is named to take out comes out first." : "";
        yield return water with
        {
            Topic = Topics.Tray,
            Reason = vessel.Kind == Vessel.CoverPot ? water.Reason : $"{Names(stay)} in {vessel.Name}: {Small(water.Reason)}{first}",
        };
    }

    static Advice? Standing(Vessel vessel, Levels levels, DateOnly today) =>
        levels.Level is { Cm: > 0 } standing
            ? new(
                Topics.Tray,
                "W11",
                Care.TakeWaterAway,
                Verdict.Do,
                today,
                $"Water stood in {vessel.Name} {Dates.Ago(standing.On, today)}: tip it out, let the pots drain, put them back.",
                [Condition.Sign("water in the cover pot", standing.On)]
            )
            {
                Ground = Ground.Emergency,
            }
            : null;

    static Advice? Low(Levels levels, DateOnly today)
    {
        if (levels.Low is { } low)
            return new(
                Topics.Tray,
                "W9",
                Care.TopUp,
                Verdict.Do,
                today,
                $"The level was {low.Words} {Dates.Ago(low.On, today)}: top up.",
                [Condition.Sign("reservoir low", low.On)]
            );
        return levels.AsksOn <= today
            ? new(
                Topics.Tray,
                "W9",
                Care.TopUp,
                Verdict.Look,
                today,
                "At its rate it is empty by now: look, and top up.",
                [Condition.Known("expected empty", null, null, levels.AsksOn)]
            )
            {
                Ground = Ground.Interval,
            }
            : null;
    }

    /// <summary>
    /// The depth of the most careful plant serves for all; the driest decides whether it is filled, and each its own flush.
    /// </summary>
    static Advice? Fill(List<Assessment> stay)
    {
        var drinks = stay.Where(a => a.Situation.Sheet.Is(Traits.StandsInWater)).ToList();
        if (drinks.Count == 0)
            return null;
        var shallowest = drinks.MinBy(a => a.Situation.Limits<TrayLimits>().Depth)!;
        var driest = drinks.FirstOrDefault(a => a.Situation.Wetness.IsDry);
        var asked = TrayAdviser.Fill((driest ?? shallowest).Situation, shallowest.Situation.Levels);
        if (driest is null)
            return asked;
        var depth = string.Create(CultureInfo.InvariantCulture, $"{shallowest.Situation.Limits<TrayLimits>().Depth:0.#} cm");
        return asked.Verdict is Verdict.Do
            ? asked with
            {
                Reason =
                    $"{driest.Plant.Tag} is dry: refill to {depth} with water below "
                    + $"{shallowest.Situation.Limits<TrayLimits>().Tds:0} ppm now.",
                Because = $"{driest.Plant.Tag} is dry",
            }
            : asked;
    }

    static string Names(List<Assessment> plants) =>
        string.Create(CultureInfo.InvariantCulture, $"{plants.Count} {(plants.Count == 1 ? "plant" : "plants")}");

    static string Small(string sentence) =>
        sentence.Length > 1 && char.IsUpper(sentence[1]) ? sentence : char.ToLowerInvariant(sentence[0]) + sentence[1..];
}

using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W8: one advice for a tray or reservoir that plants share; those that need another regime are named to take out.</summary>
/// <param name="Advice">Null for a vessel with nothing in it.</param>
/// <param name="Out">Plants that should not stand in it now, with the reason.</param>
public sealed record SharedVessel(Vessel Vessel, IReadOnlyList<Assessment> Plants, Advice? Advice, IReadOnlyList<(Assessment Plant, string Why)> Out)
{
    public DrinkingRate.Reading? Level { get; private init; }

    /// <summary>How fast it falls, cm a day; null below two falls on record.</summary>
    public double? CmPerDay { get; private init; }

    public static SharedVessel Of(Vessel vessel, IEnumerable<Assessment> plants, DateOnly today)
    {
        var inside = plants.Where(a => a is { Gone: false, Situation: not null } && a.Plant.Vessel == vessel.Code).ToList();
        var kind = vessel.Kind == Vessel.Reservoir ? EntryKinds.Reservoir : EntryKinds.Tray;
        // A level written down for one plant is the level of all: they stand in the same water.
        var levels = PlantJournal.UpTo(today, inside.SelectMany(a => a.Plant.Entries).Where(e => e.Kind == kind || e.Kind == EntryKinds.ToppedUp).DistinctBy(e => (e.On, e.Kind, e.Text, e.Amount)));
        var take = inside.Select(a => (Plant: a, Why: WhyOut(a, vessel))).Where(pair => pair.Why is not null).Select(pair => (pair.Plant, pair.Why!)).ToList();
        return new(vessel, inside, Judge(vessel, inside, take, levels, today), take) { Level = DrinkingRate.Level(levels, kind, today), CmPerDay = DrinkingRate.CmPerDay(levels, kind) };
    }

    static string? WhyOut(Assessment plant, Vessel vessel)
    {
        var now = plant.Situation!;
        if (vessel.Kind == Vessel.Reservoir) return now.Rest is not null ? "it rests" : null;
        if (now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves) is { } turn && turn.Kind == EntryKinds.WinterRosette) return $"its winter rosette since {Dates.Near(turn.On, now.Today)} wants to be dry (W7)";
        if (now.Rest is not null) return "it rests";
        return now.Sheet.Rule("W6") is null ? "its roots are not made to stand in water" : null;
    }

    static Advice? Judge(Vessel vessel, List<Assessment> inside, List<(Assessment Plant, string Why)> take, PlantJournal levels, DateOnly today)
    {
        if (inside.Count == 0) return null;
        if (vessel.Kind == Vessel.CoverPot)
            return DrinkingRate.Level(levels, EntryKinds.Tray, today) is { Cm: > 0 } standing
                ? new(Topics.Tray, "W11", Verdict.Do, today, $"Water stood in {vessel.Name} {Dates.Ago(standing.On, today)}: tip it out, let the pots drain, put them back.", [Condition.Sign("water in the cover pot", standing.On)])
                : null;
        var stay = inside.Where(a => take.All(pair => pair.Plant != a)).ToList();
        var water = stay.FirstOrDefault(a => a.Situation!.Sheet.Rule("W6") is not null) is { } drinks ? TrayAdviser.Judge(Shallowest(stay, drinks).Situation!, levels) : null;
        if (take.Count == 0) return water is null ? null : water with { Topic = Topics.Tray, Reason = $"{Names(stay)} in {vessel.Name}: {Small(water.Reason)}" };
        var conditions = take.Select(pair => new Condition($"{pair.Plant.Plant.Tag} suits the tray", new("no"), new("yes"), null, false, null)).ToList();
        var rest = water is null ? "" : $" For the others: {Small(water.Reason)}";
        return new(Topics.Tray, "W8", Verdict.Look, today, $"Take out {string.Join("; ", take.Select(pair => $"{pair.Plant.Plant.Tag} ({pair.Plant.Plant.Called}): {pair.Why}"))}.{rest}", conditions) { LoggedAs = EntryKinds.Moved };
    }

    /// <summary>The depth of the most careful plant serves for all.</summary>
    static Assessment Shallowest(List<Assessment> stay, Assessment any) =>
        stay.Where(a => a.Situation!.Sheet.Rule("W6") is not null).MinBy(a => a.Situation!.Needs("W6", "depth")) ?? any;

    static string Names(List<Assessment> plants) => string.Create(CultureInfo.InvariantCulture, $"{plants.Count} {(plants.Count == 1 ? "plant" : "plants")}");

    static string Small(string sentence) => char.ToLowerInvariant(sentence[0]) + sentence[1..];
}

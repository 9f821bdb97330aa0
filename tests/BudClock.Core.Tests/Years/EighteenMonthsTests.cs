using System.Collections.Concurrent;
using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Tests.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Years;

/// <summary>
/// Eighteen months of every kind in every pot that it may stand in, with nothing the matter: day by day nothing is held back without a
/// reason, nothing turns without a cause, no two answers exclude each other, and no question goes on and on. Acts are known here by
/// name, and what happened by the raw log.
/// </summary>
public class EighteenMonthsTests
{
    static readonly Pot[] Pots = [new(9, 8, "plastic"), new(16, 15, "clay"), new(13, 12, "reservoir")];

    static readonly Surroundings Mild = Around with { Place = new("here", "Here", "indoors") };

    /// <summary>How old what an order rests on may be, days, by hand: a dry medium that nobody watered stays dry, all else passes.</summary>
    static int AgeOf(string condition) =>
        condition.Contains("medium", StringComparison.Ordinal) ? 60
        : condition.Contains("night", StringComparison.Ordinal) ? 4
        : condition.Contains("leaves", StringComparison.Ordinal) ? 21
        : condition.Contains("bulbs", StringComparison.Ordinal) ? 45
        : condition.Contains("root", StringComparison.Ordinal) ? 30
        : condition.Contains("level", StringComparison.Ordinal) || condition.Contains("water below", StringComparison.Ordinal) ? 30
        : 400;

    [Fact]
    public void Kept_fully_in_one_pot() => Judge([.. Lives([Pots[0]], [Kept.Fully])]);

    [Fact, Long]
    public void Kept_fully_by_half_and_with_a_gap_in_every_pot() => Judge([.. Lives(Pots, Enum.GetValues<Kept>())]);

    static IEnumerable<Lived> Lives(Pot[] pots, Kept[] keeps) =>
        from kind in Journals.Kinds
        let life = Life.Of[kind.Sheet]
        from pot in life.AnyPot ? pots : pots[..1]
        from kept in keeps
        select new Lived(kind.Sheet, life, pot, kept, LifeLog.Plant(kind, pot, kept));

    sealed record Lived(string Sheet, Life Life, Pot Pot, Kept Kept, Plant Plant)
    {
        public string Called => $"{Sheet}, {Pot.Kind}, {Kept}";
    }

    static void Judge(IReadOnlyList<Lived> lives)
    {
        var faults = new ConcurrentBag<string>();
        Parallel.ForEach(lives, lived => Live(lived, faults.Add));
        Assert.True(faults.IsEmpty, $"{faults.Count} faults\n{string.Join("\n", faults.Order(StringComparer.Ordinal))}");
    }

    static void Live(Lived lived, Action<string> fault)
    {
        var log = lived.Plant.Entries;
        var asked = new Dictionary<(string, Care), List<DateOnly>>();
        Assessment? before = null;
        for (var day = LifeLog.First.AddDays(30); day <= LifeLog.Last; day = day.AddDays(1))
        {
            var said = Assessor.Shipped.Assess(lived.Plant, Mild with { Weather = Night(new Seen<double>(17, day)) }, day);
            if (said.Gone)
                break;
            HoldsNothingBack(lived, said, fault);
            ExcludesNothing(lived, said, fault);
            IsNew(lived, said, fault);
            if (before is not null && !log.Any(e => e.On == day))
                TurnsNothing(lived, before, said, fault);
            Asks(lived, said, asked, fault);
            before = said;
        }
    }

    /// <summary>Nothing is the matter: in growth, twice its interval after its last water, water is at least asked about.</summary>
    static void HoldsNothingBack(Lived lived, Assessment said, Action<string> fault)
    {
        var every = lived.Life.Every * (lived.Kept is Kept.ByHalf ? 2 : 1);
        var watered = lived.Plant.Entries.LastOrDefault(e =>
            e.On <= said.On && (e.Kind == EntryKinds.Watered || e.Kind == EntryKinds.Soaked || e.Kind == EntryKinds.ToppedUp)
        );
        if (!lived.Life.Grows(said.On) || watered is null || said.On.DayNumber - watered.On.DayNumber <= 2 * every)
            return;
        var water = said.Settled.Where(a => Acts.Waters.Contains(Name(a))).ToList();
        if (water.Count == 0)
            fault($"silent: {lived.Called}: {said.On}: nothing of water {said.On.DayNumber - watered.On.DayNumber} days after it");
        else if (water.TrueForAll(a => a.Verdict is Verdict.Hold))
            fault($"held: {lived.Called}: {said.On}: {water[0].Rule} {water[0].Reason}");
    }

    static void ExcludesNothing(Lived lived, Assessment said, Action<string> fault)
    {
        var does = said.Settled.Where(a => a.Verdict is Verdict.Do).ToList();
        foreach (var (one, other) in Acts.Exclusive)
            if (does.Find(a => one.Contains(Name(a))) is { } a && does.Find(b => other.Contains(Name(b))) is { } b)
                fault($"exclusive: {lived.Called}: {said.On}: {a.Rule} {a.Reason} | {b.Rule} {b.Reason}");
        foreach (var acts in (string[][])[Acts.Waters, Acts.Feeds, ["repot"], ["divide"], ["wake"], ["take-out"], ["bring-in"]])
            if (
                does.Find(a => acts.Contains(Name(a))) is { } order
                && said.Settled.FirstOrDefault(a => a.Verdict is Verdict.Hold && acts.Contains(Name(a))) is { } hold
            )
                fault($"do and hold: {lived.Called}: {said.On}: {order.Rule} {order.Reason} | {hold.Rule} {hold.Reason}");
    }

    static void IsNew(Lived lived, Assessment said, Action<string> fault)
    {
        foreach (var order in said.Settled.Where(a => a.Verdict is Verdict.Do))
        foreach (var rests in order.Conditions)
            if (rests.Seen is { } seen && said.On.DayNumber - seen.DayNumber > AgeOf(rests.Name))
                fault($"old: {lived.Called}: {said.On}: {order.Rule} {order.Reason} rests on {rests.Name} of {seen}");
    }

    /// <summary>Nobody wrote anything: an order comes or goes only on a day that was named before.</summary>
    static void TurnsNothing(Lived lived, Assessment before, Assessment said, Action<string> fault)
    {
        foreach (var now in said.Settled.Where(a => a.Verdict is not Verdict.Look))
        {
            var was = before.Settled.Where(a => a.Care == now.Care && a.Verdict is not Verdict.Look).ToList();
            if (was.Count == 0 || was.Exists(a => a.Verdict == now.Verdict))
                continue;
            if (was.Exists(a => a.Due == said.On || a.Until == before.On || a.Until == said.On))
                continue;
            fault($"turned: {lived.Called}: {said.On}: {was[0].Rule} {was[0].Verdict} {was[0].Reason} | {now.Rule} {now.Reason}");
        }
        foreach (var was in before.Settled.Where(a => a.Verdict is Verdict.Do && a.Until != before.On))
            if (!said.Settled.Any(a => a.Care == was.Care))
                fault($"gone: {lived.Called}: {said.On}: {was.Rule} {was.Reason}");
        foreach (var now in said.Settled.Where(a => a.Verdict is Verdict.Do))
            if (!before.Settled.Any(a => a.Care == now.Care))
                fault($"come: {lived.Called}: {said.On}: {now.Rule} {now.Reason}");
    }

    /// <summary>
    /// A question that nobody answered is asked on four days in a month and no more. Once it is gone it was answered; and who writes of
    /// something else meanwhile is asked once anew.
    /// </summary>
    static void Asks(Lived lived, Assessment said, Dictionary<(string, Care), List<DateOnly>> asked, Action<string> fault)
    {
        foreach (var gone in asked.Keys.Where(key => !said.Settled.Any(a => Looks(a, key))).ToList())
            asked.Remove(gone);
        foreach (var look in said.Advice.Where(a => a is { Verdict: Verdict.Look, Urgent: false }))
        {
            var days = asked.TryGetValue((look.Rule, look.Care), out var known) ? known : asked[(look.Rule, look.Care)] = [];
            days.RemoveAll(day => day <= said.On.AddDays(-30));
            if (days is [.., var last] && lived.Plant.Entries.Any(e => e.On > last && e.On <= said.On))
                days.Clear();
            days.Add(said.On);
            if (days.Count == 5)
                fault($"asked: {lived.Called}: {said.On}: {look.Rule} {look.Reason} on {string.Join(", ", days)}");
        }
    }

    static bool Looks(Advice advice, (string Rule, Care Care) key) =>
        advice.Verdict is Verdict.Look && advice.Rule == key.Rule && advice.Care == key.Care;

    static string Name(Advice advice) => advice.Care.Facts().Name;
}

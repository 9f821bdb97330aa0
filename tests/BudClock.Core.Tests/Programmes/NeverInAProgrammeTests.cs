using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using CsCheck;

namespace BudClock.Core.Tests.Programmes;

/// <summary>
/// What is never ordered while a programme runs, over random logs dense in danger. Where a plant stands in its programme is counted here
/// from the raw entries and nights, not by the product.
/// </summary>
public class NeverInAProgrammeTests
{
    static readonly DateOnly Start = new(2031, 11, 1);
    static readonly Garden Glass = new("Glass", 51.5, 0.7, "Europe/London");
    static readonly GardenDays Calendar = new(Glass);

    static readonly (EntryKind Kind, string? Text)[] Things =
    [
        (EntryKinds.Medium, "dry"),
        (EntryKinds.Medium, "wet"),
        (EntryKinds.Medium, "damp"),
        (EntryKinds.Leaves, "limp"),
        (EntryKinds.Leaves, "pliable"),
        (EntryKinds.Leaves, "firm"),
        (EntryKinds.Leaves, "pale"),
        (EntryKinds.Base, "soft"),
        (EntryKinds.Base, "firm"),
        (EntryKinds.RootsLost, null),
        (EntryKinds.Watered, null),
        (EntryKinds.Soaked, null),
        (EntryKinds.Fed, null),
        (EntryKinds.Pest, "mealy bug"),
        (EntryKinds.Repotted, null),
        (EntryKinds.NightLit, null),
        (EntryKinds.SpikeStarted, null),
    ];

    static readonly Gen<(int Day, int What)[]> Log = Gen.Select(Gen.Int[-30, 110], Gen.Int[0, Things.Length - 1]).Array[0, 22];

    static IReadOnlyList<Entry> Entries((int Day, int What)[] log, string programme) =>
        [
            Specimens.At(Start, EntryKinds.ProgrammeStarted, text: programme),
            .. log.Select(one => Specimens.At(Start.AddDays(one.Day), Things[one.What].Kind, text: Things[one.What].Text)),
        ];

    static Assessment Assess(string taxon, IReadOnlyList<Entry> log, double[] nights, DateOnly today)
    {
        var readings = nights.Select(
            (celsius, day) => new ClimateReading("here", new(Start.AddDays(day + 1), new(3, 0), TimeSpan.Zero), celsius, 70)
        );
        var record = PlaceRecord.Of(Calendar, readings);
        var place = new Place("here", "Here", "glasshouse");
        return Assessor.Shipped.Assess(
            new()
            {
                Tag = "A-1",
                Taxon = taxon,
                Place = "here",
                Acquired = new(2028, 3, 1),
                Medium = "loam",
                Entries = log,
            },
            new Surroundings(Glass)
            {
                Place = place,
                SharedDays = Calendar,
                Places = new(Calendar, _ => record, _ => place),
                Weather = Weather.Of(record, PlaceAhead.None, today, place),
            },
            today
        );
    }

    [Fact]
    public void In_the_dry_weeks_nothing_is_watered_or_fed() =>
        Gen.Select(Log, Gen.Double[4, 14].Array[110], Gen.Int[30, 100])
            .Sample(
                (log, nights, day) =>
                {
                    var today = Start.AddDays(day);
                    var entries = Entries(log, "cool nights");
                    if (!InDryWeeks(entries, nights, today))
                        return;
                    var said = Assess("Clivia miniata", entries, nights, today);
                    Assert.False(said.Does([.. Acts.Wets, .. Acts.Feeds]));
                    Assert.Contains(said.Settled, advice => advice.Topic == Topics.Trigger);
                },
                iter: 1500
            );

    /// <summary>By the raw log: thirty nights at or below 10 °C are over, and since then, or since the last water, fewer than 28 days.</summary>
    static bool InDryWeeks(IReadOnlyList<Entry> log, double[] nights, DateOnly today)
    {
        var (cool, since) = (0, (DateOnly?)null);
        for (var day = 1; day <= today.DayNumber - Start.DayNumber && since is null; day++)
            if (nights[day - 1] <= 10 && ++cool == 30)
                since = Start.AddDays(day);
        if (since is not { } turned || log.Any(entry => entry.Kind == EntryKinds.SpikeStarted && entry.On >= Start && entry.On <= today))
            return false;
        for (var (day, dry) = (turned.AddDays(1), 0); day <= today; day = day.AddDays(1))
        {
            dry = log.Any(entry => entry.On == day && entry.IsWatering) ? 0 : dry + 1;
            if (dry >= 28)
                return false;
        }
        return true;
    }

    [Fact]
    public void What_is_ill_gets_no_step_of_a_programme_ordered() =>
        Gen.Select(Log, Gen.Double[4, 14].Array[110], Gen.Int[1, 100], Gen.Int[0, 3])
            .Sample(
                (log, nights, day, which) =>
                {
                    var today = Start.AddDays(day);
                    var entries = Entries(log, new[] { "cool nights", "long nights", "cool days", "rest" }[which]);
                    var newest = entries.Where(entry => entry.On <= today).ToList();
                    var rotten =
                        newest.LastOrDefault(entry => entry.Kind == EntryKinds.Base && entry.On == newest.Max(e => e.On)) is
                        { Text: "soft" };
                    if (!rotten)
                        return;
                    foreach (
                        var taxon in (string[])["Clivia miniata", "Schlumbergera truncata", "Phalaenopsis amabilis", "Caladium bicolor"]
                    )
                        Assert.DoesNotContain(Assess(taxon, entries, nights, today).Settled, advice =>
                            advice is { Topic: Topics.Trigger, Verdict: Verdict.Do }
                        );
                },
                iter: 1500
            );

    [Fact]
    public void In_the_dark_week_nobody_is_told_to_light_it() =>
        Gen.Select(Log, Gen.Int[1, 6])
            .Sample(
                (log, day) =>
                {
                    var planted = Specimens.At(Start, EntryKinds.Planted);
                    var kept = log.Where(one => Things[one.What].Kind is var kind && kind != EntryKinds.SpikeStarted).ToArray();
                    IReadOnlyList<Entry> entries = [planted, .. Entries(kept, "a week dark at 10 °C for roots")];
                    var said = Assess("Narcissus papyraceus", entries, [.. Enumerable.Repeat(9.5, 110)], Start.AddDays(day));
                    Assert.DoesNotContain(said.Settled, advice => advice.Asks && advice.Care is Care.Lighten);
                },
                iter: 600
            );

    [Fact]
    public void The_counts_never_go_back_by_a_warm_night() =>
        Gen.Select(Gen.Double[4, 14].Array[110], Gen.Int[2, 60])
            .Sample(
                (nights, day) =>
                {
                    var (before, after) = (Count(day - 1), Count(day));
                    Assert.True(after >= before, $"{before} then {after}");

                    int Count(int on)
                    {
                        var run = Assess("Clivia miniata", Entries([], "cool nights"), nights, Start.AddDays(on)).Situation.Programme!;
                        return run.Steps[0].Count;
                    }
                },
                iter: 300
            );
}

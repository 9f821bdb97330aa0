using BudClock.Core.Advising;
using BudClock.Core.Formats;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>
/// Logs that were written by halves, dense with contradictions: what sleeps by the log and was seen in leaf is never held dry in silence,
/// and never watered, fed or soaked on the strength of half a log. Everything is read from the raw entries here.
/// </summary>
public class HalfWrittenTests
{
    static readonly int Cases = Mutating ? 300 : 6_000;
    static readonly DateOnly Asleep = new(2030, 11, 8);

    static readonly string[] Taxa =
    [
        "Caladium bicolor",
        "Sinningia speciosa",
        "Adenium obesum",
        "Catasetum pileatum",
        "Lycaste aromatica",
        "Mormodes ignea",
    ];

    static readonly string[] WetsOrFeeds = ["give-water", "top-up", "fill-tray", "feed", "mist"];

    /// <summary>What a careful grower writes of a plant in winter and spring, in any order, most of it left out.</summary>
    static readonly Piece[] Pieces =
    [
        new(EntryKinds.Leaves, "limp"),
        new(EntryKinds.Leaves, "firm"),
        new(EntryKinds.Leaves, "pliable"),
        new(EntryKinds.LeafCount, null, 3),
        new(EntryKinds.LeafCount, null, 0),
        new(EntryKinds.Medium, "dry"),
        new(EntryKinds.Medium, "wet"),
        new(EntryKinds.Base, "firm"),
        new(EntryKinds.Base, "soft"),
        new(EntryKinds.Tuber, "firm"),
        new(EntryKinds.Bulbs, "shrivelled"),
        new(EntryKinds.Bulbs, "plump"),
        new(EntryKinds.LeavesGone),
        new(EntryKinds.Stored),
        new(EntryKinds.GrowthStarted),
        new(EntryKinds.RootCount, null, 0),
        new(EntryKinds.Note, "looked at it"),
    ];

    static readonly Gen<Plant> HalfLogged =
        from taxon in Gen.Int[0, Taxa.Length - 1].Select(n => Taxa[n])
        from said in Gen.Select(Gen.Int[0, Pieces.Length - 1], Gen.Int[1, 190]).Array[0, 6]
        select new Plant
        {
            Tag = "H-1",
            Taxon = taxon,
            Place = "south",
            Acquired = new(2026, 3, 1),
            Pot = new(12, 12, "plastic"),
            Entries =
            [
                Entry(new(EntryKinds.LeavesGone), Asleep, -1),
                .. said.OrderBy(one => one.Item2).Select((one, n) => Entry(Pieces[one.Item1], Asleep.AddDays(one.Item2), n)),
            ],
        };

    sealed record Piece(EntryKind Kind, string? Text = null, double? Number = null);

    static Entry Entry(Piece piece, DateOnly on, int n) =>
        At(on, piece.Kind, piece.Number is { } number ? new Quantity(number, null) : null, piece.Text) with
        {
            Logged = new DateTimeOffset(on, TimeOnly.MinValue, TimeSpan.Zero).AddMinutes(n + 1),
        };

    [Fact]
    public void Leaves_on_what_sleeps_by_the_log_are_asked_about_and_order_nothing()
    {
        var met = 0;
        HalfLogged.Sample(
            plant =>
            {
                if (!InLeafThoughAsleep(plant.Entries))
                    return;
                Interlocked.Increment(ref met);
                var said = Assess(plant, Today, new(18, Today.AddDays(-1)));
                Assert.True(
                    said.Settled.Any(advice => advice.Asks && advice.Topic is Topics.Rest or Topics.Health),
                    $"silence\n{Shown(plant, said)}"
                );
                Assert.False(
                    said.Settled.Any(advice => advice.Verdict is Verdict.Do && WetsOrFeeds.Contains(advice.Care.Facts().Name)),
                    $"ordered on half a log\n{Shown(plant, said)}"
                );
            },
            iter: Cases
        );
        Assert.True(met > Cases / 20, $"met {met} times in {Cases} only");
    }

    [Fact]
    public void Bulbs_that_shrivel_at_rest_are_felt_once_and_never_soaked_without_a_root()
    {
        var (met, felt) = (0, 0);
        HalfLogged
            .Where(plant => plant.Taxon is "Catasetum pileatum" or "Mormodes ignea" or "Lycaste aromatica")
            .Sample(
                plant =>
                {
                    if (Shrivelled(plant.Entries) is not { } answered)
                        return;
                    Interlocked.Increment(ref answered ? ref felt : ref met);
                    var said = Assess(plant, Today, new(18, Today.AddDays(-1)));
                    var asks = said.Settled.Any(advice =>
                        advice.Asks
                        && (
                            advice.Topic is Topics.Health
                            || (advice.Topic is Topics.Rest && advice.Reason.Contains("shrivelled", StringComparison.Ordinal))
                        )
                    );
                    Assert.True(asks || answered, $"silence\n{Shown(plant, said)}");
                    Assert.DoesNotContain(said.Settled, advice => advice is { Topic: Topics.FirstSoak, Verdict: Verdict.Do });
                },
                iter: Cases
            );
        Assert.True(met > Cases / 80 && felt > 20, $"met {met}, felt {felt} times in {Cases}");
    }

    [Fact]
    public void A_log_without_contradictions_is_not_asked_whether_it_is_in_leaf()
    {
        HalfLogged
            .Where(plant => !plant.Entries.Any(e => IsLeaf(e)))
            .Sample(
                plant =>
                    Assert.DoesNotContain(Assess(plant, Today).Settled, advice =>
                        advice.Reason.Contains("though by the log", StringComparison.Ordinal)
                    ),
                iter: Cases / 8
            );
    }

    static bool IsLeaf(Entry e) => e.Kind == EntryKinds.Leaves || (e.Kind == EntryKinds.LeafCount && e.Amount?.Value > 0);

    /// <summary>A leaf was written down two weeks and more after it fell asleep, and neither waking nor bareness since.</summary>
    static bool InLeafThoughAsleep(IReadOnlyList<Entry> log)
    {
        if (log.Any(e => e.Kind == EntryKinds.GrowthStarted))
            return false;
        var leaf = log.LastOrDefault(e => IsLeaf(e) && e.On > Asleep.AddDays(14));
        return leaf is not null
            && !log.SkipWhile(e => e != leaf).Skip(1).Any(e => e.Kind == EntryKinds.LeavesGone || e.Kind == EntryKinds.Stored);
    }

    /// <summary>The newest word of the bulbs is shrivelled, asleep by the log and never in leaf; true where somebody felt it since.</summary>
    static bool? Shrivelled(IReadOnlyList<Entry> log)
    {
        if (log.Any(e => IsLeaf(e) || e.Kind == EntryKinds.GrowthStarted || e.Kind == EntryKinds.RootCount))
            return null;
        var bulbs = log.LastOrDefault(e => e.Kind == EntryKinds.Bulbs);
        var bare = log.Last(e => e.Kind == EntryKinds.LeavesGone).On;
        if (bulbs?.Text != "shrivelled" || bulbs.On < bare)
            return null;
        return log.Any(e => (e.Kind == EntryKinds.Base || e.Kind == EntryKinds.Tuber) && e.On >= bulbs.On);
    }

    static string Shown(Plant plant, Assessment said) =>
        $"{plant.Taxon}\n{string.Join("\n", plant.Entries.Select(e => $"{e.On:yyyy-MM-dd} {e.Kind} {e.Amount} {e.Text}"))}\n{AdviceJson.Write(said)}";
}

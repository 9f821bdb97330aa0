using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Round;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>
/// What must never be said, for every shipped sheet. The dangers are read from the raw entries here, by day and by when they were
/// written down, and never from the product's own reading of them.
/// </summary>
public class NeverTests
{
    static readonly int Cases = Mutating ? 480 : 12_000;
    static readonly int Few = Mutating ? 60 : 2000;

    /// <summary>Kinds that stand in water, by hand.</summary>
    internal static readonly HashSet<string> BogSheets = ["sundew", "seasonal-butterwort", "temperate-bog"];

    /// <summary>Kinds over a reservoir, a jar or a wick, by hand.</summary>
    internal static readonly HashSet<string> ReservoirSheets =
    [
        "evergreen-pseudobulb-semi-hydro",
        "evergreen-pseudobulb-water",
        "monopodial-semi-hydro",
        "monopodial-water",
        "corm-aroid-pellets",
        "rosette-gesneriad-wick",
    ];

    /// <summary>One sweep over many journals: each is asked every question, so that a danger is not met by chance alone.</summary>
    [Fact]
    public void Water_and_feed_are_never_ordered_against_what_was_written_down()
    {
        var met = new int[7];
        (from plant in Journals.Any from night in Journals.Night select (plant, night)).Sample(
            pair =>
            {
                var (plant, night) = pair;
                var raw = new Raw(plant, night);
                var said = Assess(plant, night);
                var (water, feed) = (said.Does(Acts.Wets), said.Does(Acts.Feeds));
                Check(0, raw.FeltWet && !raw.Bog && !raw.OverReservoir, "water within two days of a felt wet or damp medium", water);
                Check(1, raw.Rot, "water or feed with rot that nobody cleared", water || feed);
                // A bog plant's live crown roots again standing wet; poured through, it is not.
                var poured = raw.Bog ? said.Does("give-water") || said.Does("flush") : water;
                Check(2, raw.NoRoots && !raw.Young, "water without a live root", poured);
                Check(3, raw.NoRoots, "feed without a live root", feed);
                // A mist on the leaf leaves the pot as it is.
                Check(3, raw.FeltWet && !raw.Bog && !raw.OverReservoir, "feed in a wet pot", said.Does("feed"));
                Check(4, night < raw.FeedC, "feed in cold nights", feed);
                Check(5, raw.DaysHere < 28, "feed for a newcomer", feed);
                Check(6, raw.Rests, "feed at rest", feed);
                Assert.False(said.Does("feed") && raw.Carnivore, Shown("feed in the medium of a carnivore"));

                void Check(int which, bool danger, string what, bool done)
                {
                    if (!danger)
                        return;
                    Interlocked.Increment(ref met[which]);
                    Assert.False(done, Shown(what));
                }

                string Shown(string what) =>
                    $"{what}: {plant.Taxon}, night {night}\n{string.Join("\n", plant.Entries.Where(e => !e.Struck).OrderBy(e => e.On).ThenBy(e => e.Logged).Select(e => $"{e.On:yyyy-MM-dd} {e}"))}\n{AdviceJson.Write(said)}";
            },
            iter: Cases
        );
        Assert.All(met, count =>
            Assert.True(count > Cases / 60, $"a danger was met in {count} of {Cases} journals only: {string.Join(", ", met)}")
        );
    }

    [Fact]
    public void No_act_is_ordered_from_an_interval_alone() =>
        Journals.Any.Sample(
            plant =>
                Assert.DoesNotContain(Assess(plant, 18).Settled, advice =>
                    advice is { Verdict: Verdict.Do, Ground: Ground.Interval or Ground.Date, Care: not (Care.Feed or Care.Mist) }
                ),
            iter: Cases / 8
        );

    [Fact]
    public void Feed_is_ordered_only_where_water_is_ordered_too() =>
        Journals.Any.Sample(
            plant =>
            {
                var said = Assess(plant, 18);
                Assert.False(
                    said.Does("feed") && said.Settled.Any(a => Acts.Waters.Contains(a.Care.Facts().Name)) && !said.Does(Acts.Waters),
                    AdviceJson.Write(said)
                );
            },
            iter: Cases / 8
        );

    [Fact]
    public void What_is_stopped_carries_the_evidence_and_its_guard() =>
        Journals.Any.Sample(plant => Assert.All(Assess(plant, 6).Settled.Where(a => a.StoppedBy is not null), stopped =>
                {
                    Assert.NotEqual(Verdict.Do, stopped.Verdict);
                    Assert.NotEmpty(stopped.Conditions);
                    Assert.Contains(Guards.All, guard => guard.Name == stopped.StoppedBy && guard.Rule == stopped.Rule);
                }), iter: Cases / 8);

    /// <summary>By acts that exclude each other, whatever their topic and rule: one voice on water, one on feed.</summary>
    [Fact]
    public void Nobody_hears_do_and_hold_of_one_thing_at_once() =>
        (from plant in Journals.Any from night in Journals.Night select (plant, night)).Sample(
            pair =>
            {
                var said = Assess(pair.plant, pair.night);
                foreach (var acts in (string[][])[Acts.Waters, Acts.Feeds, ["repot"], ["divide"]])
                {
                    var verdicts = said.Settled.Where(a => acts.Contains(a.Care.Facts().Name)).Select(a => a.Verdict).ToHashSet();
                    Assert.False(verdicts.Contains(Verdict.Do) && verdicts.Contains(Verdict.Hold), AdviceJson.Write(said));
                }
                foreach (var (one, other) in Acts.Exclusive)
                    Assert.False(said.Does(one) && said.Does(other), AdviceJson.Write(said));
                foreach (var care in said.Settled.Where(a => a.Verdict is Verdict.Do).GroupBy(a => a.Care))
                    Assert.True(care.Count() == 1, $"{care.Key} is ordered twice: {AdviceJson.Write(said)}");
            },
            iter: Few
        );

    [Fact]
    public void Every_advice_names_a_rule_of_its_sheet_and_ends_its_sentence() =>
        Journals.Any.Sample(
            plant =>
            {
                var said = Assess(plant, 18);
                Assert.All(said.Settled, advice =>
                    Assert.True(
                        said.Situation.Sheet.Rule(advice.Rule) is not null && advice.Reason[^1] is '.' or '?',
                        $"{advice.Rule}: {advice.Reason}"
                    )
                );
                Assert.Null(said.Fault);
            },
            iter: Cases / 8
        );

    [Fact]
    public void The_same_entries_in_any_order_give_the_same_bytes() =>
        (from plant in Journals.Any from shuffled in Gen.Shuffle(plant.Entries.ToArray()) select (plant, shuffled)).Sample(
            pair =>
                Assert.Equal(
                    AdviceJson.Write(Assess(pair.plant, 14)),
                    AdviceJson.Write(Assess(pair.plant with { Entries = pair.shuffled }, 14))
                ),
            iter: Few
        );

    [Fact]
    public void One_plants_journal_changes_nothing_of_another_that_shares_no_water_with_it() =>
        (from plant in Journals.Any from other in Journals.Any from changed in Journals.Any select (plant, other, changed)).Sample(
            triple =>
            {
                var (plant, other, changed) = triple;
                Assert.Equal(Says(other), Says(changed));

                string Says(Plant beside)
                {
                    var garden = new GardenRecord(
                        Around.Garden,
                        [new("here", "Here", "indoors")],
                        [plant, beside with { Tag = "B-1", Taxon = "Nobodyia alia" }],
                        [],
                        []
                    );
                    return AdviceJson.Write(new GardenAssessed(garden, Today).Plants[0]);
                }
            },
            iter: Few
        );

    [Fact]
    public void Striking_is_as_if_it_had_not_been_written_and_what_comes_later_changes_nothing() =>
        Journals
            .Any.Where(plant => plant.Entries.Count > 0)
            .Sample(
                plant =>
                {
                    var (first, rest) = (plant.Entries[0], plant.Entries.Skip(1).ToList());
                    Assert.Equal(
                        AdviceJson.Write(Assess(plant with { Entries = rest }, 14)),
                        AdviceJson.Write(Assess(plant with { Entries = [first with { Struck = true }, .. rest] }, 14))
                    );
                    Assert.Equal(
                        AdviceJson.Write(Assess(plant, 14)),
                        AdviceJson.Write(Assess(plant with { Entries = [.. plant.Entries, first with { On = Today.AddDays(1) }] }, 14))
                    );
                },
                iter: Few
            );

    static Assessment Assess(Plant plant, double? night) =>
        Assessor.Shipped.Assess(
            plant,
            Around with
            {
                Place = new("here", "Here", "indoors"),
                Weather = night is { } celsius ? Night(celsius) : Weather.Unknown,
            },
            Today
        );

    /// <summary>The dangers in a journal, read from its raw entries by the words of the rules.</summary>
    sealed class Raw(Plant plant, double? night)
    {
        readonly List<Entry> log =
        [
            .. plant.Entries.Where(e => !e.Struck && e.On <= Today).OrderBy(e => e.On).ThenBy(e => e.Logged).ThenBy(e => e.Id),
        ];
        readonly string sheet = Journals.Kinds.First(kind => kind.Taxon == plant.Taxon && kind.Medium == plant.Medium).Sheet;

        public bool Bog => BogSheets.Contains(sheet);
        public bool OverReservoir =>
            ReservoirSheets.Contains(sheet) || log.Any(e => e.Kind == EntryKinds.Reservoir && e.On > Today.AddDays(-61));
        public bool Carnivore => Bog || sheet == "tropical-pitcher";
        public bool FeltWet =>
            log.LastOrDefault(e => e.Kind == EntryKinds.Medium) is { Text: "wet" or "damp" } felt && felt.On >= Today.AddDays(-2);
        public double FeedC => Hardiness.Of[sheet].FeedC;
        public int DaysHere =>
            (log.LastOrDefault(e => e.Kind == EntryKinds.Acquired)?.On ?? plant.Acquired) is { } came
                ? Today.DayNumber - came.DayNumber
                : 10_000;
        public bool Rests =>
            night is not null
            && log.LastOrDefault(e =>
                e.Kind == EntryKinds.LeavesGone
                || e.Kind == EntryKinds.GrowthStarted
                || e.Kind == EntryKinds.LeafStarted
                || e.Kind == EntryKinds.Planted
                || e.Kind == EntryKinds.SummerLeaves
            )
                is { } last
            && last.Kind == EntryKinds.LeavesGone;

        /// <summary>A cutting may take five months to its first roots (common practice, from memory).</summary>
        const int RootingDays = 150;

        /// <summary>A cutting or corm of the last months is kept damp without roots.</summary>
        public bool Young =>
            plant.Origin is "cutting" or "corm"
            && (
                log.LastOrDefault(e => e.Kind == EntryKinds.Planted)?.On
                ?? log.LastOrDefault(e => e.Kind == EntryKinds.Acquired)?.On
                ?? plant.Acquired
            ) > Today.AddDays(-RootingDays - 1);

        /// <summary>The newest word on roots by day is that there are none.</summary>
        public bool NoRoots
        {
            get
            {
                var newest = log.LastOrDefault(e =>
                    e.Kind == EntryKinds.RootCount
                    || e.Kind == EntryKinds.RootLength
                    || e.Kind == EntryKinds.RootsLost
                    || e.Kind == EntryKinds.RootsStarted
                    || (e.Kind == EntryKinds.Acquired && e.Text == "without roots")
                );
                return newest is not null
                    && !LivesOn(newest.On)
                    && (newest.Kind == EntryKinds.RootsLost || newest.Kind == EntryKinds.Acquired || newest.Amount is { InBase: <= 0 });
            }
        }

        /// <summary>What grew, spiked or flowered six weeks after its roots were gone has made some.</summary>
        bool LivesOn(DateOnly lost) =>
            log.Exists(e =>
                e.On >= lost.AddDays(45)
                && (
                    e.Kind == EntryKinds.GrowthHeight
                    || e.Kind == EntryKinds.LeafStarted
                    || e.Kind == EntryKinds.SpikeStarted
                    || e.Kind == EntryKinds.SpikeLength
                    || e.Kind == EntryKinds.Buds
                    || e.Kind == EntryKinds.BloomOpened
                    || e.Kind == EntryKinds.Blooms
                )
            );

        /// <summary>A sign of rot after which nobody wrote that it is firm on a later day, or cut clean.</summary>
        public bool Rot
        {
            get
            {
                var sign = log.FindLastIndex(e =>
                    e.Kind == EntryKinds.Rot
                    || (e.Kind == EntryKinds.Base && e.Text is "soft" or "smelling")
                    || (e.Kind == EntryKinds.Tuber && e.Text == "soft")
                );
                return sign >= 0
                    && !log.Skip(sign + 1)
                        .Any(e =>
                            (e.Kind == EntryKinds.Base && e.Text == "firm" && e.On > log[sign].On)
                            || (e.Kind == EntryKinds.Treated && e.Text == "cut clean")
                        );
            }
        }
    }
}

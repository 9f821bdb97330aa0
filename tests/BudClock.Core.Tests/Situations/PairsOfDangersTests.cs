using BudClock.Core.Advising;
using BudClock.Core.Tests.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Situations;

/// <summary>
/// Two dangers at once, on every shipped sheet: neither opens a way past what the other forbids. What wets, feeds or wets the leaf is
/// written down here by name, and so is what each danger forbids; nothing is asked of the product but its verdicts.
/// </summary>
public class PairsOfDangersTests
{
    static readonly string[] WetsThePot = ["give-water", "wet-lightly", "top-up", "fill-tray", "flush"];
    static readonly string[] SoaksThePot = ["give-water", "flush"];
    static readonly string[] Feeds = ["feed", "mist"];
    static readonly string[] WetsTheLeaf = ["mist", "rinse"];

    /// <summary>Kinds that stand in water or over it go by its level, whatever a finger says of the top.</summary>
    static readonly string[] OverWater =
    [
        "sundew",
        "seasonal-butterwort",
        "temperate-bog",
        "evergreen-pseudobulb-semi-hydro",
        "evergreen-pseudobulb-water",
        "monopodial-semi-hydro",
        "monopodial-water",
        "corm-aroid-pellets",
        "rosette-gesneriad-wick",
    ];

    sealed record Danger(string Name, string[] Forbids, double NightC = 18, params Entry[] Log)
    {
        public string? Origin { get; init; }

        /// <summary>What it is given in spite of having no roots: a cutting is kept damp.</summary>
        public string[] Allows { get; init; } = [];
        public double? Ahead { get; init; }
        public string[] NotOn { get; init; } = [];
    }

    static readonly Danger[] All =
    [
        new("wet", SoaksThePot, 18, At(Today, EntryKinds.Medium, text: "wet")) { NotOn = OverWater },
        new(
            "limp though wet",
            [.. WetsThePot, .. Feeds],
            18,
            At(Today, EntryKinds.Medium, text: "wet"),
            At(Today, EntryKinds.Leaves, text: "limp")
        )
        {
            NotOn = OverWater,
        },
        new("rot", [.. WetsThePot, .. Feeds, .. WetsTheLeaf], 18, At(Today, EntryKinds.Rot, text: "at the base")),
        new("soft base", [.. WetsThePot, .. Feeds, .. WetsTheLeaf], 18, At(Today, EntryKinds.Base, text: "soft")),
        new("no live root", [.. WetsThePot, .. Feeds], 18, At(Today, EntryKinds.RootCount, new Quantity(0))),
        new("roots lost", [.. WetsThePot, .. Feeds], 18, At(Today, EntryKinds.RootsLost)),
        new(
            "unrooted cutting",
            ["flush", .. Feeds],
            18,
            At(Today.AddDays(-20), EntryKinds.Planted),
            At(Today, EntryKinds.RootCount, new Quantity(0))
        )
        {
            Origin = "cutting",
            Allows = ["wet-lightly", "fill-tray"],
        },
        new("killing night", [.. WetsThePot, .. Feeds], -9),
        new("frost tomorrow", Feeds, 18) { Ahead = -9 },
        new("pests", Feeds, 18, At(Today, EntryKinds.Pest, text: "aphids")),
        new("salt", ["feed"], 18, At(Today.AddDays(-1), EntryKinds.RunOff, new Quantity(2500, Unit.Ppm))),
        new("newly come", Feeds, 18, At(Today.AddDays(-5), EntryKinds.Acquired)),
        new("scorched", ["feed"], 18, At(Today, EntryKinds.Leaves, text: "scorched")),
        new("algae", ["mist"], 18, At(Today.AddDays(-2), EntryKinds.Note, text: "algae in the pot")),
    ];

    /// <summary>What each danger forbids, whatever else is the matter; a dry pot and a leaf feed long ago ask for both acts.</summary>
    [Fact]
    public void No_act_passes_what_one_of_two_dangers_forbids()
    {
        var passed = new List<string>();
        var asked = 0;
        foreach (var kind in Journals.Kinds)
            for (var i = 0; i < All.Length; i++)
            for (var j = i; j < All.Length; j++)
            {
                Danger[] both = i == j ? [All[i]] : [All[i], All[j]];
                var said = Say(kind, both);
                asked++;
                var forbidden = both.Where(d => !d.NotOn.Contains(kind.Sheet)).SelectMany(d => d.Forbids).ToHashSet();
                // A bog plant's live crown roots again standing wet; dry it is dead in days.
                if (
                    NeverTests.BogSheets.Contains(kind.Sheet)
                    && both.All(d => d.Name is "no live root" or "roots lost" || !d.Forbids.Contains("fill-tray"))
                )
                    forbidden.Remove("fill-tray");
                if (both.All(d => d.Allows.Length > 0 || d.Name is "no live root" or "roots lost"))
                    forbidden.ExceptWith(both.SelectMany(d => d.Allows));
                passed.AddRange(
                    said.Settled.Where(a => a.Verdict is Verdict.Do && forbidden.Contains(a.Care.Facts().Name))
                        .Select(a => $"{kind.Sheet}: {string.Join(" and ", both.Select(d => d.Name))}: {a.Care.Facts().Name}: {a.Reason}")
                );
            }
        Assert.True(asked > 5000, $"{asked} pairs were asked");
        Assert.True(passed.Count == 0, $"{passed.Count} of {asked}\n{string.Join("\n", passed.Take(40))}");
    }

    /// <summary>The same with salt in the run-off of what sleeps or is only waking: a flush is water, and too early.</summary>
    [Fact]
    public void What_sleeps_or_only_wakes_is_not_flushed()
    {
        Entry salt = At(Today.AddDays(-1), EntryKinds.RunOff, new Quantity(2500, Unit.Ppm));
        Entry[] asleep = [At("2030-11-10", EntryKinds.LeavesGone), salt];
        Entry[] waking =
        [
            At("2030-11-10", EntryKinds.LeavesGone),
            At("2031-05-01", EntryKinds.GrowthStarted),
            At("2031-05-22", EntryKinds.RootLength, Cm(3)),
            salt,
        ];
        foreach (var taxon in new[] { "Catasetum pileatum", "Lycaste aromatica", "Caladium bicolor", "Zantedeschia rehmannii" })
            Assert.DoesNotContain(Say((taxon, "bark", ""), [new("asleep", [], 18, asleep)]).Settled, a =>
                a is { Verdict: Verdict.Do, Care: Care.Flush or Care.Mist }
            );
        var early = Say(("Catasetum pileatum", "bark", ""), [new("waking", [], 18, waking)]).Settled;
        var flush = Assert.Single(early, a => a.Care is Care.Flush);
        Assert.Equal(Verdict.Hold, flush.Verdict);
        Assert.Contains("until the plant may be watered", flush.Reason, StringComparison.Ordinal);
    }

    /// <summary>Leaves that were washed, or aphids rinsed off, take no salt out of the pot.</summary>
    [Theory]
    [InlineData("the leaves", true)]
    [InlineData("off the aphids", true)]
    [InlineData(null, false)]
    [InlineData("through with rain", false)]
    public void A_rinse_of_leaves_is_no_flush(string? words, bool salty)
    {
        Entry[] log =
        [
            At(Today.AddDays(-3), EntryKinds.RunOff, new Quantity(2500, Unit.Ppm)),
            At(Today.AddDays(-1), EntryKinds.Rinsed, text: words),
        ];
        var said = Say(("Cattleya intermedia", "bark", ""), [new("salt", [], 18, log)]).Settled;
        Assert.Equal(salty, said.Any(a => a is { Verdict: Verdict.Do, Care: Care.Flush }));
    }

    /// <summary>In leaf and fed by the leaf long ago, so that nothing is silent because nothing was due.</summary>
    static Assessment Say((string Taxon, string? Medium, string Sheet) kind, Danger[] dangers)
    {
        Entry[] log =
        [
            At(Today.AddDays(-40), EntryKinds.Fed),
            At(Today.AddDays(-14), EntryKinds.LeafStarted),
            At(Today, EntryKinds.Medium, text: "dry"),
            .. dangers.SelectMany(danger => danger.Log),
        ];
        if (dangers.Any(danger => danger.Name is "asleep" or "waking"))
            log = [.. dangers.SelectMany(danger => danger.Log)];
        var night = dangers.Min(danger => danger.NightC);
        var ahead = dangers.Min(danger => danger.Ahead);
        var plant = new Plant
        {
            Tag = "A-1",
            Taxon = kind.Taxon,
            Medium = kind.Medium,
            Origin = dangers.Select(danger => danger.Origin).FirstOrDefault(origin => origin is not null),
            Place = "here",
            Acquired = new(2028, 3, 1),
            Pot = new(12, 11, "plastic"),
            Entries = [.. log.Select((e, i) => e with { Logged = e.Logged.AddSeconds(i) })],
        };
        var weather = ahead is { } cold ? Night(night) with { Ahead = [new(Today.AddDays(1), cold, 4)] } : Night(night);
        return Assessor.Shipped.Assess(plant, Around with { Place = new("here", "Here", "outdoors"), Weather = weather }, Today);
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>
/// What must never be said in the weather that stands in the garden's file: readings and forecasts are read here as they are written
/// there, place by place, and never as the product reads them.
/// </summary>
public class WeatherNeverTests
{
    const int Cases = 6_000;
    static readonly string[] Settings = ["glasshouse", "indoors", "cold-frame", "outdoors", "store"];

    static readonly Gen<double[]> Ahead = Gen.OneOf(
        Gen.Double[-8, 24].Array[14],
        Gen.Double[13, 24].Array[14],
        Gen.Double[2, 14].Array[0, 14]
    );

    [Fact]
    public void Nothing_is_soaked_woken_fed_or_repotted_into_cold_and_nothing_is_left_out_in_it()
    {
        var met = new int[6];
        Gen.Select(
                Journals.Any,
                Gen.Int[0, 4].Select(n => Settings[n]),
                Ahead,
                Gen.OneOf(Gen.Double[-4, 26].Array[5], Gen.Double[14, 26].Array[5]),
                Gen.Bool
            )
            .Sample(
                (plant, setting, ahead, nights, wrong) =>
                {
                    var record = Garden(plant, setting, ahead, nights, wrong);
                    // However it is grown, a kind bears no more than the kind bears.
                    var grown = Hardiness.Of[CultureSheets.Shipped.For(plant).Name];
                    var kind = Hardiness.Of[(CultureSheets.Shipped.ForTaxon(plant.Taxon) ?? CultureSheets.Shipped.For(plant)).Name];
                    var sheet = grown with { DangerC = Math.Max(grown.DangerC, kind.DangerC), FeedC = Math.Max(grown.FeedC, kind.FeedC) };
                    var said = Assessor.Shipped.Assess(record.Plants[0], record, Today);
                    var (own, feed) = (setting is not ("indoors" or "store"), sheet.FeedC);
                    var danger = Math.Min(sheet.DangerC, sheet.RestC ?? double.MaxValue);
                    // Asleep some kinds bear less cold than in growth: beyond both limits no night is a danger.
                    var asleep = Math.Max(sheet.DangerC, sheet.RestC ?? double.MinValue);
                    var coldNight = nights[..3].Min();
                    Check(
                        0,
                        own && ahead.Any(min => min < sheet.DangerC),
                        "a soak, waking or repot before a night of danger",
                        Orders(said, "first-soak") || Orders(said, "wake") || Orders(said, "repot") || Orders(said, "divide")
                    );
                    Check(
                        1,
                        own && ahead.Any(min => min < feed),
                        "feed or repot before a cold night",
                        Orders(said, "feed") || Orders(said, "repot") || Orders(said, "divide")
                    );
                    Check(2, coldNight < feed, "feed in cold nights", Orders(said, "feed"));
                    Check(
                        3,
                        setting is "cold-frame" or "outdoors" && ahead.Any(min => min < danger),
                        "silence before a night of danger",
                        !said.Settled.Any(a => a is { Care: Care.BringIn, Verdict: Verdict.Do })
                    );
                    Check(
                        4,
                        coldNight < danger,
                        "silence after a night of danger",
                        !said.Settled.Any(a => a is { Care: Care.BringIn, Verdict: Verdict.Do })
                    );
                    Check(
                        5,
                        wrong && coldNight > asleep && !ahead.Any(min => min < asleep),
                        "alarm at a reading that cannot be",
                        said.Settled.Any(a => a is { Care: Care.BringIn, Verdict: Verdict.Do })
                    );

                    void Check(int which, bool danger, string what, bool done)
                    {
                        if (!danger)
                            return;
                        Interlocked.Increment(ref met[which]);
                        Assert.False(
                            done,
                            $"{what}: {plant.Taxon} in {setting}, nights {string.Join(" ", nights)}, ahead "
                                + $"{string.Join(" ", ahead)}\n{AdviceJson.Write(said)}"
                        );
                    }
                },
                iter: Cases
            );
        Assert.All(met, count => Assert.True(count > Cases / 60, string.Join(", ", met)));
    }

    /// <summary>An order; an emergency goes ahead against what it names.</summary>
    static bool Orders(Assessment said, string topic) =>
        said.Settled.Any(a => a.Topic == topic && a is { Verdict: Verdict.Do, Ground: not Ground.Emergency });

    static GardenRecord Garden(Plant plant, string setting, double[] ahead, double[] nights, bool wrong)
    {
        var readings = nights
            .Select((celsius, back) => new ClimateReading("here", new(Today.AddDays(-back), new(2, 30), TimeSpan.Zero), celsius, 70))
            .ToList();
        if (wrong)
            readings.Add(new("here", new(Today, new(2, 0), TimeSpan.Zero), -55, 70) { Doubt = "no place has it", Device = "d" });
        return new(
            new("Glass", 51.5, 0.7, "Europe/London"),
            [new("here", "Here", setting)],
            [plant with { Place = "here" }],
            readings,
            [.. ahead.Select((min, on) => new ForecastDay("here", Today.AddDays(on), min, min + 8))]
        );
    }
}

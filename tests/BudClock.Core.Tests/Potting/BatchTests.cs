using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Core.Potting;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Potting;

/// <summary>Rule P5: what a batch counts, and what may be said of a method.</summary>
public class BatchTests
{
    static readonly RaisingMethod Corm = PottingTable.Shipped.Method("corm")!;

    static YoungBatch Of(int number, params (string What, int Number)[] counts) =>
        new("C1", "corm", Today.AddDays(-60), number)
        {
            Counts = [.. counts.Select(count => new BatchCount(Today.AddDays(-1), count.What, count.Number))],
        };

    /// <summary>
    /// Wilson's score intervals as published by R. G. Newcombe, Statistics in Medicine 17 (1998), table I, method 3; from memory.
    /// </summary>
    [Theory]
    [InlineData(81, 263, 0.2553, 0.3662)]
    [InlineData(15, 148, 0.0624, 0.1605)]
    [InlineData(0, 20, 0, 0.1611)]
    [InlineData(1, 29, 0.0061, 0.1718)]
    public void An_honest_interval(int took, int of, double from, double to)
    {
        var interval = new Success(took, of).Interval;
        Assert.Equal((from, to), (Math.Round(interval.From, 4), Math.Round(interval.To, 4)));
    }

    [Fact]
    public void Four_in_fourteen_says_little()
    {
        Assert.Equal("4 of 14: 29 %, and anything from 12 to 55 % may be true", new Success(4, 14).Words);
        Assert.Equal((0, 1), new Success(0, 0).Interval);
    }

    [Fact]
    public void More_rooted_than_started_is_refused_and_so_is_more_given_than_there_are()
    {
        Assert.Contains("only 3 were started", Assert.Single(Of(3, ("rooted", 4)).Faults(Corm, Today)));
        Assert.NotEmpty(Of(3, ("rooted", 2), ("lost", 2)).Faults(Corm, Today));
        Assert.NotEmpty(Of(3, ("rooted", 2), ("given", 3)).Faults(Corm, Today));
        Assert.NotEmpty(Of(0).Faults(Corm, Today));
        Assert.Empty(Of(3, ("rooted", 2), ("lost", 1), ("potted", 2), ("kept", 1), ("given", 1)).Faults(Corm, Today));
        var leaf = PottingTable.Shipped.Method("leaf-wick")!;
        Assert.Empty((Of(3, ("rooted", 3), ("potted", 9), ("given", 5)) with { Method = "leaf-wick" }).Faults(leaf, Today));
    }

    [Fact]
    public void What_has_not_rooted_when_a_batch_ends_did_not()
    {
        var open = Of(10, ("rooted", 3), ("lost", 2));
        Assert.Equal((5, 5), (open.Waiting, open.Decided));
        Assert.Equal(new Success(3, 5), Success.In([open]));
        Assert.Equal(new Success(6, 15), Success.In([open, open with { Ended = Today }]));
    }

    [Fact]
    public void Nothing_is_dug_up_before_it_can_show_and_a_cut_dries_first()
    {
        var corm = new YoungBatch("C1", "corm", Today, 3);
        Assert.Equal(Today.AddDays(14), corm.NextLook(Corm, Today));
        Assert.Equal(Today.AddDays(9), (corm with { DriesUntil = Today.AddDays(9) }).NextLook(Corm, Today));
        Assert.Equal(
            Today.AddDays(14 + 9),
            (corm with { DriesUntil = Today.AddDays(9) }).NextLook(Corm, Today.AddDays(10)) // set by then, and left alone
        );
        Assert.Null((corm with { Ended = Today }).NextLook(Corm, Today));
        Assert.Equal(
            Today.AddDays(7),
            (corm with { Counts = [new(Today, "rooted", 1)], Started = Today.AddDays(-50) }).NextLook(Corm, Today)
        );
    }

    [Fact]
    public void A_shed_goes_out_and_in_the_same_and_faults_are_named_with_their_places()
    {
        var shed = new PottingShed
        {
            Pots = [new("clay-12", 12, 11, "clay", 4)],
            Mixes =
            [
                new("mine", "Mine")
                {
                    Parts = new Dictionary<string, double> { ["bark"] = 3, ["pumice"] = 1 },
                    PebblesCm = 2,
                },
            ],
            Batches = [Of(3, ("rooted", 2)) with { Parent = "ALO-01", Rescue = true, DriesUntil = Today.AddDays(-55), Note = "moss" }],
        };
        var file = GardenFileWriter.Write(new(Garden.Unnamed, [], [], [], []) { Shed = shed });
        var read = GardenFileReader.Read(file, CultureSheets.Shipped, Today);
        Assert.Empty(read.Faults);
        Assert.Equal(file, GardenFileWriter.Write(read.Garden!));
        var wrong = GardenFileReader.Read(
            file.Replace("\"number\": 2", "\"number\": 7").Replace("\"diameterCm\": 12", "\"diameterCm\": 0"),
            CultureSheets.Shipped,
            Today
        );
        Assert.Equal(["potting.pots[0].diameterCm", "potting.batches[0].number"], wrong.Faults.Select(fault => fault.Place));
    }

    [Theory]
    [InlineData("A-1:A-1", "plants[0].parent")]
    [InlineData("A-1:a-2 A-2:A-1", "plants[0].parent, plants[1].parent")]
    [InlineData("A-1:A-3 A-2:A-1 A-3:", "")]
    [InlineData("A-1:GONE-1", "")]
    public void Nothing_is_made_from_itself(string family, string faults)
    {
        var plants = family
            .Split(' ')
            .Select(pair => pair.Split(':'))
            .Select(pair => new Plant
            {
                Tag = pair[0],
                Taxon = "Hoya",
                Parent = pair[1].Length > 0 ? pair[1] : null,
            });
        var file = GardenFileWriter.Write(new(Garden.Unnamed, [], [.. plants], [], []));
        Assert.Equal(faults, string.Join(", ", GardenFileReader.Read(file, CultureSheets.Shipped).Faults.Select(fault => fault.Place)));
    }
}

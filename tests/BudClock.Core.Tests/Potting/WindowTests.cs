using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Planning;
using BudClock.Core.Tests.Situations;

namespace BudClock.Core.Tests.Potting;

/// <summary>Rule R1's window, in one table: length, rate, forecast, vetoes, emergencies, missed; both halves of the earth, lit rooms.</summary>
public class WindowTests
{
    const string Orchid = "Cattleya labiata; bark; glasshouse; nights 16";
    const string Old = "2028-11-10 repotted";

    static RepotWindow Read(string kind, string day, string log) =>
        RepotWindow.Read(Situated.Read($"it | {kind} | {day} | {log} | never do water | as decided").Assess());

    [Theory]
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-18 roots 1.5 cm", "Open", "2031-05-19")] // 6.5 cm at 1.5 a week: 30.3 days
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-08 roots 2 cm, 04-18 roots 4 cm", "Open", "2031-05-08")] // its own 0.2 a day
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-08 roots 2 cm, 04-18 roots 7 cm", "Closing", "2031-04-20")] // and 0.5 a day
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-19 roots 9 cm", "Missed", null)]
    [InlineData(Orchid, "2031-05-30", $"{Old}, 04-18 roots 1.5 cm", "Missed", null)] // nobody looked for six weeks
    [InlineData(Orchid, "2031-02-20", Old, "Shut", null)]
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-10 spike started, 04-18 roots 1.5 cm", "Held", "2031-05-19")]
    [InlineData(Orchid, "2031-04-20", $"{Old}, 04-12 moved to the sill, 04-18 roots 1.5 cm", "Held", "2031-05-19")]
    [InlineData("Cattleya labiata; bark; glasshouse; nights 6", "2031-04-20", $"{Old}, 04-18 roots 1.5 cm", "Held", "2031-05-19")]
    [InlineData("Cattleya labiata; bark; glasshouse; nights 6", "2031-04-20", $"{Old}, 04-20 base soft", "AtOnce", null)]
    [InlineData("Cattleya labiata; bark, collapsed; glasshouse; nights 16", "2031-01-20", Old, "AtOnce", null)]
    [InlineData("Cattleya labiata; bark; indoors; nights 18; lamps 14", "2031-01-12", $"{Old}, 01-10 roots 1.5 cm", "Open", "2031-02-10")]
    [InlineData(
        "Cattleya labiata; bark; glasshouse; nights 16; latitude -34",
        "2031-10-20",
        $"{Old}, 10-18 roots 1.5 cm",
        "Open",
        "2031-11-18"
    )]
    [InlineData("Ceropegia woodii; bark; indoors; nights 17", "2031-01-12", "01-10 roots at the bottom of the pot", "Held", null)]
    [InlineData("Hoya carnosa; bark; indoors; nights 18; pot 12", "2031-06-12", "06-10 roots at the bottom of the pot", "Held", null)] // blooms when full
    [InlineData("Hoya carnosa; bark; indoors; nights 18; origin cutting", "2031-06-12", "06-01 planted cutting", "Shut", null)] // no roots yet
    [InlineData("Ceropegia woodii; bark; indoors; nights 17", "2031-06-12", "06-10 roots at the bottom of the pot", "Open", null)]
    public void Where_it_stands_and_when_it_closes(string kind, string day, string log, string state, string? closes)
    {
        var window = Read(kind, day, log);
        Assert.Equal(
            (state, closes),
            (window.State.ToString(), window.State is WindowState.Missed ? null : window.To?.ToString("yyyy-MM-dd"))
        );
    }

    [Fact]
    public void The_day_after_the_cold_is_named_while_its_roots_bear_the_wait()
    {
        const string cold = "Cattleya labiata; bark; glasshouse; nights 15; forecast 8 8 8 8 8";
        Assert.Equal(new(2031, 4, 25), Read(cold, "2031-04-20", $"{Old}, 04-18 roots 1 cm").AfterCold);
        Assert.Null(Read(cold, "2031-04-20", $"{Old}, 04-10 roots 4 cm, 04-18 roots 7 cm").AfterCold); // 8 cm by the 22nd
    }

    [Fact]
    public void Shut_it_says_when_this_plant_made_roots_in_its_own_past()
    {
        var shut = Read(
            Orchid,
            "2031-03-02",
            $"{Old}, 2029-05-02 roots started, 2029-09-20 growth matured, 2030-03-20 growth started, 2030-04-14 roots started, 2030-09-20 growth matured"
        );
        Assert.Equal(new(2031, 4, 14), shut.From);
        Assert.Contains("plain water", shut.TideOver);
    }

    [Fact]
    public void The_board_has_the_most_urgent_first_and_takes_for_a_day_only_what_can_be_done()
    {
        string[] lines =
        [
            $"held | Cattleya labiata; bark; glasshouse; nights 6 | 2031-04-20 | {Old}, 04-18 roots 1.5 cm | never do water | it",
            $"open | {Orchid} | 2031-04-20 | {Old}, 04-18 roots 1.5 cm | never do water | it",
            $"soon | {Orchid} | 2031-04-20 | {Old}, 04-08 roots 2 cm, 04-18 roots 7 cm | never do water | it",
            $"rots | {Orchid} | 2031-04-20 | {Old}, 04-20 base soft | never do water | it",
            $"young | {Orchid} | 2031-04-20 | 2030-10-01 repotted, 04-18 roots 1.5 cm | never do water | it",
        ];
        var board = RepotBoard.Of(lines.Select(line => Situated.Read(line).Assess()), new(2031, 4, 20));
        Assert.Equal(["AtOnce", "Closing", "Open", "Held"], board.Wanted.Select(row => row.Window.State.ToString()));
        Assert.Equal(3, board.ForADay.Count());
        Assert.Single(board.Others);
    }

    /// <summary>It is no newcomer, and yet nobody feeds a fresh wound.</summary>
    [Fact]
    public void A_part_of_a_plant_that_is_here_did_not_come_from_outside()
    {
        var part = new Plant
        {
            Tag = "CAT-02",
            Taxon = "Cattleya labiata",
            Medium = "bark",
            Acquired = Specimens.Today,
            Parent = "CAT-01",
            Origin = "division",
            Entries = [Specimens.At(Specimens.Today.AddDays(-1), EntryKinds.Repotted)],
        };
        Assert.Null(Specimens.Assess(part).Situation.Arrival);
        Assert.True(Specimens.Assess(part with { Parent = null }).Situation.Arrival!.IsNewcomer);
        Assert.DoesNotContain(Specimens.Assess(part).Settled, advice => advice is { Topic: Topics.Feed, Verdict: Verdict.Do });
    }
}

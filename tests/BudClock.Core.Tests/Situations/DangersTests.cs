using System.Text;
using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Tests.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Situations;

/// <summary>
/// Every danger on every shipped sheet: what is said, printed into docs/dangers.md for growers to read. Nothing on it is silent.
/// </summary>
public class DangersTests
{
    /// <summary>One danger: what is written down, and what must at least be said of it.</summary>
    /// <param name="Answers">Topics of which one has to be Do or Look.</param>
    /// <param name="StopsWater">No water may be ordered.</param>
    /// <param name="StopsFeed">No feed may be ordered.</param>
    sealed record Danger(
        string Name,
        string Meaning,
        Func<CultureSheet, (Entry[] Entries, Weather Weather, string Setting)> Of,
        string[] Answers,
        bool StopsWater,
        bool StopsFeed
    );

    static readonly Entry Dry = At(Today, EntryKinds.Medium, text: "dry");

    static readonly Weather Hot = new(
        [.. Enumerable.Range(0, 3).Select(back => new Seen<double>(29, Today.AddDays(-back)))],
        [.. Enumerable.Range(0, 3).Select(back => new Seen<double>(42, Today.AddDays(-back)))],
        [],
        []
    );

    static readonly Danger[] All =
    [
        new(
            "limp and wet",
            "leaves limp, medium wet, both today (over a reservoir or in a tray: water in it)",
            sheet => (Wet(sheet, At(Today, EntryKinds.Leaves, text: "limp")), Night(18), "indoors"),
            [Topics.Health],
            true,
            true
        ),
        new(
            "rot",
            "an entry rot today, medium dry",
            _ => ([Dry, At(Today, EntryKinds.Rot, text: "at the base")], Night(18), "indoors"),
            [Topics.Health],
            true,
            true
        ),
        new(
            "soft base",
            "base soft today",
            _ => ([Dry, At(Today, EntryKinds.Base, text: "soft")], Night(18), "indoors"),
            [Topics.Health],
            true,
            true
        ),
        new(
            "no live root",
            "root count 0, medium dry",
            _ => ([Dry, At(Today, EntryKinds.RootCount, new Quantity(0))], Night(18), "indoors"),
            [],
            true,
            true
        ),
        new(
            "cold night",
            "last night a degree below its danger",
            sheet => ([Dry], Night(Hardiness.Of[sheet.Name].DangerC - 1), "indoors"),
            [Topics.Move],
            true,
            true
        ),
        new("heat", "nights of 29 °C after days of 42 °C", _ => ([Dry], Hot, "glasshouse"), [Topics.Move], false, true),
        new(
            "pests",
            "mealy bug today",
            _ => ([Dry, At(Today, EntryKinds.Pest, text: "mealy bug")], Night(18), "indoors"),
            [Topics.Health],
            false,
            true
        ),
        new(
            "scorched",
            "leaves scorched today",
            _ => ([Dry, At(Today, EntryKinds.Leaves, text: "scorched")], Night(18), "indoors"),
            [Topics.Move, Topics.Health],
            false,
            true
        ),
        new(
            "soggy medium on arrival",
            "came four days ago in a soggy medium",
            _ => ([At(Today.AddDays(-4), EntryKinds.Acquired, text: "in soggy peat")], Night(18), "indoors"),
            [Topics.Repot],
            false,
            true
        ),
        new(
            "soft in store",
            "stored since November, tuber soft today",
            _ =>
                (
                    [
                        At("2030-11-01", EntryKinds.LeavesGone),
                        At("2030-11-05", EntryKinds.Stored),
                        At(Today, EntryKinds.Tuber, text: "soft"),
                    ],
                    Night(17),
                    "store"
                ),
            [Topics.Health],
            true,
            true
        ),
        new(
            "forecast frost",
            "out of doors, −12 °C forecast in three nights",
            _ => ([Dry], Night(18) with { Ahead = [new(Today.AddDays(3), -12, 0)] }, "outdoors"),
            [Topics.Move],
            false,
            false
        ),
    ];

    static Entry[] Wet(CultureSheet sheet, Entry limp) =>
        NeverTests.ReservoirSheets.Contains(sheet.Name) ? [At(Today, EntryKinds.Reservoir, Cm(4)), limp]
        : NeverTests.BogSheets.Contains(sheet.Name) ? [At(Today, EntryKinds.Tray, Cm(3)), limp]
        : [At(Today, EntryKinds.Medium, text: "wet"), limp];

    [Fact]
    public void Every_danger_is_answered_on_every_sheet()
    {
        var page = new StringBuilder(
            "# What is said of each danger, on every sheet\n\nPrinted by the tests; a danger that is not answered fails them. Each line "
                + "is a plant of that sheet on 24 May at 51.5° N, with the danger in its log.\n"
        );
        var silent = new List<string>();
        foreach (var danger in All)
        {
            page.Append(
                $"\n## {danger.Name}\n\n{char.ToUpperInvariant(danger.Meaning[0])}{danger.Meaning[1..]}.\n\n| sheet | said | water | feed "
                    + $"| in words |\n| --- | --- | --- | --- | --- |\n"
            );
            foreach (var kind in Journals.Kinds)
            {
                var said = Say(kind, danger);
                var answer = said.Settled.FirstOrDefault(a => a.Asks && danger.Answers.Contains(a.Topic))
                    ?? said.Settled.FirstOrDefault(a => a.StoppedBy is not null)
                    ?? said.Settled[0];
                page.Append(
                    $"| {kind.Sheet} | {answer.Verdict} {answer.Care.Facts().Name} | {Of(said, Care.GiveWater)} | {Of(said, Care.Feed)} | "
                        + $"{answer.Reason} |\n"
                );
                if (danger.Answers.Length > 0 && !(answer.Asks && danger.Answers.Contains(answer.Topic)))
                    silent.Add($"{danger.Name} on {kind.Sheet}: not answered");
                // A bog plant's live crown roots again standing wet; dry it is dead in days.
                if (danger.Name == "no live root" && NeverTests.BogSheets.Contains(kind.Sheet))
                    continue;
                if (danger.StopsWater && said.Does(Acts.Wets))
                    silent.Add($"{danger.Name} on {kind.Sheet}: watered");
                if (danger.StopsWater && !said.Settled.Any(a => Acts.Waters.Contains(a.Care.Facts().Name) && !a.Asks))
                    silent.Add($"{danger.Name} on {kind.Sheet}: silent on water");
                if (danger.StopsFeed && said.Does("feed"))
                    silent.Add($"{danger.Name} on {kind.Sheet}: fed");
            }
        }
        Assert.True(silent.Count == 0, string.Join("\n", silent));
        Reference.Printed("dangers.md", page.ToString());
    }

    static string Of(Assessment said, Care care) => said.Of(care) is { } advice ? advice.Verdict.ToString() : "–";

    static Assessment Say((string Taxon, string? Medium, string Sheet) kind, Danger danger)
    {
        var sheet = CultureSheets.Shipped.Find(kind.Sheet)!;
        var (entries, weather, setting) = danger.Of(sheet);
        // In leaf since a fortnight, so that nobody has to ask whether it sleeps.
        Entry[] log = setting == "store" ? entries : [At(Today.AddDays(-14), EntryKinds.LeafStarted), .. entries];
        var plant = new Plant
        {
            Tag = "A-1",
            Taxon = kind.Taxon,
            Medium = kind.Medium,
            Place = "here",
            Acquired = new(2028, 3, 1),
            Pot = new(12, 11, "plastic"),
            Entries = [.. log.Select((e, i) => e with { Logged = e.Logged.AddSeconds(i) })],
        };
        return Assessor.Shipped.Assess(plant, Around with { Place = new("here", "Here", setting), Weather = weather }, Today);
    }
}

using BudClock.Core.Notes;
using CsCheck;

namespace BudClock.Core.Tests.Notes;

/// <summary>
/// What must never happen to a line: an ordinal read as a day, an English word read as another one, something left out of what is
/// logged. Words and lines are made up here, and not taken from what the reader knows.
/// </summary>
public class NothingTakenWronglyTests
{
    static readonly string[] Things =
    [
        "flower",
        "bud",
        "leaf",
        "growth",
        "spike",
        "node",
        "bulb",
        "root",
        "shoot",
        "watering",
        "repot",
        "feed",
        "year",
        "pup",
    ];
    static readonly string[] Ends = ["open", "showing", "4 cm", "wrinkled", "", "gone", "yellow", "today"];

    static readonly string[] Lines =
    [
        "watered",
        "watered 200 ml",
        "roots 12 cm",
        "bulbs wrinkled",
        "fed",
        "medium dry",
        "leaves limp",
        "growth 9 cm",
        "turned",
        "soaked",
    ];

    /// <summary>Words that no line of the log holds; half of them are English.</summary>
    static readonly string[] Strangers =
    [
        "zebra",
        "xylophone",
        "brickle",
        "sponsor",
        "mrxt",
        "balcony",
        "attic",
        "fizzled",
        "mortgage",
        "quokka",
        "oblong",
        "vlimp",
        "teapot",
    ];

    static readonly string[] Joined =
    [
        "because of the {0}",
        "and {0}",
        "with the {0}",
        "then {0}",
        "{0}",
        "by the {0}",
        "half {0}",
        "thanks to {0}",
    ];

    static Gen<string> Of(string[] words) => Gen.Int[0, words.Length - 1].Select(at => words[at]);

    static ReadNote Read(string line) => NoteReader.Read(line, DemoGarden.Context);

    [Fact]
    public void An_ordinal_before_a_thing_is_no_day() =>
        Gen.Select(Gen.Int[1, 31], Of(Things), Of(Ends), Gen.Bool)
            .Sample(
                (n, thing, end, the) =>
                {
                    var suffix = (n % 10, n is 11 or 12 or 13) switch
                    {
                        (1, false) => "st",
                        (2, false) => "nd",
                        (3, false) => "rd",
                        _ => "th",
                    };
                    var line = $"lyc-01 {(the ? "the " : "")}{n}{suffix} {thing} {end}".Trim();
                    Assert.All(Read(line).Groups.SelectMany(g => g.Entries), entry => Assert.True(entry.On == Specimens.Today, line));
                },
                iter: 1500
            );

    /// <summary>Every third word of the list of English words, beside a plant: none is read as a slip of another word.</summary>
    [Fact]
    public void An_english_word_is_never_read_as_another()
    {
        using var text = new StreamReader(typeof(NoteReader).Assembly.GetManifestResourceStream("english")!);
        var words = text.ReadToEnd()
            .Split('\n', StringSplitOptions.RemoveEmptyEntries)
            .Where((_, i) => i % 23 == 0)
            .Append("florist")
            .ToList();
        Assert.True(words.Count > 2000);
        var wrong = words.Where(word => Read($"cli-01 {word}").Taken.Any(taken => taken.Written == word)).ToList();
        Assert.True(wrong.Count == 0, string.Join(", ", wrong));
    }

    [Fact]
    public void What_is_left_unread_keeps_the_line_from_being_logged() =>
        Gen.Select(Of(Lines), Of(Joined), Of(Strangers))
            .Sample(
                (said, join, stranger) =>
                {
                    var line = $"lyc-01 {said} {string.Format(System.Globalization.CultureInfo.InvariantCulture, join, stranger)}";
                    var note = Read(line);
                    Assert.True(
                        !note.Complete || note.Entries.Any(entry => entry.Text?.Contains(stranger, StringComparison.Ordinal) == true),
                        $"{line} logs {note.Canonical}"
                    );
                },
                iter: 1500
            );

    [Theory]
    [InlineData("water hoy-02 on {0}")]
    [InlineData("hoy-02 feed {0}")]
    [InlineData("soak lyc-01 {0}")]
    [InlineData("flush dro-01 on {0}")]
    [InlineData("repot cal-02 on {0}")]
    public void An_order_for_a_weekday_is_no_past(string order)
    {
        foreach (var day in new[] { "monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday" })
            Assert.False(Read(string.Format(System.Globalization.CultureInfo.InvariantCulture, order, day)).Complete, $"{order} {day}");
    }
}

using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>Lines as growers type them, each with what it means. The judge reads what would be logged, nothing else.</summary>
public partial class JottingsTests
{
    const double EnoughUnderstood = 0.95;

    static string[] Lines(string file) =>
        [
            .. File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Notes", file))
                .Where(line => line.Contains(" => ") && line[0] != '#'),
        ];

    [Theory]
    [InlineData("jottings-0.txt")]
    [InlineData("jottings.txt")]
    [InlineData("jottings-2.txt")]
    [InlineData("jottings-3.txt")]
    [InlineData("jottings-4.txt")]
    public void Growers_lines_are_understood_and_none_is_taken_wrongly(string file)
    {
        var judged = Lines(file).Select(Judge).ToList();
        var wrong = judged.Where(j => j.Verdict == "wrong").ToList();
        var refused = judged.Where(j => j.Verdict == "refused").ToList();
        var report = string.Join("\n", wrong.Concat(refused).Select(j => $"{j.Verdict}: {j.Line}\n      {j.Said}"));
        Assert.True(wrong.Count == 0, $"{wrong.Count} of {judged.Count} wrong, {refused.Count} refused\n{report}");
        Assert.True(refused.Count <= judged.Count * (1 - EnoughUnderstood), $"{refused.Count} of {judged.Count} refused\n{report}");
    }

    static (string Line, string Verdict, string Said) Judge(string written)
    {
        var (line, meant) = (
            written[..written.IndexOf(" => ", StringComparison.Ordinal)],
            written[(written.IndexOf(" => ", StringComparison.Ordinal) + 4)..]
        );
        var note = NoteReader.Read(line, DemoGarden.Context);
        var said = Outcome(note);
        var meanings = meant.Split("||", StringSplitOptions.TrimEntries);
        if (meanings.Any(meaning => Agrees(meaning, line, note)))
            return (written, "right", said);
        return (written, note.Complete ? "wrong" : "refused", said);
    }

    static bool Agrees(string meaning, string line, ReadNote note) =>
        meaning switch
        {
            "ask" => !note.Complete && note.Questions.Count > 0 && note.Questions.All(q => q.Answers.Count > 0),
            "note" => note.Complete ? note.Entries.All(entry => entry.Kind == EntryKinds.Note) : KeptAsNote(line, note),
            "held" => !note.Complete,
            "no" => !note.Complete && note.AsNote is null && note.Questions.Count == 0,
            _ when meaning.StartsWith("read ", StringComparison.Ordinal) => note.Complete && Readings(note) == meaning,
            _ => note.Complete && Same(meaning, note),
        };

    /// <summary>A second Enter keeps what was not understood; only a line of several clauses may log something beside it.</summary>
    static bool KeptAsNote(string line, ReadNote note) =>
        note.AsNote is { } again
        && NoteReader.Read(again, DemoGarden.Context) is { Complete: true } kept
        && kept.Entries.Any(entry => entry.Kind == EntryKinds.Note)
        && (kept.Entries.Count == 1 || line.IndexOfAny([',', ':', '.', ';']) >= 0);

    static string Readings(ReadNote note) =>
        $"read {note.Readings.FirstOrDefault()?.Place} "
        + string.Join(' ', note.Readings.Select(r => r.TemperatureC is { } c ? $"{c} C" : $"{r.HumidityPct} %"));

    static bool Same(string meaning, ReadNote note)
    {
        var wanted = meaning
            .Split(" ; ")
            .SelectMany(entry => entry[..entry.IndexOf(' ')].Split('+').Select(tag => (tag, entry: entry[(entry.IndexOf(' ') + 1)..])))
            .ToList();
        var given = note.Groups.SelectMany(group => group.Tags.SelectMany(tag => group.Entries.Select(entry => (tag, entry)))).ToList();
        if (wanted.Count != given.Count)
            return false;
        foreach (var (tag, entry) in wanted)
        {
            var match = given.FindIndex(g => g.tag == tag && Fits(entry, g.entry));
            if (match < 0)
                return false;
            given.RemoveAt(match);
        }
        return true;
    }

    static bool Fits(string wanted, EntryDraft entry)
    {
        var parts = Wanted().Match(wanted);
        Assert.True(parts.Success, $"\"{wanted}\" is no reading");
        Assert.NotNull(EntryKinds.Find(parts.Groups["kind"].Value));
        if (entry.Kind.Name != parts.Groups["kind"].Value || entry.On != Day(parts.Groups["day"].Value))
            return false;
        if (!Amount(parts.Groups["value"].Value, parts.Groups["unit"].Value, entry.Amount))
            return false;
        var text = $"{entry.Mix} {entry.Text}".ToLowerInvariant();
        return parts.Groups["text"].Value.ToLowerInvariant().Split(' ', StringSplitOptions.RemoveEmptyEntries).All(text.Contains);
    }

    static bool Amount(string value, string unit, Quantity? given)
    {
        if (value.Length == 0)
            return given is null;
        var wanted = new Quantity(double.Parse(value, CultureInfo.InvariantCulture), unit.Length == 0 ? null : Unit.Find(unit));
        return given is { } g && g.Dimension == wanted.Dimension && Math.Abs(g.InBase - wanted.InBase) < 1e-6;
    }

    static DateOnly Day(string written) =>
        written.Length == 0 ? Specimens.Today : DateOnly.ParseExact($"2031-{written}", "yyyy-MM-dd", CultureInfo.InvariantCulture);

    static string Outcome(ReadNote note) =>
        $"{(note.Complete ? "logs" : "does not log")} {note.Canonical}"
        + string.Concat(note.Questions.Select(q => $" ask {q.Entry}: {q.Ask} [{string.Join("; ", q.Answers.Select(a => a.Text))}]"))
        + string.Concat(note.Unread.Select(u => $" unread {u.Fragment}: {u.Why}"))
        + (note.AsNote is { } again ? $" note {again}" : "");

    [GeneratedRegex("""^(?<kind>[a-z-]+)(?: (?<value>[0-9.]+)(?: (?<unit>[a-zA-Z]+))?)?(?: "(?<text>[^"]*)")?(?: @(?<day>\d\d-\d\d))?$""")]
    private static partial Regex Wanted();
}

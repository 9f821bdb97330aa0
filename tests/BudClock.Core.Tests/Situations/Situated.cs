using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Situations;

/// <summary>A log and the verdict to be signed: one line of situations.txt.</summary>
sealed partial record Situated(string Name, Plant Plant, Surroundings Around, DateOnly On, IReadOnlyList<Wanted> Verdicts, string Why)
{
    public Assessment Assess() => Assessor.Shipped.Assess(Plant, Around, On);

    public static Situated Read(string line)
    {
        var parts = line.Split(" | ");
        Assert.True(parts.Length == 6, $"expected six parts: {line}");
        var on = DateOnly.ParseExact(parts[2].Trim(), "yyyy-MM-dd", CultureInfo.InvariantCulture);
        var facts = parts[1].Split(';', StringSplitOptions.TrimEntries);
        var plant = new Plant
        {
            Tag = "A-1",
            Taxon = facts[0],
            Place = "here",
            Acquired = new(2028, 3, 1),
            Pot = new(12, 12, "plastic"),
            Entries = Log(parts[3], on),
        };
        plant = plant with { Organs = Organs(parts[3], plant.Entries) };
        var around = new Surroundings(new("Glass", 51.5, 0.7, "Europe/London"));
        var weather = new WeatherFacts(on);
        foreach (var fact in facts.Skip(1))
            if (!weather.Take(fact))
                Take(fact);
        around = weather.Over(around with { Place = around.Place ?? new("here", "Here", "indoors") });
        return new(
            parts[0].Trim(),
            plant,
            around,
            on,
            [.. parts[4].Split(';', StringSplitOptions.TrimEntries).Select(Wanted.Read)],
            parts[5].Trim()
        );

        void Take(string fact)
        {
            var words = fact.Split(' ', 2);
            var rest = words.ElementAtOrDefault(1) ?? "";
            switch (words[0])
            {
                case "indoors" or "glasshouse" or "outdoors" or "cold-frame" or "store":
                    around = around with { Place = new("here", "Here", words[0]) };
                    break;
                case "latitude":
                    around = around with { Garden = around.Garden with { Latitude = Number(rest) } };
                    break;
                case "no":
                    around = around with { Garden = around.Garden with { Latitude = null } };
                    break;
                case "came":
                    plant = plant with { Acquired = DateOnly.ParseExact(rest, "yyyy-MM-dd", CultureInfo.InvariantCulture) };
                    break;
                case "pot":
                    plant = plant with { Pot = new(Number(rest), Number(rest), "plastic") };
                    break;
                case "cover":
                    plant = plant with { Pot = plant.Pot! with { Kind = "cover pot" } };
                    break;
                case "cutting" or "corm" or "division":
                    plant = plant with { Origin = words[0] };
                    break;
                case "leaf":
                    plant = plant with { Origin = "leaf" };
                    break;
                case "school":
                    plant = plant with { Schools = Choices.None.With(rest.Split(' ')[0], rest.Split(' ')[1]) };
                    break;
                default:
                    plant = plant with { Medium = fact };
                    break;
            }
        }
    }

    internal static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    static IReadOnlyList<Entry> Log(string log, DateOnly on)
    {
        var entries = new List<Entry>();
        DateOnly? day = null;
        foreach (var line in log.Split(',', StringSplitOptions.TrimEntries))
        {
            var words = line.Split(' ', 2);
            if (Day(words[0], on) is { } dated)
                (day, words[0]) = (dated, "");
            var text = words[0].Length == 0 ? words[1] : line;
            var organ = OrganAt().Match(text);
            text = OrganAt().Replace(text, "");
            if (words[0].Length > 0)
            {
                // A comma inside a free text belongs to the entry before it.
                entries[^1] = entries[^1] with { Text = $"{entries[^1].Text}, {text}" };
                continue;
            }
            var context = new NoteContext(["A-1"], day!.Value);
            var note = NoteReader.Read($"a-1 {text}", context);
            if (note.Entries is [{ Kind: var kind }] && kind == EntryKinds.Died)
                note = NoteReader.Read(note.Questions[0].Answers[0].Text, context);
            Assert.True(note.Complete, $"{line}: {string.Join(" ", note.Unread.Select(u => u.Why))}");
            entries.AddRange(
                note.Entries.Select(e =>
                    Specimens.At(day.Value, e.Kind, e.Amount, e.Text) with
                    {
                        Organ = organ.Success ? organ.Groups["id"].Value : null,
                    }
                )
            );
        }
        return
        [
            .. entries.Select(
                (e, index) => e with { Logged = new DateTimeOffset(e.On, TimeOnly.MinValue, TimeSpan.Zero).AddSeconds(index) }
            ),
        ];
    }

    /// <summary>" #g31" is the organ that a line is about, " #g31&lt;g30" one that sprouted from another.</summary>
    [GeneratedRegex(@"\s#(?<id>\w+)(<(?<parent>\w+))?$")]
    private static partial Regex OrganAt();

    static IReadOnlyList<Organ> Organs(string log, IReadOnlyList<Entry> entries) =>
        [
            .. log.Split(',', StringSplitOptions.TrimEntries)
                .Select(line => OrganAt().Match(line))
                .Where(match => match.Success)
                .GroupBy(match => match.Groups["id"].Value)
                .Select(group => new Organ(
                    group.Key,
                    OrganKind(entries.First(e => e.Organ == group.Key).Kind),
                    null,
                    group.Select(match => match.Groups["parent"].Value).FirstOrDefault(parent => parent.Length > 0)
                )),
        ];

    static string OrganKind(EntryKind first) =>
        first == EntryKinds.LeafStarted || first == EntryKinds.LeafSpan ? Organ.Leaf
        : first == EntryKinds.RootsStarted || first == EntryKinds.RootLength ? Organ.Roots
        : Organ.Growth;

    /// <summary>"06-14" is the last such day up to the day asked about.</summary>
    static DateOnly? Day(string word, DateOnly on)
    {
        if (DateOnly.TryParseExact(word, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var whole))
            return whole;
        if (!DateOnly.TryParseExact($"{on.Year}-{word}", "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return null;
        return day > on ? day.AddYears(-1) : day;
    }
}

/// <summary>One verdict: "do/look water act top-up", "hold water says roots", "never do water", "phase resting".</summary>
sealed record Wanted(string Text, bool Never, string[] Verdicts, string[] Topics, string? Act, string? Says)
{
    public static Wanted Read(string text)
    {
        var match = Regex.Match(
            text,
            @"^(?<never>never )?(?<verdict>phase|[a-z/]+) (?<topic>[a-z/-]+)( act (?<act>[a-z-]+))?( says (?<says>.+))?$"
        );
        Assert.True(match.Success, $"no verdict: {text}");
        string? Group(string name) => match.Groups[name].Success ? match.Groups[name].Value : null;
        return new(
            text,
            match.Groups["never"].Success,
            match.Groups["verdict"].Value.Split('/'),
            match.Groups["topic"].Value.Split('/'),
            Group("act"),
            Group("says")
        );
    }

    public bool Holds(Assessment said) =>
        Verdicts is ["phase"]
            ? Topics.Contains(said.Phase.Phase.Name())
            : said.Settled.Any(advice =>
                Verdicts.Contains(advice.Verdict.ToString().ToLowerInvariant())
                && Topics.Contains(advice.Topic)
                && (Act is null || advice.Care.Facts().Name == Act)
                && (Says is null || advice.Reason.Contains(Says, StringComparison.OrdinalIgnoreCase))
            ) != Never;
}

using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Years;

/// <summary>
/// A simulated year for every sheet, its usual course and a disturbed one: what is said at each turning point (years.txt).
/// </summary>
public class YearsTests
{
    static readonly DateOnly Last = new(2032, 1, 1);

    public static TheoryData<string> Courses => [.. Read().Select(course => course.Title)];

    [Theory]
    [MemberData(nameof(Courses))]
    public void At_each_turning_point_what_practice_says(string title)
    {
        var course = Read().Single(c => c.Title == title);
        foreach (var (on, expected, silent, logged) in course.Checks)
        {
            var assessment = Assessor.Shipped.Assess(course.Plant(logged), course.AroundOn(on), on);
            var said = assessment.Settled.Select(a => $"{a.Verdict.ToString().ToLowerInvariant()} {a.Rule}").ToList();
            var shown =
                $"{title}, {on:yyyy-MM-dd}: expected {expected}, said "
                + $"{string.Join(", ", assessment.Settled.Select(a => $"{a.Verdict} {a.Rule} ({a.Reason})"))}";
            if (silent)
                Assert.True(said.All(s => !s.EndsWith(' ' + expected)), shown);
            else
                Assert.True(said.Contains(expected), shown);
        }
    }

    [Fact]
    public void Every_sheet_has_its_years()
    {
        var covered = Read().Select(course => CultureSheets.Shipped.For(course.Plant(0))!.Name).ToHashSet();
        Assert.Equal([CultureSheets.General], CultureSheets.Shipped.All.Select(sheet => sheet.Name).Where(name => !covered.Contains(name)));
    }

    sealed record Course(string Title, Plant Basis, List<Entry> Log, List<(DateOnly On, string Expected, bool Silent, int Logged)> Checks)
    {
        public Surroundings Around { get; set; } = Specimens.Around;

        public double NightC { get; set; } = 16;

        /// <summary>The surroundings with last night measured.</summary>
        public Surroundings AroundOn(DateOnly day) => Around with { Weather = Specimens.Night(new Seen<double>(NightC, day)) };

        /// <summary>The plant with the lines of the log that stand above a check.</summary>
        public Plant Plant(int logged) => Basis with { Entries = [.. Log.Take(logged)] };
    }

    static List<Course> Read()
    {
        var courses = new List<Course>();
        foreach (
            var line in File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Years", "years.txt"))
                .Where(line => line.Length > 0 && !line.StartsWith('#'))
        )
        {
            if (line.StartsWith("== ", StringComparison.Ordinal))
                courses.Add(Head(line[3..]));
            else if (line.StartsWith("nights ", StringComparison.Ordinal))
                courses[^1].NightC = double.Parse(line[7..]);
            else if (line[0] is '?' or '-')
                courses[^1].Checks.Add((DateOnly.ParseExact(line[2..12], "yyyy-MM-dd"), line[13..], line[0] == '-', courses[^1].Log.Count));
            else
                Log(courses[^1], line);
        }
        return courses;
    }

    static Course Head(string line)
    {
        var parts = line.Split(" | ");
        var course = new Course(
            line,
            new()
            {
                Tag = "A-1",
                Taxon = parts[0],
                Place = "here",
            },
            [],
            []
        );
        foreach (var part in parts.Skip(1).Select(part => part.Split(' ', 2)))
            course = part switch
            {
                ["medium", var medium] => course with { Basis = course.Basis with { Medium = medium } },
                ["sheet", var sheet] => course with { Basis = course.Basis with { Sheet = sheet } },
                ["school", var school] => course with
                {
                    Basis = course.Basis with { Schools = Choices.None.With(school.Split(' ')[0], school.Split(' ')[1]) },
                },
                ["lamps", var hours] => course with
                {
                    Around = course.Around with { Place = new("here", "Here", "indoors", double.Parse(hours)) },
                },
                ["place", var setting] => course with { Around = course.Around with { Place = new("here", "Here", setting) } },
                _ => course,
            };
        return course;
    }

    static void Log(Course course, string line)
    {
        var note = NoteReader.Read($"a-1 {line}", new(["A-1"], Last));
        Assert.True(note.Complete, $"{line}: {string.Join(" ", note.Unread.Select(u => u.Why))}");
        foreach (var entry in note.Entries)
            course.Log.Add(
                Specimens.At(entry.On, entry.Kind, entry.Amount, entry.Text) with
                {
                    Logged = new DateTimeOffset(entry.On, TimeOnly.MinValue, TimeSpan.Zero).AddSeconds(course.Log.Count),
                }
            );
    }
}

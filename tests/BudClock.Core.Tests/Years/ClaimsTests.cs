using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Advising;
using BudClock.Core.Tests.Advising;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Years;

/// <summary>
/// A reason is a claim: what it says was done or seen, and how long ago, stands in the raw log; what it says nobody wrote does not. Read
/// here from the words of the reason, by a table of this test's own.
/// </summary>
public partial class ClaimsTests
{
    /// <summary>All of these put water through the pot, and are called watering.</summary>
    static readonly EntryKind[] Waterings =
    [
        EntryKinds.Watered,
        EntryKinds.Soaked,
        EntryKinds.ToppedUp,
        EntryKinds.Flushed,
        EntryKinds.Rinsed,
        EntryKinds.Fed,
    ];

    /// <summary>How a kind of entry is spoken of in a reason, and what it is in the log.</summary>
    static readonly (string Words, EntryKind Kind, string? Text)[] Spoken =
    [
        ("watered", EntryKinds.Watered, null),
        ("soaked", EntryKinds.Soaked, null),
        ("topped up", EntryKinds.ToppedUp, null),
        ("fed", EntryKinds.Fed, null),
        ("flushed", EntryKinds.Flushed, null),
        ("rinsed", EntryKinds.Rinsed, null),
        ("repotted", EntryKinds.Repotted, null),
        ("divided", EntryKinds.Divided, null),
        ("turned", EntryKinds.Turned, null),
        ("moved", EntryKinds.Moved, null),
        ("planted", EntryKinds.Planted, null),
        ("medium dry", EntryKinds.Medium, "dry"),
        ("medium damp", EntryKinds.Medium, "damp"),
        ("medium wet", EntryKinds.Medium, "wet"),
        ("leaves limp", EntryKinds.Leaves, "limp"),
        ("leaves pliable", EntryKinds.Leaves, "pliable"),
        ("leaves scorched", EntryKinds.Leaves, "scorched"),
        ("leaves yellowing", EntryKinds.Leaves, "yellowing"),
        ("base soft", EntryKinds.Base, "soft"),
        ("base smelling", EntryKinds.Base, "smelling"),
        ("tuber soft", EntryKinds.Tuber, "soft"),
        ("tuber mouldy", EntryKinds.Tuber, "mouldy"),
        ("bulbs shrivelled", EntryKinds.Bulbs, "shrivelled"),
        ("bulbs wrinkled", EntryKinds.Bulbs, "wrinkled"),
        ("leaf feed", EntryKinds.Fed, null),
    ];

    /// <summary>"Watered 3 days ago", "medium dry today", "leaves limp yesterday", in the order of <see cref="Spoken"/>.</summary>
    [GeneratedRegex(@"(?<what>[A-Za-z]+( [a-z]+)?) (?<when>today|yesterday|\d+ days ago)", RegexOptions.ExplicitCapture)]
    private static partial Regex Said();

    /// <summary>"Roots 10.2 cm", with the day left out.</summary>
    [GeneratedRegex(@"\bRoots (?<cm>\d+(\.\d+)?) (cm|of)", RegexOptions.ExplicitCapture)]
    private static partial Regex Roots();

    /// <summary>What nobody wrote, and so must not be there.</summary>
    static readonly (string Words, Func<Entry, bool> Is)[] Absent =
    [
        ("o feed is on record", e => e.Kind == EntryKinds.Fed),
        ("o water is on record", e => e.Kind == EntryKinds.Watered || e.Kind == EntryKinds.Soaked || e.Kind == EntryKinds.ToppedUp),
        ("o level is on record: look at the reservoir", e => e.Kind == EntryKinds.Reservoir),
        ("o level is on record: look at the tray", e => e.Kind == EntryKinds.Tray),
        ("nobody wrote of roots", e =>
            e.Kind == EntryKinds.RootLength || e.Kind == EntryKinds.RootCount || e.Kind == EntryKinds.RootsStarted
        ),
    ];

    /// <summary>Eighteen months of every kind, as its grower kept them.</summary>
    [Fact]
    public void What_is_said_through_eighteen_months_stands_in_the_log()
    {
        var (wrong, claims) = (new List<string>(), 0);
        foreach (var kind in Journals.Kinds)
        foreach (var kept in Enum.GetValues<Kept>())
        {
            var plant = LifeLog.Plant(kind, new(11, 10, "plastic"), kept);
            for (var day = LifeLog.First.AddDays(10); day <= LifeLog.Last; day = day.AddDays(Mutating ? 41 : 11))
                claims += Check(Assessor.Shipped.Assess(plant, Around with { Weather = Night(new Seen<double>(15, day)) }, day), wrong);
        }
        Assert.True(claims > 1000, $"{claims} claims were read");
        Assert.True(wrong.Count == 0, $"{wrong.Count} of {claims}\n{string.Join("\n", wrong.Take(60))}");
    }

    /// <summary>And of any journal, however disturbed.</summary>
    [Fact]
    public void What_is_said_of_any_journal_stands_in_it()
    {
        var wrong = new System.Collections.Concurrent.ConcurrentBag<string>();
        Journals.Any.Sample(
            plant =>
            {
                var found = new List<string>();
                Check(Assessor.Shipped.Assess(plant, Around with { Weather = Night(15) }, Today), found);
                found.ForEach(wrong.Add);
            },
            iter: Mutating ? 100 : 4000
        );
        Assert.True(wrong.IsEmpty, $"{wrong.Count}\n{string.Join("\n", wrong.Take(60))}");
    }

    /// <summary>How many claims there were; those that the log does not bear out are noted.</summary>
    static int Check(Assessment said, List<string> wrong)
    {
        var log = said.Plant.Entries.Where(e => !e.Struck && e.On <= said.On).ToList();
        var count = 0;
        foreach (var advice in said.Settled)
        {
            foreach (Match claim in Said().Matches(advice.Reason))
                if (
                    Spoken.FirstOrDefault(one => claim.Groups["what"].Value.EndsWith(one.Words, StringComparison.OrdinalIgnoreCase)) is
                    { Words: not null } of
                )
                {
                    count++;
                    var day = said.On.AddDays(-Back(claim.Groups["when"].Value));
                    if (!log.Exists(e => e.On == day && IsOf(e, of.Kind) && (of.Text is null || e.Text == of.Text)))
                        wrong.Add(Told($"nobody wrote \"{claim.Value}\""));
                }
            foreach (Match claim in Roots().Matches(advice.Reason))
            {
                count++;
                var cm = double.Parse(claim.Groups["cm"].ValueSpan, CultureInfo.InvariantCulture);
                if (!log.Exists(e => e.Kind == EntryKinds.RootLength && Math.Abs(e.Amount!.Value.InBase - cm) < 0.06))
                    wrong.Add(Told($"no such length: {claim.Value}"));
            }
            foreach (var (words, isIt) in Absent)
                if (advice.Reason.Contains(words, StringComparison.Ordinal) && ++count > 0 && log.Exists(e => isIt(e)))
                    wrong.Add(Told($"it is on record: {words}"));
            foreach (var rests in advice.Conditions)
                if (rests is { Have: not null, Seen: { } seen } && seen <= said.On && !Measured(rests))
                {
                    count++;
                    if (!log.Exists(e => e.On == seen) && said.Plant.Acquired != seen)
                        wrong.Add(Told($"nothing was written on {seen}: {rests.Name}"));
                }

            string Told(string what) => $"{said.Situation.Sheet.Name}, {said.On}: {what}: {advice.Rule} {advice.Verdict} {advice.Reason}";
        }
        return count;
    }

    static bool IsOf(Entry entry, EntryKind kind) => entry.Kind == kind || (kind == EntryKinds.Watered && Waterings.Contains(entry.Kind));

    /// <summary>What a thermometer or the calendar says is no entry.</summary>
    static bool Measured(Condition rests) =>
        rests.Name.Contains("night", StringComparison.Ordinal)
        || rests.Name.Contains("day length", StringComparison.Ordinal)
        || rests.Name.Contains("forecast", StringComparison.Ordinal)
        || rests.Name.Contains("light", StringComparison.Ordinal)
        || rests.Name.Contains("usual waking", StringComparison.Ordinal)
        || rests.Name.Contains("season", StringComparison.Ordinal);

    static int Back(string when) =>
        when switch
        {
            "today" => 0,
            "yesterday" => 1,
            _ => int.Parse(when[..when.IndexOf(' ')], CultureInfo.InvariantCulture),
        };
}

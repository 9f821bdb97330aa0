using System.Text.RegularExpressions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Journal;

/// <summary>
/// The words of a programme's start: "cool nights from 2031-11-01", "in bloom for 2031-12-24, 12 bulbs", "succession every 28 days".
/// </summary>
static partial class SaidReader
{
    /// <summary>What was kept of an entry, with what versions before kept only in its words.</summary>
    public static Said Whole(EntryKind kind, string? text, Said kept) =>
        kind == ProgrammeStarted && text is not null && kept.Plan is null ? kept with { Plan = Plan(text) } : kept;

    static ProgrammePlan? Plan(string text)
    {
        var plan = new ProgrammePlan(
            ProgrammePlan.Day(First(FromDay(), text)),
            ProgrammePlan.Day(First(ForDay(), text)),
            ProgrammePlan.Number(First(BulbCount(), text)),
            ProgrammePlan.Number(First(Succession(), text))
        );
        return plan == ProgrammePlan.None ? null : plan;
    }

    static string First(Regex words, string text) => words.Match(text).Groups[1].Value;

    [GeneratedRegex(@"\bfrom (\d{4}-\d{2}-\d{2})\b", RegexOptions.IgnoreCase)]
    private static partial Regex FromDay();

    [GeneratedRegex(@"\bfor (\d{4}-\d{2}-\d{2})\b", RegexOptions.IgnoreCase)]
    private static partial Regex ForDay();

    [GeneratedRegex(@"\b(\d{1,4}) bulbs?\b", RegexOptions.IgnoreCase)]
    private static partial Regex BulbCount();

    [GeneratedRegex(@"\bevery (\d{1,3}) days\b", RegexOptions.IgnoreCase)]
    private static partial Regex Succession();
}

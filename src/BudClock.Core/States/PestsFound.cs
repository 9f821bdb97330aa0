using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>
/// Rule H1: pests from the day they are seen to the second clear look. Seen again when a treatment has had its time, or worse, they are a
/// new finding, and the treatment is forgotten.
/// </summary>
public sealed class PestsFound : State
{
    /// <inheritdoc/>
    public override string Name => "pests";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(Pest, "pests seen", e => !Clear(e) && !e.Said.Has(SaidFacts.Algae))];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Meets { get; } = [new(Treated, "treated, or predators let loose", e => !Clear(e))];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(Pest, "none seen, for the second time a week apart, or said to be over", Clear),
        new(Inspected, "looked over and none seen, likewise", Clear),
        new(Treated, "found clear while treating, likewise", Clear),
        Mark.Of(Looked, "a second look that is better, likewise", "better"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It may be fed again, and go back to its neighbours.";

    /// <inheritdoc/>
    protected override Span Again(Span open, Entry sign, PlantLog log) =>
        open.Since.LastOrDefault(entry => entry.Kind == Treated) is { } treated && Expected(open, treated, sign, log)
            ? open with
            {
                Sign = sign,
                Since = [treated, sign],
            }
            : open with
            {
                Sign = sign,
                Since = [],
            };

    /// <summary>A treatment works within days: what is left of them before that is no new finding, unless it is worse or another.</summary>
    static bool Expected(Span open, Entry treated, Entry sign, PlantLog log) =>
        sign.On < treated.On.AddDays(log.Sheet.Limits<PestLimits>().Works)
        && !sign.Said.Has(SaidFacts.Worse)
        && (sign.Text is null || open.Sign.Text is null || SameWords(sign.Text, open.Sign.Text));

    static bool SameWords(string a, string b) =>
        a.Split(' ').Any(word => word.Length > 3 && b.Contains(word.TrimEnd('s'), StringComparison.OrdinalIgnoreCase));

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log)
    {
        var (clear, limits) = (open.Since.Count(Clears), log.Sheet.Limits<PestLimits>());
        if (open.Since.LastOrDefault(Clears) is { } before && end.On < before.On.AddDays(limits.Apart) && !end.Said.Has(SaidFacts.AllClear))
            return open;
        return end.Said.Has(SaidFacts.AllClear) || clear + 1 >= limits.Looks
            ? open with
            {
                Since = [.. open.Since, end],
                End = end,
            }
            : open with
            {
                Since = [.. open.Since, end],
            };
    }

    /// <summary>A look that found none.</summary>
    internal static bool Clears(Entry entry) => entry.Kind == Looked ? entry.Text == "better" : Clear(entry);

    static bool Clear(Entry entry) => entry.Said.Has(SaidFacts.NoneSeen) || entry.Said.Has(SaidFacts.AllClear);
}

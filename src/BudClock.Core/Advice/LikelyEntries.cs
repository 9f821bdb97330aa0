using BudClock.Core.Journal;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advice;

/// <summary>An entry ready to be logged with one tap, or with one number where it asks for one.</summary>
/// <param name="Ask">The unit of the number to ask for; null when the tap says it all.</param>
public sealed record OneTap(string Label, EntryKind Kind, Quantity? Amount = null, string? Text = null, Unit? Ask = null);

/// <summary>The entries most likely for a plant now, the likeliest first.</summary>
public static class LikelyEntries
{
    static readonly OneTap Soak = new("Soaked", Soaked);
    static readonly OneTap Sip = new("Sipped", Watered);
    static readonly OneTap NoRootsYet = new("No roots yet", RootLength, new Quantity(0, Unit.Cm));
    static readonly OneTap RootsShow = new("Roots showing", RootsStarted);
    static readonly OneTap AtBase = new("Roots at the bottom", RootsAtBase);
    static readonly OneTap Stopped = new("Growth stopped", GrowthStopped);

    public static IReadOnlyList<OneTap> For(Assessment assessment, bool usUnits = false)
    {
        if (assessment.Gone) return [];
        var length = Unit.Default(Dimension.Length, usUnits)!;
        var measure = new OneTap($"Roots", RootLength, Ask: length);
        var growth = new OneTap("Growth", GrowthHeight, Ask: length);
        if (assessment.Situation is not { } now || assessment.Main is not { } main) return [.. Usual, growth];
        if (main.AnsweredBy == Looked)
            return [Answer("better"), Answer("same"), Answer("worse"), .. Usual];
        if (main.Topic == Topics.Measure && MeasureAdviser.Next(now) is { } next && (next.Kind != RootLength || !now.Season.Waking))
            return [new(next.Name, next.Kind, Ask: length), .. Usual];
        return now.Sheet.Rule("W1") is null ? [.. Usual, growth] : ForAdvice(now, main, measure, growth);
    }

    static readonly OneTap[] Usual = [new("Watered", Watered), new("Fed", Fed)];

    static OneTap Answer(string state) => new(char.ToUpperInvariant(state[0]) + state[1..], Looked, Text: state);

    static IReadOnlyList<OneTap> ForAdvice(Situation now, Advice main, OneTap measure, OneTap growth) => main.Topic switch
    {
        Topics.FirstSoak when main.Verdict is Verdict.Do => [main.School == FirstWater.Sip ? Sip : Soak, measure, .. OtherBulbs(now)],
        Topics.Water => [Soak, growth, .. OtherBulbs(now)],
        Topics.SecondLook when Filled(now) is null => [Look("plump"), Look("wrinkled"), Look("shrivelled")],
        Topics.SecondLook => [measure, new("Roots lost", RootsLost)],
        _ when now.Season.Asleep => [new("New growth", GrowthStarted), new("Eye swelling", EyeSwelling), .. OtherBulbs(now)],
        _ when !now.Roots.Live => [RootsShow, NoRootsYet, Stopped, .. OtherBulbs(now)],
        _ => [measure, AtBase, .. OtherBulbs(now), Soak with { Label = "Watered anyway" }],
    };

    /// <summary>The bulbs as seen since the second look was due; null while it is unanswered.</summary>
    static Seen<string>? Filled(Situation now) =>
        now.Season.FirstWater is { } water && now.Bulbs?.On >= water.On.AddDays((int)now.Needs("K4", "water-from")) ? now.Bulbs : null;

    static OneTap Look(string state) => new($"Bulbs {state}", Bulbs, Text: state);

    /// <summary>The next state the bulbs could have gone to.</summary>
    static IEnumerable<OneTap> OtherBulbs(Situation now) => now.Bulbs?.Value switch
    {
        "shrivelled" => [Look("wrinkled")],
        "wrinkled" => [Look("shrivelled")],
        _ => [Look("wrinkled")],
    };
}

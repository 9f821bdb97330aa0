using BudClock.Core.Advising;
using BudClock.Core.Advising.Looking;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Saying;

/// <summary>An entry ready to be logged with one tap, or with one number where it asks for one.</summary>
/// <param name="Ask">The unit of the number to ask for; null when the tap says it all.</param>
/// <param name="Organ">The id of the organ it is about; null leaves that to the plant's organs.</param>
public sealed record OneTap(string Label, EntryKind Kind, Quantity? Amount = null, string? Text = null, Unit? Ask = null, string? Organ = null);

/// <summary>The entries most likely for a plant now, the likeliest first: by what is asked, by its phase, by the signs of its habit.</summary>
public static class LikelyEntries
{
    const int Most = 9;

    static readonly OneTap Soak = new("Soaked", Soaked);
    static readonly OneTap Sip = new("Sipped", Watered);
    static readonly OneTap NoRootsYet = new("No roots yet", RootLength, new Quantity(0, Unit.Cm));
    static readonly OneTap RootsShow = new("Roots showing", RootsStarted);
    static readonly OneTap AtBase = new("Roots at the bottom", RootsAtBase);
    static readonly OneTap Stopped = new("Growth stopped", GrowthStopped);
    static readonly OneTap[] Usual = [new("Watered", Watered), new("Fed", Fed)];

    public static IReadOnlyList<OneTap> For(Assessment assessment, bool usUnits = false)
    {
        if (assessment.Gone) return [];
        var length = Unit.Default(Dimension.Length, usUnits)!;
        if (assessment.Situation is not { } now) return [.. Usual, new("Growth", GrowthHeight, Ask: length)];
        return [.. Asked(now, assessment.Advice, assessment.Main, length).Concat(Measures(now, length)).Concat(Signs(now, length)).DistinctBy(tap => (tap.Kind, tap.Text, tap.Organ, tap.Amount)).Take(Most)];
    }

    /// <summary>What the first advice asks for.</summary>
    static IEnumerable<OneTap> Asked(Situation now, IReadOnlyList<Advice> advice, Advice? main, Unit length)
    {
        var measure = new OneTap("Roots", RootLength, Ask: length);
        if (main is null) return Usual;
        if (main.Verdict is not Verdict.Do && advice.Any(a => a.AnsweredBy == Looked && a.Verdict is Verdict.Look)) return [Answer("better"), Answer("same"), Answer("worse"), .. Usual];
        if (main.LoggedAs is { } act && main.Topic != Topics.FirstSoak) return [.. Acts(act, main, length), .. Usual];
        if (main.Topic == Topics.Measure && MeasureAdviser.Next(now) is { } next && (next.Kind != RootLength || !now.Season.Waking))
            return [new(next.Name, next.Kind, Ask: length, Organ: next.Organ), .. Usual];
        return now.Sheet.Rule("W1") is null ? Usual : ForAdvice(now, main, measure, new("Growth", GrowthHeight, Ask: length));
    }

    /// <summary>The act that an advice asks for, or what one may find on looking.</summary>
    static IEnumerable<OneTap> Acts(EntryKind act, Advice main, Unit length)
    {
        if (act == Tray) return [new("Tray", Tray, Ask: length), new("Tray empty", Tray, Text: "empty")];
        if (act.States.Length > 0) return act.States.Select(state => new OneTap($"{act.Words} {state}", act, Text: state));
        OneTap done = act == Rinsed ? new("Flushed", Rinsed) : act == Note ? new("Seen", Note, Text: "going to rest, base firm") : new(act.Words, act);
        return main is { Verdict: Verdict.Look, Topic: Topics.Water } ? [done, new("Still damp", Medium, Text: "damp"), new("Dry", Medium, Text: "dry")] : [done];
    }

    static OneTap Answer(string state) => new(Capital(state), Looked, Text: state);

    static IReadOnlyList<OneTap> ForAdvice(Situation now, Advice main, OneTap measure, OneTap growth) => main.Topic switch
    {
        Topics.FirstSoak when main.Verdict is Verdict.Do => [main.School == FirstWater.Sip ? Sip : Soak, measure, .. OtherBulbs(now)],
        Topics.Water => [Soak, growth, .. OtherBulbs(now)],
        Topics.SecondLook when Filled(now) is null => [Look("plump"), Look("wrinkled"), Look("shrivelled")],
        Topics.SecondLook => [measure, new("Roots lost", RootsLost)],
        _ when now.Season.Asleep => [new("New growth", GrowthStarted), new("Eye swelling", EyeSwelling), .. OtherBulbs(now)],
        _ when now.Season.Waking && !now.Roots.Live => [RootsShow, NoRootsYet, Stopped, .. OtherBulbs(now)],
        _ when now.Season.Waking => [measure, AtBase, .. OtherBulbs(now), Soak with { Label = "Watered anyway" }],
        _ => Usual,
    };

    /// <summary>A number for each organ that is being followed.</summary>
    static IEnumerable<OneTap> Measures(Situation now, Unit length) => now.Season.Waking
        ? []
        : now.Series.Where(series => series.Moves).Take(3).Select(series => new OneTap(series.Label, series.Kind, Ask: length, Organ: series.Organ));

    /// <summary>The signs of the habit that belong to this phase.</summary>
    static IEnumerable<OneTap> Signs(Situation now, Unit length) =>
        from sign in now.Sheet.Signs
        where sign.Phases.Count == 0 || sign.Phases.Contains(now.Phase.Phase)
        let label = sign.State is null ? sign.Kind.Words : $"{sign.Kind.Words} {sign.State}"
        let ask = sign.State is null && sign.Kind.Measure is { Required: true } measure ? measure.Dimension is Dimension.Length ? length : Unit.Default(measure.Dimension, us: false) : null
        where ask is not null || sign.State is not null || sign.Kind.Measure is not { Required: true }
        select new OneTap(label, sign.Kind, Text: sign.State, Ask: ask);

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

    static string Capital(string word) => char.ToUpperInvariant(word[0]) + word[1..];
}

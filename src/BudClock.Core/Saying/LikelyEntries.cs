using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Saying;

/// <summary>An entry ready to be logged with one tap, or with one number where it asks for one.</summary>
/// <param name="Ask">The unit of the number to ask for; null when the tap says it all.</param>
/// <param name="Organ">The id of the organ it is about; null leaves that to the plant's organs.</param>
public sealed record OneTap(
    string Label,
    EntryKind Kind,
    Quantity? Amount = null,
    string? Text = null,
    Unit? Ask = null,
    string? Organ = null
)
{
    /// <summary>The same as it is typed, without its plant; where a number is asked for, it ends before that.</summary>
    public string Line
    {
        get
        {
            var kind = Kind.Words.ToLowerInvariant();
            var text =
                Text is null ? ""
                : Kind.States.Length > 0 ? $" {Text}"
                : $" \"{Text}\"";
            var number = Amount is { } amount ? $" {amount.Value.ToString("R", CultureInfo.InvariantCulture)} {amount.Unit}" : "";
            return $"{kind}{number}{text} ";
        }
    }
}

/// <summary>
/// The entries most likely for a plant now, the likeliest first: by the act that is asked, by its phase, by the signs of its habit.
/// </summary>
public static class LikelyEntries
{
    const int Most = 9;

    static readonly OneTap Soak = new("Soaked", Soaked);
    static readonly OneTap Sip = new("Sipped", Watered);
    static readonly OneTap NoRootsYet = new("No roots yet", RootLength, new Quantity(0, Unit.Cm));
    static readonly OneTap RootsShow = new("Roots showing", RootsStarted);
    static readonly OneTap AtBase = new("Roots at the bottom", RootsAtBase);
    static readonly OneTap Stopped = new("Growth stopped", GrowthStopped);
    static readonly OneTap Damp = new("Still damp", Medium, Text: "damp");
    static readonly OneTap Dry = new("Dry", Medium, Text: "dry");
    static readonly OneTap[] Usual = [new("Watered", Watered), new("Fed", Fed)];

    /// <summary>The taps for a plant; none for one that is gone.</summary>
    public static IReadOnlyList<OneTap> For(Assessment assessment, bool usUnits = false)
    {
        if (assessment.Gone)
            return [];
        var (now, length) = (assessment.Situation, Unit.Default(Dimension.Length, usUnits)!);
        return
        [
            .. Asked(assessment, length)
                .Concat(Measures(now, length))
                .Concat(Signs(now, length))
                .DistinctBy(tap => (tap.Kind, tap.Text, tap.Organ, tap.Amount))
                .Take(Most),
        ];
    }

    static IEnumerable<OneTap> Asked(Assessment plant, Unit length)
    {
        var now = plant.Situation;
        if (plant.Settled.MinBy(advice => advice.Verdict) is not { } main)
            return Usual;
        var acts = ForCare(now, main, length).ToList();
        if (
            main.Verdict is not Verdict.Do
            && plant.Advice.Any(a => a is { Care: Care.Compare, Verdict: Verdict.Look } && a.AnsweredBy == Looked)
        )
            return [.. Answers, .. acts, .. Usual];
        if (acts.Count > 0 && main.Asks)
            return Ordinary(now) ? [.. acts, .. Usual] : acts;
        if (now.Resting || now.DryRest.Waking)
            return [.. acts, .. WhileDry(now, length)];
        return [.. acts, .. Usual];
    }

    /// <summary>Watering and feeding are not offered where the evidence holds them.</summary>
    static bool Ordinary(Situation now) =>
        now.InGrowth && now.Rot is not { Open: true } && !now.Roots.Dead && now.Thirst.Kind is not ThirstKind.RootAlarm;

    /// <summary>What an act of care is logged as, or what one may find on looking.</summary>
    static IEnumerable<OneTap> ForCare(Situation now, Advice advice, Unit length) =>
        advice.Care switch
        {
            Care.GiveWater when advice.Topic == Topics.FirstSoak => advice.Verdict is Verdict.Do
                ? [advice.School == FirstWater.Sip ? Sip : Soak, Roots(length), .. OtherBulbs(now)]
                : WhileDry(now, length),
            Care.GiveWater or Care.WetLightly => advice.Verdict switch
            {
                Verdict.Do => [new(advice.LoggedAs!.Words, advice.LoggedAs)],
                Verdict.Look when now.Thirst.Kind is ThirstKind.Unfelt =>
                [
                    Dry,
                    Damp,
                    new("Wet", Medium, Text: "wet"),
                    new("Watered", Watered),
                ],
                Verdict.Look =>
                [
                    new(
                        advice.LoggedAs == Medium ? "Watered" : advice.LoggedAs!.Words,
                        advice.LoggedAs == Medium ? Watered : advice.LoggedAs
                    ),
                    Damp,
                    Dry,
                ],
                _ => [],
            },
            Care.TopUp => [new("Topped up", ToppedUp), new("Level", Reservoir, Ask: length)],
            Care.FillTray => [new("Tray", Tray, Ask: length), new("Tray empty", Tray, Text: "empty")],
            Care.TakeWaterAway => [new("Tipped out", Tray, Text: "empty")],
            Care.TakeOut => [new("Taken out", Moved, Text: "out of the tray")],
            Care.PutBack => [new("Back in the tray", Moved, Text: "into the tray"), new("Tray", Tray, Ask: length)],
            Care.Flush => [new("Flushed", Flushed), Damp],
            Care.Rinse => [new("Rinsed", Rinsed)],
            Care.Feed or Care.Mist => advice.Verdict is Verdict.Hold ? [] : [new("Fed", Fed)],
            Care.CutOut =>
            [
                new("Cut clean", Treated, Text: "cut clean to firm tissue"),
                new("Base firm", Base, Text: "firm"),
                new("Died", Died),
            ],
            Care.Treat => [new("Treated", Treated), new("None seen", Pest, Text: "none")],
            Care.LookAtRoots =>
            [
                new("Live roots", RootCount, Ask: null, Amount: new Quantity(6)),
                new("Few roots", RootCount, new Quantity(2)),
                new("No live roots", RootCount, new Quantity(0)),
                new("Leaves firm", Leaves, Text: "firm"),
            ],
            Care.Feel => (advice.LoggedAs ?? Base).States.Select(state => new OneTap(
                $"{(advice.LoggedAs ?? Base).Words} {state}",
                advice.LoggedAs ?? Base,
                Text: state
            )),
            Care.Compare when now.DryRest.FirstWater is not null && Filled(now) is null =>
            [
                Bulb("plump"),
                Bulb("wrinkled"),
                Bulb("shrivelled"),
            ],
            Care.Compare when now.DryRest.FirstWater is not null => [Roots(length), new("Roots lost", RootsLost)],
            Care.Compare => Answers,
            Care.Look when advice.LoggedAs == Pest =>
            [
                new("None seen", Pest, Text: "none"),
                new("Still there", Pest, Text: "still there"),
                new("Treated", Treated),
            ],
            Care.Look when advice.AnsweredBy == Looked => [.. Measures(now, length).Take(1), .. Answers],
            Care.Look when advice.LoggedAs is { States.Length: > 0 } states => states.States.Select(state => new OneTap(
                $"{states.Words} {state}",
                states,
                Text: state
            )),
            Care.LetRest => [new("Seen", Note, Text: "going to rest, base firm"), new("Leaves gone", LeavesGone)],
            Care.Lift => [new("Lifted", Lifted)],
            Care.Store => [new("In the bag", Stored, Text: "in a bag, dusted, in the dark")],
            Care.Wake when advice.Verdict is Verdict.Look =>
            [
                .. EntryKinds.Tuber.States.Select(state => new OneTap($"Tuber {state}", EntryKinds.Tuber, Text: state)),
                new("Planted", Planted),
            ],
            Care.Wake => [new("Planted", Planted), new("Tuber firm", EntryKinds.Tuber, Text: "firm")],
            Care.Turn => [new("Turned", Turned)],
            Care.Repot => [new("Repotted", Repotted)],
            Care.BringIn => [new("Brought in", Moved, Text: "into warmth")],
            Care.Cool => [new("Moved", Moved, Text: "to a cooler place")],
            Care.Shelter => [new("Moved", Moved, Text: "out of sun and rain")],
            Care.Measure when NextMeasure.Read(now) is { } next && (next.Kind != RootLength || !now.DryRest.Waking) =>
            [
                new(next.Name, next.Kind, Ask: length, Organ: next.Organ),
            ],
            _ => [],
        };

    static IEnumerable<OneTap> WhileDry(Situation now, Unit length)
    {
        if (!now.DryRest.Waking)
            return [new("New growth", GrowthStarted), new("Eye swelling", EyeSwelling), .. OtherBulbs(now)];
        return now.NewRoots.Live
            ? [Roots(length), AtBase, .. OtherBulbs(now), Soak with { Label = "Watered anyway" }]
            : [RootsShow, NoRootsYet, Stopped, .. OtherBulbs(now)];
    }

    static readonly OneTap[] Answers =
    [
        new("Better", Looked, Text: "better"),
        new("Same", Looked, Text: "same"),
        new("Worse", Looked, Text: "worse"),
    ];

    static OneTap Roots(Unit length) => new("Roots", RootLength, Ask: length);

    /// <summary>A number for each organ that is being followed.</summary>
    static IEnumerable<OneTap> Measures(Situation now, Unit length) =>
        now.DryRest.Waking
            ? []
            : now
                .Series.Where(series => series.Moves)
                .Take(3)
                .Select(series => new OneTap(series.Label, series.Kind, Ask: length, Organ: series.Organ));

    /// <summary>The signs of the habit that belong to this phase.</summary>
    static IEnumerable<OneTap> Signs(Situation now, Unit length) =>
        from sign in now.Sheet.Signs
        where sign.Phases.Count == 0 || sign.Phases.Contains(now.Phase.Phase)
        let label = sign.State is null ? sign.Kind.Words : $"{sign.Kind.Words} {sign.State}"
        let ask = sign.State is null && sign.Kind.Measure is { Required: true } measure
            ? measure.Dimension is Dimension.Length
                ? length
                : Unit.Default(measure.Dimension, us: false)
            : null
        where ask is not null || sign.State is not null || sign.Kind.Measure is not { Required: true }
        select new OneTap(label, sign.Kind, Text: sign.State, Ask: ask);

    /// <summary>The bulbs as seen since the second look was due; null while it is unanswered.</summary>
    static Seen<string>? Filled(Situation now) =>
        now.DryRest.FirstWater is { } water && now.Bulbs?.On >= water.On.AddDays(now.Limits<SecondLookLimits>().WaterFrom)
            ? now.Bulbs
            : null;

    static OneTap Bulb(string state) => new($"Bulbs {state}", Bulbs, Text: state);

    /// <summary>The next state the bulbs could have gone to; none for a habit without a dry rest.</summary>
    static IEnumerable<OneTap> OtherBulbs(Situation now) =>
        !now.Sheet.Is(Culture.Traits.DryRest)
            ? []
            : now.Bulbs?.Value switch
            {
                "wrinkled" => [Bulb("shrivelled")],
                _ => [Bulb("wrinkled")],
            };
}

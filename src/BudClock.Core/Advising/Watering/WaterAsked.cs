using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.States;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// The one way in which any rule of watering comes to its proposal: a dry medium or thirst over a dry medium asks for water, a sign
/// over an unfelt one and an interval that has run out ask for a look, and what is still damp is left alone.
/// </summary>
/// <param name="Rule">The rule that asks.</param>
/// <param name="How">What to do: "water until it runs through".</param>
/// <param name="Feel">What to look at: "feel the leaves".</param>
public sealed record WaterAsked(string Rule, string How, string Feel)
{
    /// <summary>The act that is proposed.</summary>
    public Care Care { get; init; } = Care.GiveWater;

    /// <summary>"30 minutes"; the plant's usual amount when left out.</summary>
    public string? Amount { get; init; }

    /// <summary>Days from water to water, where the rule has a number of its own; the plant's interval when left out.</summary>
    public double? Every { get; init; }

    /// <summary>From which day days are counted where no water was given since, such as the beginning of a rest; null for none.</summary>
    public DateOnly? Since { get; init; }

    /// <summary>A dry medium is not enough: the habit is not known, so somebody looks first.</summary>
    public bool DryOnlyAsks { get; init; }

    /// <summary>The proposal for a plant now.</summary>
    public Advice Judge(Situation now)
    {
        var (wet, thirst) = (now.Wetness, now.Thirst);
        var because = thirst.Sign is null ? "" : $"{Capital(thirst.Words)} {Dates.Ago(thirst.Sign.On, now.Today)}";
        return thirst.Kind switch
        {
            ThirstKind.Thirsty or ThirstKind.RootAlarm => Do(now, because, Sign(thirst), Dry(now)),
            ThirstKind.Unfelt => Look(
                now,
                $"{because}, and nobody felt the medium: feel it, or lift the pot, first. Dry and light is thirst; wet or heavy means "
                    + $"the roots.",
                Ground.Sign,
                Sign(thirst)
            ),
            _ when wet.IsDry && !DryOnlyAsks && Care is Care.GiveWater && Below(now) => Waking(now),
            _ when wet.IsDry && !DryOnlyAsks => Do(now, Felt(now), Dry(now)),
            ThirstKind.Forgotten => Look(
                now,
                $"{because}, and nothing was written since: look again, and feel the medium.",
                Ground.Sign,
                Sign(thirst)
            ) with
            {
                Since = thirst.Sign!.On.AddDays(now.Ages.Limp + 1),
            },
            _ => ByInterval(now),
        };
    }

    /// <summary>Planted, and nothing has come up yet.</summary>
    static bool Below(Situation now) =>
        now.In<BareShoot>() is { Sign: var planted }
        && now.Journal.FirstSince(planted.On.AddDays(1), EntryKinds.GrowthStarted, EntryKinds.GrowthHeight) is null;

    /// <summary>A bare tuber or corm drinks little: damp is enough until its leaves come.</summary>
    Advice Waking(Situation now)
    {
        var light = this with { Care = Care.WetLightly, How = "it has no leaf yet, so a light wetting, and no more until its shoot opens" };
        return light.Do(now, Felt(now), Dry(now));
    }

    Advice ByInterval(Situation now)
    {
        var wet = now.Wetness;
        if (wet.IsDry)
            return Look(now, $"{Felt(now)}: {Feel}, and water if it is a kind that wants it.", Ground.Sign, Dry(now));
        if (Since is { } since && !(wet.LastWater?.On >= since) && !wet.IsWet && now.Today < since.AddDays(Whole(now)))
            return new(
                Topics.Water,
                Rule,
                Care,
                Verdict.Hold,
                since.AddDays(Whole(now)),
                $"No water since {Dates.Short(since)}; feel it about {Dates.Weekday(since.AddDays(Whole(now)), now.Today)}.",
                [Interval(now) with { Seen = since }]
            )
            {
                Ground = Ground.Interval,
            };
        if (wet.DaysSince(now.Today) is not { } days)
            return Look(now, $"No water is on record yet, {Usually(now)}: {Feel}.", Ground.Interval, Interval(now)) with { Begins = true };
        var last = wet.LastWater!;
        if (wet.IsWet)
            return Hold(now, last, $"{Felt(now)}: leave it.", wet.Felt!.On, Ground.Sign);
        var due = last.On.AddDays(Whole(now));
        return days >= Whole(now)
            ? Look(now, $"Last watered {Dates.Ago(last.On, now.Today)}, {Usually(now)}: {Feel}.", Ground.Interval, Interval(now)) with
            {
                // Bare roots on a mount have nothing to draw on.
                Danger = now.Mounted && days <= Whole(now) * MountedAsked,
            }
            : Hold(
                now,
                last,
                $"Watered {Dates.Ago(last.On, now.Today)}; it is likely to ask again about {Dates.Weekday(due, now.Today)}.",
                last.On,
                Ground.Interval
            );
    }

    Advice Do(Situation now, string because, params Condition?[] conditions)
    {
        var amount = Amount ?? Amounts.Usual(now, Care);
        return new(
            Topics.Water,
            Rule,
            Care,
            Verdict.Do,
            now.Today,
            $"{because}: {How}{(amount is null ? "" : $", {amount}")}.{now.Interval.Because}",
            [.. conditions.OfType<Condition>()]
        )
        {
            Because = because,
            Amount = amount,
        };
    }

    Advice Look(Situation now, string reason, Ground ground, Condition? condition) =>
        new(Topics.Water, Rule, Care, Verdict.Look, now.Today, reason + now.Interval.Because, condition is null ? [] : [condition])
        {
            Ground = ground,
        };

    Advice Hold(Situation now, Entry last, string reason, DateOnly seen, Ground ground) =>
        new(
            Topics.Water,
            Rule,
            Care,
            Verdict.Hold,
            last.On.AddDays(Whole(now)),
            reason + now.Interval.Because,
            [Interval(now) with { Seen = seen }]
        )
        {
            Ground = ground,
            Until = last.On.AddDays(Math.Max(Whole(now), (int)Math.Ceiling(Every ?? now.Interval.To))),
        };

    static Condition Sign(Thirst thirst) => Condition.Sign(thirst.Words, thirst.Sign!.On);

    static Condition? Dry(Situation now) =>
        now.Wetness is { IsDry: true, Felt: { } felt } wet
            ? Condition.Sign(felt.Kind == EntryKinds.Medium ? "medium dry" : wet.Words, felt.On)
            : null;

    /// <summary>What a finger or a scale found, and when: "Medium dry yesterday".</summary>
    static string Felt(Situation now)
    {
        var (wet, felt) = (now.Wetness, now.Wetness.Felt!);
        return $"{(felt.Kind == EntryKinds.Medium ? $"Medium {felt.Text}" : wet.Words)} {Dates.Ago(felt.On, now.Today)}";
    }

    Condition Interval(Situation now)
    {
        var days = now.Wetness.DaysSince(now.Today);
        var need = Whole(now);
        var name = now.Interval.Rhythm.Own && Every is null ? "days since water, its own rhythm" : "days since water, the sheet's guide";
        return new(name, days is null ? null : new(days.Value), new(need), "days", days >= need, now.Wetness.LastWater?.On);
    }

    /// <summary>So many times its days a mount without water is a danger; by then it was watered and nobody wrote it down.</summary>
    const int MountedAsked = 7;

    int Whole(Situation now) => Math.Max(1, (int)Math.Round(Every ?? now.Interval.Days));

    string Usually(Situation now)
    {
        var (from, to) = Every is { } every ? (every, every) : (now.Interval.From, now.Interval.To);
        return $"{(now.Interval.Rhythm.Own && Every is null ? "its own rhythm" : "usually")} {Range(from, to)}";
    }

    static string Range(double from, double to) =>
        (int)Math.Round(from) is var a && (int)Math.Round(to) is var b && a >= b
            ? b <= 1
                ? "1 day"
                : $"{b} days"
            : string.Create(CultureInfo.InvariantCulture, $"{Math.Max(1, a)}–{b} days");
}

using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>What a limp leaf or a shrunken bulb means, with the medium beside it.</summary>
public enum ThirstKind
{
    /// <summary>No sign, or it was answered.</summary>
    None,

    /// <summary>A sign, and the pot is dry.</summary>
    Thirsty,

    /// <summary>A sign although it is wet, or was watered lately: roots, not thirst.</summary>
    RootAlarm,

    /// <summary>A sign, and nobody felt the medium.</summary>
    Unfelt,

    /// <summary>A sign some time ago that nobody came back to.</summary>
    Forgotten,
}

/// <summary>Rule V1: thirst or roots. A sign of thirst asks for water only where the medium is dry.</summary>
/// <param name="Sign">The entry that shows it; null for none.</param>
/// <param name="Against">What was seen of the water, as a clause: "the medium was damp yesterday"; null where nothing is known.</param>
/// <param name="AgainstSeen">The day of that; null where nothing is known.</param>
public sealed record Thirst(ThirstKind Kind, Entry? Sign, string? Against, DateOnly? AgainstSeen)
{
    /// <summary>Nothing limp, nothing shrunken.</summary>
    public static readonly Thirst None = new(ThirstKind.None, null, null, null);

    /// <summary>The sign in words: "leaves limp".</summary>
    public string Words => $"{Sign!.Kind.Words.ToLowerInvariant()} {Sign.Text}";

    static readonly string[] Signs = [.. Hanging.Words, .. Shrunken.Words];

    /// <summary>Weighs the newest sign against the medium, the water given, and the plant's own interval.</summary>
    /// <param name="interval">Days from water to water: the plant's own, else the sheet's guide.</param>
    /// <param name="runOut">Days after which the plant's own interval has clearly run out; null until it has taught one.</param>
    /// <param name="third">The share of the interval within which a sign after water is no thirst, 0 to 1.</param>
    public static Thirst Read(Situation now, double interval, double? runOut, double third)
    {
        if (NewestSign(now) is not { } sign)
            return None;
        var age = now.Today.DayNumber - sign.On.DayNumber;
        if (age > (sign.Kind == Bulbs ? now.Ages.Bulbs : now.Ages.Limp))
            return new(ThirstKind.Forgotten, sign, null, null);
        // A winter rosette has left its tray, wherever it stands.
        if (now.Levels is { OverWater: true } levels && !(levels.Stands && now.Resting))
            return OverWater(now, sign, levels);
        var wet = now.Wetness;
        if (wet.Felt is { } felt)
            return new(
                wet.IsDry ? ThirstKind.Thirsty
                    : SoundSince(now, sign) ? ThirstKind.Unfelt
                    : ThirstKind.RootAlarm,
                sign,
                $"{wet.Words} {Dates.Ago(felt.On, now.Today)}",
                felt.On
            );
        if (wet.DaysSince(now.Today) is not { } days)
            return new(ThirstKind.Unfelt, sign, null, null);
        var watered = $"it was watered {Dates.Ago(wet.LastWater!.On, now.Today)}";
        var again = days <= interval && WateredForIt(now, sign, wet.LastWater);
        if ((days <= interval * third || again) && !SoundSince(now, sign))
            return new(ThirstKind.RootAlarm, sign, watered, wet.LastWater.On);
        return new(days >= runOut ? ThirstKind.Thirsty : ThirstKind.Unfelt, sign, watered, wet.LastWater.On);
    }

    /// <summary>The newest leaf or bulb sign that goes on; bulbs at rest shrink as they should.</summary>
    static Entry? NewestSign(Situation now)
    {
        var (leaves, bulbs) = (now.In<Hanging>()?.Sign, now.Resting ? null : now.In<Shrunken>()?.Sign);
        return bulbs?.On > leaves?.On || leaves is null ? bulbs : leaves;
    }

    /// <summary>Its roots were looked at since it first hung, and are alive: what is left to know is the medium.</summary>
    static bool SoundSince(Situation now, Entry sign) =>
        now.Roots is { State: RootState.Alive, Rests: { } seen }
        && (RootsFound.Signs.Contains(seen.Kind) || seen.Said.Has(SaidFacts.SoundRoots))
        && (
            PlantJournal.IsAfter(seen, sign)
            || (
                seen.Kind != RootLength
                && seen.On > now.Today.AddDays(-now.Limits<RootLimits>().Sound)
                && now.Journal.Of(sign.Kind).Any(e => Signs.Contains(e.Text) && e.On <= seen.On && e != sign)
            )
        );

    /// <summary>It was limp, was watered for it, and is limp again before it can have dried.</summary>
    static bool WateredForIt(Situation now, Entry sign, Entry water) =>
        now
            .Journal.Of(sign.Kind)
            .Any(e => Signs.Contains(e.Text) && e != sign && !PlantJournal.IsAfter(e, water) && e.On >= water.On.AddDays(-now.Ages.Limp));

    /// <summary>Over a reservoir or in a tray the level is what a finger is elsewhere.</summary>
    static Thirst OverWater(Situation now, Entry sign, Levels levels)
    {
        if (levels.Stands && now.Wetness.IsDry)
            return new(ThirstKind.Thirsty, sign, "the medium is dry", now.Wetness.Felt!.On);
        if (!levels.Stands && now.Wetness is { IsDry: true, Felt: { } felt } && levels.Level is { } full && felt.On >= full.On)
            return new(ThirstKind.Thirsty, sign, $"the medium was dry {Dates.Ago(felt.On, now.Today)}", felt.On);
        if (levels.Low is { } low)
            return new(ThirstKind.Thirsty, sign, $"the {levels.Name} was {low.Words} {Dates.Ago(low.On, now.Today)}", low.On);
        return levels.LastKnown is { } known && levels.TellsUntil >= now.Today && !SoundSince(now, sign)
            ? new(ThirstKind.RootAlarm, sign, $"the {levels.Name} {known.Words} {Dates.Ago(known.On, now.Today)}", known.On)
            : new(ThirstKind.Unfelt, sign, null, null);
    }
}

using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule V1: limp though wet, or still wet when it should long be dry, is an alarm of the roots: tip it out and look.</summary>
public sealed class RootAlarmAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break;
        if (now.Thirst is { Kind: ThirstKind.RootAlarm } alarm)
            yield return Alarm(now, alarm);
        else if (FeelAgain(now) is { } again)
            yield return again;
        else if (StaysWet(now) is { } wet)
            yield return wet;
        else if (ForgottenAlarm(now) is { } old)
            yield return old;
    }

    Advice Alarm(Situation now, Thirst alarm) =>
        new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            $"{Capital(alarm.Words)} {Dates.Ago(alarm.Sign!.On, now.Today)} although {alarm.Against}: tip it out and look at the roots. "
                + $"Firm and pale is sound; brown and hollow is dead, and more water would not help.",
            [
                Condition.Known(alarm.Sign.Kind.Words.ToLowerInvariant(), new(alarm.Sign.Text!), null, alarm.Sign.On),
                Condition.Known("water", new(alarm.Against!), null, alarm.AgainstSeen),
            ]
        )
        {
            Ground = Ground.Emergency,
            Overrides = ["repot"],
        };

    /// <summary>Limp over a medium that was damp, though its roots were found sound: what is left to know is the medium of today.</summary>
    Advice? FeelAgain(Situation now) =>
        now.Thirst is { Kind: ThirstKind.Unfelt, Sign: { } sign }
        && now.Roots.Rests is { } alive
        && now.Wetness is { IsWet: true, Felt: { } felt }
        && felt.On < now.Today
            ? new(
                Topics.Health,
                Rule,
                Care.Feel,
                Verdict.Look,
                now.Today,
                $"{Capital(now.Thirst.Words)} {Dates.Ago(sign.On, now.Today)}, and its roots were found alive "
                    + $"{Dates.Ago(alive.On, now.Today)}: feel the medium again. Dry and light is thirst; wet means to wait.",
                [
                    Condition.Known(sign.Kind.Words.ToLowerInvariant(), new(sign.Text!), null, sign.On),
                    Condition.Known("roots", new("alive"), null, alive.On),
                    Condition.Known("medium", new(felt.Text!), null, felt.On),
                ]
            )
            : null;

    /// <summary>Felt wet long after it was watered: the pot is too large, the medium has collapsed, or nothing drinks.</summary>
    Advice? StaysWet(Situation now)
    {
        if (now.Levels.OverWater || now.Resting || now.Wetness is not { State: Wet.Soaked, Felt: { } felt, LastWater: { } water })
            return null;
        var days = felt.On.DayNumber - water.On.DayNumber;
        if (days < Math.Max(now.Limits<ThirstLimits>().MostWet, now.Interval.From))
            return null;
        return new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            $"Still wet {days} days after it was watered: look at the roots. A pot that is too large, an old medium, or roots that do "
                + $"not drink.",
            [Condition.Known("days wet", new(days), "days", felt.On)]
        );
    }

    /// <summary>A limp leaf over wet medium that nobody came back to is still news for some days.</summary>
    Advice? ForgottenAlarm(Situation now)
    {
        if (now.Thirst is not { Kind: ThirstKind.Forgotten, Sign: { } sign })
            return null;
        var wet = now
            .Journal.Of(EntryKinds.Medium)
            .LastOrDefault(e => e.Text is "wet" or "damp" && Math.Abs(e.On.DayNumber - sign.On.DayNumber) <= now.Ages.Wet);
        if (wet is null || now.Journal.Of([.. RootsFound.Signs, EntryKinds.Repotted]).Any(e => e.On >= sign.On))
            return null;
        return new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            $"{Capital(now.Thirst.Words)} {Dates.Ago(sign.On, now.Today)} although the medium was {wet.Text}, and nobody wrote of its "
                + $"roots: look at them.",
            [
                Condition.Known(sign.Kind.Words.ToLowerInvariant(), new(sign.Text!), null, sign.On),
                Condition.Known("medium", new(wet.Text!), null, wet.On),
            ]
        );
    }
}

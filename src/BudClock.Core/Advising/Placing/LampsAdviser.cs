using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E5: a plant that lives by its lamps wants them as long as the sheet says while days are short, and as near.</summary>
public sealed class LampsAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E5";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Resting || now.Around.Place is not { LampHours: { } burn } place)
            yield break;
        if (burn < now.Limits<LampsLimits>().Hours && now.Daylight.ShorterThan(now.Limits<LampsLimits>().Hours))
            yield return TooShort(now, burn);
        else if (place.LampDistanceCm is { } distance && now.Limits<LampsLimits>().DistanceTo is { } most && distance > most)
            yield return Distance(
                now,
                distance,
                most,
                $"Its lamps hang {distance:0.#} cm above the leaves; it wants them within {most:0.#} cm: lower them, or raise it."
            );
        else if (place.LampDistanceCm is { } near && now.Limits<LampsLimits>().DistanceFrom is { } least && near < least)
            yield return Distance(
                now,
                near,
                least,
                $"Its lamps hang {near:0.#} cm above the leaves; nearer than {least:0.#} cm they can scorch: raise them a little."
            );
    }

    Advice TooShort(Situation now, double burn)
    {
        var hours = now.Limits<LampsLimits>().Hours;
        return new(
            Topics.Move,
            Rule,
            Care.Lighten,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Its lamps burn {burn:0.#} hours a day, and it wants {hours:0} h of light while days are short: set the timer, or move "
                    + $"it under others."
            ),
            [new("lamp hours", new(burn), new(hours), "h", false, now.Today)]
        );
    }

    Advice Distance(Situation now, double have, double need, FormattableString reason) =>
        new(
            Topics.Move,
            Rule,
            Care.Lighten,
            Verdict.Look,
            now.Today,
            reason.ToString(CultureInfo.InvariantCulture),
            [new("lamps above the leaves", new(have), new(need), "cm", false, now.Today)]
        );
}

/// <summary>Rule E5: lamps above it.</summary>
[Rule("E5", "lamps above it")]
public sealed record LampsLimits(
    [Limit("hours", 1, 24, "how long they burn")] double Hours,
    [Limit("cm", 1, 100, "the nearest they hang")] double? DistanceFrom,
    [Limit("cm", 2, 200, "the furthest they hang")] double? DistanceTo
);

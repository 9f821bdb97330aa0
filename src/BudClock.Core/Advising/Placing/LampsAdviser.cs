using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E5: a plant that lives by its lamps wants them as long as the sheet says while days are short, and as near.</summary>
public sealed class LampsAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E5";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["hours"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Resting || now.Around.Place is not { LampHours: { } burn } place)
            yield break;
        if (burn < now.Needs(Rule, "hours") && now.Daylight.ShorterThan(now.Needs(Rule, "hours")))
            yield return TooShort(now, burn);
        else if (place.LampDistanceCm is { } distance && Limit(now, "distance-to") is { } most && distance > most)
            yield return Distance(
                now,
                distance,
                most,
                $"Its lamps hang {distance:0.#} cm above the leaves; it wants them within {most:0.#} cm: lower them, or raise it."
            );
        else if (place.LampDistanceCm is { } near && Limit(now, "distance-from") is { } least && near < least)
            yield return Distance(
                now,
                near,
                least,
                $"Its lamps hang {near:0.#} cm above the leaves; nearer than {least:0.#} cm they can scorch: raise them a little."
            );
    }

    static double? Limit(Situation now, string name) => now.Sheet.Rule("E5")!.Find(name);

    Advice TooShort(Situation now, double burn)
    {
        var hours = now.Needs(Rule, "hours");
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

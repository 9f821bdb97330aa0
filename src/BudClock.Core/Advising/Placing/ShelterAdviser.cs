using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Placing;

/// <summary>
/// Rule E8: out of doors, what comes from indoors gets sun in steps of a week up to its light class; what rests, or wakes without
/// roots, is kept from rain.
/// </summary>
public sealed class ShelterAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E8";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.Around.Outdoors)
            yield break;
        if (now.Around.Place?.Dry != true && !UnderCover(now) && (now.Resting || now.DryRest.Waking || now.Sleep.Kind is SleepKind.Going))
            yield return FromRain(now);
        if (now.In<GettingUsed>() is { Sign: var moved })
            yield return InSteps(now, moved);
    }

    /// <summary>Its last move was to where no rain reaches it, though its place lies under the sky.</summary>
    static bool UnderCover(Situation now) =>
        now.Journal.Last(EntryKinds.Moved) is { } moved && moved.Said.Has(SaidFacts.Covered) && moved.Sets.Count == 0;

    Advice FromRain(Situation now)
    {
        var since = now.Sleep.Since ?? now.DryRest.Woke ?? now.Today;
        var newest = now.Journal.Last(EntryKinds.Moved) is { } moved && moved.On > since ? moved.On : since;
        var news = now.Today < newest.AddDays(now.Limits<HardeningLimits>().News);
        var does = now.DryRest.Waking ? "waits dry for its first water" : "rests";
        if (now.Around.Place?.Cover == "open")
            return new(
                Topics.Move,
                Rule,
                Care.Shelter,
                Verdict.Do,
                now.Today,
                $"It stands under the open sky and {does}: under cover today, where no rain reaches it.",
                [new("cover from rain", new("none"), new("yes"), null, false, newest)]
            );
        return new(
            Topics.Move,
            Rule,
            Care.Shelter,
            news ? Verdict.Look : Verdict.Hold,
            now.Today,
            $"It stands out of doors and {does}: is it under cover? Keep rain off it.",
            [new("under cover from rain", null, new("yes"), null, false, newest)]
        );
    }

    Advice InSteps(Situation now, Entry moved)
    {
        var (days, step) = (now.Today.DayNumber - moved.On.DayNumber, now.Limits<HardeningLimits>().Step);
        var light = now.Sheet.Light;
        Condition condition = new(
            "days since it moved out",
            new(days),
            new(step * now.Limits<HardeningLimits>().Steps),
            "days",
            false,
            moved.On
        );
        if (moved.Said.Has(SaidFacts.FullSun))
            return Say(
                Verdict.Look,
                now.Today,
                $"Moved into full sun {Dates.Ago(moved.On, now.Today)}, straight from indoors? Shade it from noon sun "
                    + $"first{(light is LightClass.FullSun ? ", then a step more each week" : $"; it bears {light.Words()} at most")}. "
                    + $"No dome or bag over it in the sun.",
                condition
            );
        if (light <= LightClass.Bright)
            return Say(
                Verdict.Hold,
                moved.On.AddDays(step * now.Limits<HardeningLimits>().Steps),
                $"Moved out {Dates.Ago(moved.On, now.Today)}: it stays in {light.Words()}, out of wind. No dome or bag over it where the "
                    + $"sun comes.",
                condition
            );
        var now_ =
            days < step ? "shade from noon sun and wind"
            : days < step * 2 ? "morning sun"
            : light is LightClass.FullSun ? "all but the noon sun"
            : "morning or evening sun, which is its most";
        return Say(
            Verdict.Hold,
            moved.On.AddDays(((days / step) + 1) * step),
            $"Moved out {Dates.Ago(moved.On, now.Today)}: {now_} for now, a step more each week up to {light.Words()}. No dome or bag "
                + $"over it in the sun.",
            condition
        );
    }

    Advice Say(Verdict verdict, DateOnly due, string reason, Condition condition) =>
        new(Topics.Move, Rule, Care.Move, verdict, due, reason, [condition]) { Ground = Ground.Interval };
}

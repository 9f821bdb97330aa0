using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>
/// Rule W9: a reservoir, jar or wick is topped up as it falls, whatever the habit above it; a change of the drinking rate is news.
/// </summary>
/// <remarks>A plant in spike drinks more; a fall in drinking with limp leaves means roots. Nobody is told to feel the medium.</remarks>
public sealed class ReservoirAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W9";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.InGrowth || !Evidence.Vessels.OverReservoir(now) || now.WinterRoots is not null)
            yield break;
        if (News(now) is { } news)
            yield return news;
        // A shared reservoir has one advice for all that stand over it (rule W8).
        if (now.Around.Vessel is null && Level(now) is { } level)
            yield return level;
    }

    Advice? Level(Situation now)
    {
        var levels = now.Levels;
        // Dry over water that stands there: the wick lifts no more, and more water below would not help.
        if (now.Thirst.Kind is ThirstKind.Thirsty && now.Wetness.IsDry && levels is { Low: null, Level: not null })
            return null;
        if (levels.Low is { } low)
            return Say(
                Verdict.Do,
                Ground.Sign,
                now.Today,
                $"The reservoir was {Down(low)} {Dates.Ago(low.On, now.Today)}",
                "top up",
                Condition.Sign("reservoir low", low.On)
            );
        if (now.Thirst is { Kind: ThirstKind.Unfelt or ThirstKind.Forgotten, Sign: { } unseen } && !(levels.LastKnown?.On >= unseen.On))
            return Say(
                Verdict.Look,
                Ground.Sign,
                now.Today,
                $"{Sentence.Capital(now.Thirst.Words)} {Dates.Ago(unseen.On, now.Today)}, and nobody saw the level since",
                "look at the reservoir first: low is thirst, and it is filled; full points to the roots",
                Condition.Sign(now.Thirst.Words, unseen.On)
            );
        if (now.Thirst is { Kind: ThirstKind.RootAlarm or ThirstKind.Thirsty, Sign: { } sign })
            return Say(
                Verdict.Do,
                Ground.Sign,
                now.Today,
                $"{Sentence.Capital(now.Thirst.Words)} {Dates.Ago(sign.On, now.Today)}",
                "top up",
                Condition.Sign(now.Thirst.Words, sign.On)
            );
        if ((levels.Level?.On ?? levels.Filled?.On) is not { } day)
            return Say(
                Verdict.Look,
                Ground.Interval,
                now.Today,
                "No level is on record",
                "look at the reservoir",
                new("reservoir level", null, new(levels.LowCm), "cm", false, null)
            );
        var due =
            levels.AsksOn is { } asks && (asks > day || levels.Level is not null) ? asks
            : levels.AsksOn is not null ? day.AddDays(1)
            : day.AddDays((int)now.Limits<ReservoirLimits>().Every);
        Condition days = new(
            "days since the level was seen or filled",
            new(now.Today.DayNumber - day.DayNumber),
            new(due.DayNumber - day.DayNumber),
            "days",
            now.Today >= due,
            day
        );
        return now.Today >= due
            ? Say(
                Verdict.Look,
                Ground.Interval,
                now.Today,
                $"Level last seen or filled {Dates.Ago(day, now.Today)}",
                "look at the reservoir, and top up",
                days
            )
            : new(
                Topics.Water,
                Rule,
                Care.TopUp,
                Verdict.Hold,
                due,
                $"{Capital(levels.LastKnown!.Value.Words)} {Dates.Ago(day, now.Today)}; low again about {Dates.Short(due)}.",
                [days]
            )
            {
                Ground = Ground.Interval,
                Until = due,
            };
    }

    /// <summary>It drinks far less than it did: said from the rate alone, louder with limp leaves.</summary>
    Advice? News(Situation now)
    {
        var falls = now.Levels.Falls;
        if (falls.Count < 3 || now.Roots.Dead)
            return null;
        var latest = falls[^1];
        var before = falls.SkipLast(1).TakeLast(5).Select(f => f.CmPerDay).Order().ToList();
        var usual = (before[(before.Count - 1) / 2] + before[before.Count / 2]) / 2;
        if (latest.CmPerDay > usual * (1 - (now.Limits<ReservoirLimits>().Change / 100)) || latest.On < now.Today.AddDays(-14))
            return null;
        var limp = now.Thirst.Sign is { Text: "limp" or "pliable" };
        return new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"It drinks {latest.CmPerDay / usual * 100:0} % of its usual{(limp ? " and the leaves are limp" : "")}: look at the roots."
            ),
            [new("drinking rate", new(Math.Round(latest.CmPerDay, 2)), new(Math.Round(usual, 2)), "cm a day", false, latest.On)]
        );
    }

    Advice Say(Verdict verdict, Ground ground, DateOnly due, string because, string then, Condition condition) =>
        new(Topics.Water, Rule, Care.TopUp, verdict, due, $"{because}: {then}.", [condition]) { Ground = ground, Because = because };

    static string Down(LevelSeen low) => low.Cm <= 0 ? "empty" : $"down to {low.Words}";

    static string Capital(string words) => "It " + words;
}

using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Mixing;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rules F1, F3, F4 and F5: which bottle, how strong, how often; and never before a plant is awake.</summary>
/// <remarks>
/// Common practice: monthly in growth, every 14 days for a plant that is racing, seldom with few roots, slow release once at the
/// start of growth, none at rest. A resting plant is woken with feed, never before.
/// </remarks>
public sealed class FeedAdviser : IAdviser
{
    /// <summary>The question whether a plant is fed in short days.</summary>
    public const string WinterFeed = "winter-feed";
    const string AllYear = "all-year";

    static readonly LaneKind[] Moving = [LaneKind.Growth, LaneKind.Roots, LaneKind.Spike, LaneKind.Bloom];

    /// <inheritdoc/>
    public string Rule => "F4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        // Of an unknown habit nothing is ordered.
        if (now.Sheet.Is(Traits.Carnivore) || now.Sheet.Is(Traits.Forced) || now.Sheet.Name == CultureSheets.General || now.Resting)
            yield break;
        yield return NotInSeason(now) ?? (now.DryRest.Waking ? WithFirstWater(now) : InSeason(now));
    }

    Advice WithFirstWater(Situation now) =>
        Do(
            now,
            new(Bottles.Growth, "waking"),
            "Its first feed, a light one, goes with its first water, never before",
            Condition.Sign("a new growth", now.DryRest.Woke)
        );

    Advice InSeason(Situation now)
    {
        var (bottle, last) = (BottleChoice.Of(now), now.Journal.Last(EntryKinds.Fed));
        if (now.In<BareShoot>() is { Sign: var planted })
            return Hold(
                now,
                Ground.Sign,
                "A bare shoot: no feed before its leaves come.",
                Condition.Sign("leaves", null) with
                {
                    Seen = planted.On,
                }
            );
        if (now.DryRest is { FirstWater: { } first, Woke: { } woke } && !(last?.On >= woke))
            return Do(
                now,
                bottle,
                $"First water {Dates.Ago(first.On, now.Today)}: its first light feed",
                Condition.Sign("awake and watered", first.On)
            );
        if (last is not null)
            return PlainFirst(now) ?? InRhythm(now, bottle, last);
        var moving = now.Lanes.LastOrDefault(lane => lane.Open && Moving.Contains(lane.Kind));
        return moving is not null
            ? Do(now, bottle, "It grows, and no feed is on record", Condition.Sign("in growth", moving.From))
            : Do(now, bottle, "No feed is on record, and nobody wrote of anything that grows", Condition.Sign("in growth", null)) with
            {
                Verdict = Verdict.Look,
                Because = null,
            };
    }

    /// <summary>Fed at each of its last waters: the next is plain and right through, so that no salt stays; null where one was.</summary>
    Advice? PlainFirst(Situation now)
    {
        var fed = FedInARow(now);
        var most = now.Limits<FeedRhythmLimits>().PlainAfter;
        return fed < most || now.Levels.OverWater
            ? null
            : Hold(
                now,
                Ground.Sign,
                $"Fed at each of its last {fed} waters: this one plain and right through, so that salts are rinsed out. Feed goes on with "
                    + "the next.",
                new("waters with feed in a row", new(fed), new(most), "at most", false, now.Journal.Last(EntryKinds.Fed)!.On)
            );
    }

    /// <summary>
    /// Days on which it was fed, back to the last plain water, the last flush, or a gap so long that nobody wrote down the waters between.
    /// </summary>
    static int FedInARow(Situation now)
    {
        var (entries, flushed, fed) = (now.Journal.Entries, Flushes.Last(now)?.On, 0);
        var next = now.Today;
        for (var i = entries.Count - 1; i >= 0 && !(entries[i].On <= flushed); )
        {
            var (day, feeds, wets) = (entries[i].On, false, false);
            for (; i >= 0 && entries[i].On == day; i--)
            {
                feeds |= entries[i].Kind == EntryKinds.Fed;
                wets |= entries[i].IsWatering;
            }
            if (wets && !feeds)
                break;
            if (!feeds)
                continue;
            if (next.DayNumber - day.DayNumber > now.Limits<FeedRhythmLimits>().Racing)
                break;
            (next, fed) = (day, fed + 1);
        }
        return fed;
    }

    Advice InRhythm(Situation now, BottleChoice bottle, Entry last)
    {
        var (every, why) = Days(now, bottle, last);
        var days = Condition.AtLeast("days since the last feed", new(now.Today.DayNumber - last.On.DayNumber, last.On), every, "days");
        if (days.Met)
            return Do(now, bottle, $"Fed {Dates.Ago(last.On, now.Today)}{why}", days);
        var due = last.On.AddDays((int)every);
        var bottled = Bottled(now, bottle, BottleChoice.RecipeOf(now, bottle.Bottle));
        return Say(
            now,
            bottle,
            Verdict.Hold,
            $"Fed {Dates.Ago(last.On, now.Today)}{why}: again from {Dates.Short(due)}, {bottled} ({bottle.Why}).",
            [days]
        ) with
        {
            Due = due,
        };
    }

    static (double Days, string Why) Days(Situation now, BottleChoice bottle, Entry last)
    {
        if (now.In<SlowlyFed>() is { } slow)
            return (
                now.Limits<FeedRhythmLimits>().SlowRelease + (slow.Sign.On.DayNumber - last.On.DayNumber),
                ", slow release, which lasts"
            );
        if (bottle.Bottle == Bottles.Recovery)
            return (now.Limits<FeedRhythmLimits>().Seldom, ", seldom while roots are few");
        if (now.School(FeedStrength.Question) is { Chosen.Name: FeedStrength.EachWatering })
            return (1, ", a little at each watering");
        if (now.Levels is { OverWater: true, Stands: false })
            return (1, ", a little with each top-up");
        return Racing(now) is { } fast
            ? (now.Limits<FeedRhythmLimits>().Racing, $", and {fast.Label.ToLowerInvariant()} is racing")
            : (now.Limits<FeedRhythmLimits>().Every, "");
    }

    static OrganSeries? Racing(Situation now) =>
        now.Series.FirstOrDefault(series =>
            series.Moves
            && series.Last.On > now.Today.AddDays(-21)
            && Pace.Read(series, series.YearBefore(now.Series))?.Kind is PaceKind.Faster
        );

    /// <summary>Short days and no lamps: the schools differ; a plant in which nothing moves gets none in either.</summary>
    Advice? NotInSeason(Situation now)
    {
        var limit = now.Limits<FeedRhythmLimits>().DayLength;
        if (!now.Daylight.ShorterThan(limit) || now.Around.Lamps(now.Limits<FeedRhythmLimits>().Lamps) || now.Sheet.Is(Traits.SummerRest))
            return null;
        var school = now.School(WinterFeed);
        var moves = now.Lanes.Any(lane => lane.Open && Moving.Contains(lane.Kind));
        if (school?.Chosen.Name == AllYear && moves)
            return null;
        var day = new Condition("hours of daylight", new(Math.Round(now.Daylight.Hours!.Value, 1)), new(limit), "h", false, now.Today);
        return Hold(
                now,
                Ground.Veto,
                moves ? "Short days: no feed until they lengthen again." : "Short days, and nothing moves: no feed until something does.",
                day
            )
            .By(school);
    }

    Advice Do(Situation now, BottleChoice bottle, string why, Condition because)
    {
        var recipe = BottleChoice.RecipeOf(now, bottle.Bottle);
        if (recipe is not null && now.Around.Shelf.Litre(recipe) is { } mix && mix.TdsPpm > now.Limits<SaltLimits>().Tds)
            return Say(
                now,
                bottle,
                Verdict.Look,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{why}: {recipe.Name} comes to {mix.TdsPpm:0} ppm, and it bears {now.Limits<SaltLimits>().Tds:0}. "
                        + $"Mix it weaker, or with "
                        + $"purer water."
                ),
                [
                    because,
                    new(
                        "dissolved solids",
                        new(Math.Round(mix.TdsPpm)),
                        new(now.Limits<SaltLimits>().Tds),
                        "ppm at most",
                        false,
                        now.Today
                    ),
                ]
            ) with
            {
                Ground = Ground.Sign,
            };
        return Say(now, bottle, Verdict.Do, $"{why}: {Bottled(now, bottle, recipe)} ({bottle.Why}).", [because]) with { Because = why };
    }

    /// <summary>
    /// "growth bottle, 25 % of the label, 50 ppm N in Growth mix"; where the recipe is far from that, what it has instead.
    /// </summary>
    static string Bottled(Situation now, BottleChoice bottle, Recipe? recipe)
    {
        var strength = FeedStrength.Of(now, bottle);
        var mix = now.Around.Shelf.Litre(recipe);
        if (mix is null)
            return $"{bottle.Bottle} bottle, {strength.Words}";
        var nitrogen = string.Create(CultureInfo.InvariantCulture, $"{mix.Elements.N:0} ppm N");
        if (BottleChoice.SetByHand(now) is { } set && set == recipe)
            return $"{recipe.Name}, which you chose for it, {nitrogen} in it";
        return mix.LabelShare > 0 && Math.Abs((mix.LabelShare * 100 / strength.Percent) - 1) > Mix.QuestionedShare
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"{bottle.Bottle} bottle, {strength.Words}; {recipe!.Name} has {mix.LabelShare * 100:0} %, {nitrogen}"
            )
            : $"{bottle.Bottle} bottle, {strength.Words}, {nitrogen} in {recipe!.Name}";
    }

    Advice Hold(Situation now, Ground ground, string reason, Condition condition) =>
        new(Topics.Feed, Rule, Care.Feed, Verdict.Hold, null, reason, [condition]) { Ground = ground };

    Advice Say(Situation now, BottleChoice bottle, Verdict verdict, string reason, IReadOnlyList<Condition> conditions) =>
        new(Topics.Feed, Rule, Care.Feed, verdict, now.Today, reason, conditions)
        {
            Ground = Ground.Interval,
            Bottle = bottle.Bottle,
            School = bottle.School,
            Others = bottle.Others,
            Amount = FeedStrength.Of(now, bottle).Words,
        };
}

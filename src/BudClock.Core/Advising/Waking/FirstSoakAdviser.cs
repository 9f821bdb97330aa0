using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Waking;

/// <summary>Rule W1: when a leafless pseudobulb that rested dry may be watered again.</summary>
/// <remarks>
/// The signal is the length of the new roots; new growth alone is not enough. Common practice: 10 cm of root on a small
/// plant, 15 cm on a large one, 7 cm for kinds that hate a long drought; nights of 12 °C. Shrivelled bulbs with any live
/// new root outrank all of it; without roots, no water. A growth that died while its roots went on counts by its roots.
/// </remarks>
public sealed class FirstSoakAdviser : IAdviser
{
    const string Shrivelled = "shrivelled";

    /// <inheritdoc/>
    public string Rule => "W1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.DryRest.Asleep)
            yield return Asleep(now);
        else if (now.DryRest.Waking)
            yield return FirstWater.WayFor(now).On(Waking(now, Gate(now))) with
            {
                Danger = Presses(now),
            };
    }

    /// <summary>Its first water waits for nothing else: for as long as the roots that were measured tell of today it is asked.</summary>
    static bool Presses(Situation now) => now.NewRoots.Longest is { } longest && now.Today < longest.On.AddDays(now.Ages.Roots);

    Advice Waking(Situation now, Conditions gate)
    {
        if (!now.NewRoots.Live)
            return NoRoots(now, gate);
        if (now.Bulbs?.Value is Shrivelled)
            return Emergency(now);
        if (!gate.Roots.Met)
            return RootsShort(now, gate);
        return gate.Nights.Met ? Ready(now, gate) : NightsCold(now, gate);
    }

    Advice Say(Verdict verdict, DateOnly? due, string reason, IReadOnlyList<Condition> conditions) =>
        new(Topics.FirstSoak, Rule, Care.GiveWater, verdict, due, reason, conditions);

    sealed record Conditions(Condition Growth, Condition Roots, Condition Nights, Condition Bulbs)
    {
        /// <summary>The four conditions in the order in which they are told.</summary>
        public IReadOnlyList<Condition> All => [Growth, Roots, Nights, Bulbs];
    }

    static Conditions Gate(Situation now)
    {
        var growth = Condition.Sign("new growth", now.DryRest.Woke);
        var roots = now.NewRoots.AtBase is { } seen
            ? Condition.Sign("roots at the bottom of the pot", seen)
            : Condition.AtLeast("root length", now.NewRoots.Longest, now.NeededRootCm, "cm");
        var nights = Condition.AtLeast("coolest night", now.CoolestNightC, now.Limits<FirstSoakLimits>().Night, "°C");
        var bulbs = Condition.State("bulbs", now.Bulbs, "not shrivelled", state => state != Shrivelled);
        // Bulbs nobody looked at do not shut the gate: only shrivelled ones change the answer.
        return new(growth, roots, nights, now.Bulbs is null ? bulbs with { Met = true } : bulbs);
    }

    Advice Asleep(Situation now) =>
        Say(
            Verdict.Hold,
            null,
            $"Leafless and resting since {Dates.Near(now.DryRest.RestSince!.Value, now.Today)}: dry until a new growth has made roots.",
            Gate(now).All
        );

    Advice NoRoots(Situation now, Conditions gate) =>
        Say(
            Verdict.Hold,
            null,
            (now.NewRoots.Lost, Stopped(now), now.Bulbs?.Value) switch
            {
                (not null, _, _) => "The new roots are lost: stay dry and keep the air humid until others come.",
                (_, true, _) => "The growth stopped before it made roots: stay dry and watch for the next eye.",
                (_, _, Shrivelled) => "Bulbs are shrivelled, but there are no new roots to drink: keep the air humid, not the pot wet.",
                _ => "No new roots yet: water would only sour the base.",
            },
            gate.All
        );

    Advice Emergency(Situation now)
    {
        var roots = now.NewRoots.Longest is { } longest ? $"new roots {longest.Value:0.#} cm" : "new roots";
        return Water(
            now,
            $"Bulbs are shrivelled and there are {roots} alive",
            [
                Condition.Sign("live new roots", now.NewRoots.Started),
                Condition.State("bulbs", now.Bulbs, Shrivelled, state => state == Shrivelled),
            ]
        ) with
        {
            Ground = Ground.Emergency,
            Overrides = ["cold", "coming cold"],
        };
    }

    Advice RootsShort(Situation now, Conditions gate)
    {
        var need = now.NeededRootCm;
        var projection = Projection.Reach(need, now.NewRoots.Series);
        var advice = Say(Verdict.Hold, projection?.Likely, "", gate.All) with { Projection = projection };
        if (now.NewRoots.Longest is not { } longest)
            return advice with { Reason = $"New roots are showing but not measured; {need:0.#} cm are needed." };

        var have = $"Roots {longest.Value:0.#} of {need:0.#} cm";
        if (projection?.Likely <= now.Today)
            return advice with
            {
                Verdict = Verdict.Look,
                Due = now.Today,
                Reason = $"{have} on {Dates.Short(longest.On)}; on the trend they are long enough by now. Measure.",
            };
        return advice with { Reason = projection?.InWords() is { } when ? $"{have}; on the trend {when}." : $"{have}." };
    }

    Advice NightsCold(Situation now, Conditions gate) =>
        now.CoolestNightC is not { } night
            ? Say(
                Verdict.Look,
                now.Today,
                $"{RootsReady(now)}; no night temperature is known here from the last week. Check for "
                    + $"{gate.Nights.Need!.Value.Number:0.#} °C or more.",
                gate.All
            )
            : Say(
                Verdict.Hold,
                null,
                $"{RootsReady(now)}, but nights are down to {night.Value:0.#} °C; {gate.Nights.Need!.Value.Number:0.#} °C are needed.",
                gate.All
            );

    Advice Ready(Situation now, Conditions gate)
    {
        var bulbs = now.Bulbs is { } state ? $", bulbs {state.Value}" : "";
        var water = Water(now, $"{RootsReady(now)}{bulbs}, nights {Math.Floor(now.CoolestNightC!.Value):0} °C", gate.All);
        return now.Temper is { CoolAhead: { MinC: { } cool } ahead, ColdSpellAhead: false }
            ? water with
            {
                Reason = $"{water.Reason} The night of {Dates.Short(ahead.On)} is forecast at {cool:0.#} °C: keep it warm then.",
                Conditions = [.. gate.All, new("forecast night", new(cool), new(now.Temper.FeedC), "°C", false, ahead.On)],
            }
            : water;
    }

    Advice Water(Situation now, string because, IReadOnlyList<Condition> conditions)
    {
        var way = FirstWater.WayFor(now);
        var replacement = Stopped(now) ? " The growth stopped: watch for another." : "";
        return Say(
            Verdict.Do,
            now.Today,
            $"{because}: first {way.Chosen.Name} today, with the first light feed in it.{way.Note}{replacement}",
            conditions
        ) with
        {
            Because = because,
            LoggedAs = way.Chosen.Name == FirstWater.Sip ? EntryKinds.Watered : EntryKinds.Soaked,
        };
    }

    static string RootsReady(Situation now) =>
        now.NewRoots.Longest is { } longest && now.NewRoots.AtBase is null
            ? $"Roots {longest.Value:0.#} cm"
            : "Roots at the bottom of the pot";

    static bool Stopped(Situation now) =>
        now.DryRest.Woke is { } woke
        && now.Journal.Of(EntryKinds.GrowthStopped).Any(e => e.On >= woke)
        && !now.Lanes.Any(lane => lane.Kind is LaneKind.Growth && lane.Open);
}

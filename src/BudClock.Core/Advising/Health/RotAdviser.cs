using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Advising.Sentence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rules V2 and H2: rot is an emergency on every habit at any season, from the day it is found through dated looks to all clear.
/// </summary>
public sealed class RotAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is not { } rot)
            yield break;
        if (rot is { Open: true, Treated: null })
            yield return Found(now, rot);
        else if (rot.Treated is { } treated && NextLook(now, rot, treated) is { } look)
            yield return look;
    }

    Advice Found(Situation now, RotCase rot)
    {
        var rest = now.Rest is not null ? "its store or pot" : "its pot";
        var roots = rot.OfRoots ? " Cut dead roots away; a firm stem grows back from damp, not wet, medium." : "";
        return new(
            Topics.Health,
            Rule,
            Care.CutOut,
            Verdict.Do,
            now.Today,
            $"{Capital(rot.Words)} {Dates.Ago(rot.Sign.On, now.Today)}: act today. Set it apart, take it out of {rest}, cut to firm "
                + $"tissue with a clean blade and save {now.Sheet.Rescue}; dust the cut and let it dry. Repot when it has dried.{roots} "
                + $"No water, no feed.{Neighbours.Words(now)}",
            [
                new(rot.Words, new("seen"), new("firm"), null, true, rot.Sign.On),
                .. now.Around.Neighbours.Count > 0
                    ? [Condition.Known("stood with it", new(string.Join(", ", now.Around.Neighbours)), null, rot.Sign.On)]
                    : (Condition[])[],
            ]
        )
        {
            Ground = Ground.Emergency,
            Overrides = ["cold", "danger", "heat", "newcomer", "rest", "repot"],
        };
    }

    /// <summary>After 3, 7 and 21 days somebody looks; the last look of a cleared case ends it.</summary>
    Advice? NextLook(Situation now, RotCase rot, Entry treated)
    {
        var seen = now.Journal.Of(Base, Tuber, Looked, Bulbs, RootCount)
            .LastOrDefault(e => PlantJournal.IsAfter(e, treated) && e.On > treated.On)
            ?.On
            ?? treated.On;
        var limits = now.Limits<RotLimits>();
        var looks = new[] { limits.LookFirst, limits.LookSecond, limits.LookLast }.Select(days => treated.On.AddDays(days));
        var next = looks.FirstOrDefault(day => day > seen);
        if (next == default && !rot.Open)
            return null;
        var due = next == default ? now.Today : next;
        var since = $"{treated.Kind.Words} {Dates.Ago(treated.On, now.Today)} for {rot.Words}";
        var condition = new Condition(
            "days since it was cut or treated",
            new(now.Today.DayNumber - treated.On.DayNumber),
            new(due.DayNumber - treated.On.DayNumber),
            "days",
            now.Today >= due,
            treated.On
        );
        return new(
            Topics.Health,
            Rule,
            Care.Feel,
            now.Today >= due ? Verdict.Look : Verdict.Hold,
            due,
            now.Today >= due
                ? $"{since}: feel it. Firm and dry, or soft again? Write \"firm\" when it is over."
                : $"{since}: look again on {Dates.Short(due)}.",
            [condition]
        )
        {
            Ground = Ground.Emergency,
            LoggedAs = rot.Sign.Kind == Tuber ? Tuber : Base,
        };
    }
}

/// <summary>Rule V2: looks after rot was cut or treated.</summary>
[Rule("V2", "looks after rot was cut or treated")]
public sealed record RotLimits(
    [Limit("days", 1, 14, "the first look")] int LookFirst,
    [Limit("days", 2, 30, "the second look")] int LookSecond,
    [Limit("days", 7, 90, "the last look")] int LookLast
);

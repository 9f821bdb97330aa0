using BudClock.Core.Advising.Health;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V2: while rot is open, and while a cut dries, nothing is watered, fed or woken, whatever else is asked.</summary>
public sealed class RotGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V2";

    /// <inheritdoc/>
    public string Name => "rot";

    /// <summary>It speaks first.</summary>
    public int Order => 0;

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.WetsLeaf | Effects.Feeds | Effects.Wakes;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Rot is { Open: true } rot
            ? new(
                Verdict.Hold,
                $"{rot.Words} was found {Dates.Ago(rot.Sign.On, now.Today)}",
                "nothing until it is cut clean and firm again.",
                new Condition("rot", new("seen"), new("none, or clear again"), null, false, rot.Sign.On)
            )
        : now.Rot is { Cleared: { } cut } healed && Dries(now, cut)
            ? new(
                Verdict.Hold,
                $"{healed.Words} was cut out {Dates.Ago(cut.On, now.Today)}",
                "the cut has to dry first.",
                new Condition("days since the cut", new(now.Today.DayNumber - cut.On.DayNumber), new(Drying(now)), "days", false, cut.On)
            )
        : care is Care.Wake && now.Rest?.Feel is { Text: "mouldy" } mould
            ? new(
                Verdict.Hold,
                $"it was mouldy {Dates.Ago(mould.On, now.Today)}",
                "clean and dry it first.",
                new Condition("tuber", new("mouldy"), new("clean"), null, false, mould.On)
            )
        : null;

    /// <summary>The cut is open until its first look.</summary>
    static bool Dries(Situation now, Entry cut) =>
        (cut.Kind == EntryKinds.Treated || cut.Kind == EntryKinds.Cut) && now.Today < cut.On.AddDays(Drying(now));

    static int Drying(Situation now) => now.Limits<RotLimits>().LookFirst;
}

using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V2: while rot is open nothing is watered, fed or woken, whatever else is asked.</summary>
public sealed class RotGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V2";

    /// <inheritdoc/>
    public string Name => "rot";

    public int Order => 0;

    /// <inheritdoc/>
    public bool StandsBefore(Care care) => care.GivesWater() || care is Care.Feed or Care.Mist or Care.Flush or Care.Wake or Care.PutBack;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Rot is { Open: true } rot
            ? new(
                Verdict.Hold,
                $"{rot.Words} was found {Dates.Ago(rot.Sign.On, now.Today)}",
                "nothing until it is cut clean and firm again.",
                new Condition("rot", new("seen"), new("none, or clear again"), null, false, rot.Sign.On)
            )
        : care is Care.Wake && now.Rest?.Feel is { Text: "mouldy" } mould
            ? new(
                Verdict.Hold,
                $"it was mouldy {Dates.Ago(mould.On, now.Today)}",
                "clean and dry it first.",
                new Condition("tuber", new("mouldy"), new("clean"), null, false, mould.On)
            )
        : null;
}

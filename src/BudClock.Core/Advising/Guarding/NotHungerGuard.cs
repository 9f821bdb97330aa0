using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F6: feed does not cure what is not hunger. Pale, yellow, limp or scorched leaves after a move get none.</summary>
/// <remarks>Cold, wet, rot and pests have guards of their own; this one asks of the place and the pot.</remarks>
public sealed class NotHungerGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F6";

    /// <inheritdoc/>
    public string Name => "not hunger";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if (now.Journal.Of(EntryKinds.Leaves) is not [.., { Text: "pale" or "yellowing" or "limp" or "scorched" } leaves])
            return null;
        if (leaves.On <= now.Today.AddDays(-now.Ages.Colour))
            return null;
        if (now.Thirst is { Kind: not (ThirstKind.None or ThirstKind.Forgotten), Sign: { } sign })
            return new(
                Verdict.Hold,
                $"{now.Thirst.Words} {Dates.Ago(sign.On, now.Today)}",
                "plain water first; feed on dry roots burns them.",
                Condition.Known("leaves", new(leaves.Text!), null, leaves.On)
            );
        var seen = Condition.Known("leaves", new(leaves.Text!), null, leaves.On);
        if (leaves.Text == "scorched")
            return new(Verdict.Hold, $"leaves were scorched {Dates.Ago(leaves.On, now.Today)}", "that is not hunger; shade first.", seen);
        if (
            now.Journal.Last(EntryKinds.Moved, EntryKinds.Repotted) is not { } moved
            || moved.On <= now.Today.AddDays(-now.Limits<NotHungerLimits>().Moved)
        )
            return null;
        var days = Condition.AtLeast(
            $"days since it was {moved.Kind.Words.ToLowerInvariant()}",
            new(now.Today.DayNumber - moved.On.DayNumber, moved.On),
            now.Limits<NotHungerLimits>().Moved,
            "days"
        );
        return new(
            Verdict.Hold,
            $"leaves {leaves.Text}, and it was {moved.Kind.Words.ToLowerInvariant()} {Dates.Ago(moved.On, now.Today)}",
            "that is not hunger, and more feed would only leave salt.",
            seen,
            days
        );
    }
}

/// <summary>Rule F6: pale leaves that are no hunger.</summary>
[Rule("F6", "pale leaves that are no hunger")]
public sealed record NotHungerLimits(
    [Limit("°C", 0, 20, "below this cold roots take up nothing")] double Cold,
    [Limit("days", 1, 90, "so long after a move or a repot leaves sulk")] int Moved
);

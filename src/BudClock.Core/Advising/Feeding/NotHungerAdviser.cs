using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F6: feed does not cure what is not hunger. Pale or limp leaves with cold, wet or dead roots get none.</summary>
public sealed class NotHungerAdviser : IAdviser
{
    const int SeenDays = 21;

    public string Rule => "F6";

    public IReadOnlyList<string> Thresholds => ["cold", "moved"];

    public Advice? Advise(Situation now)
    {
        if (now.Journal.Of(EntryKinds.Leaves) is not [.., { Text: "pale" or "yellowing" or "limp" or "scorched" } leaves] || !Fresh(leaves, now)) return null;
        return Cause(now) is not { } cause ? null : new(Topics.Feed, Rule, Verdict.Hold, null,
            $"Leaves {leaves.Text}, {cause.Words}: that is not hunger, and more feed would only leave salt.",
            [Condition.Known("leaves", new(leaves.Text!), null, leaves.On), cause.Condition])
        { Ground = Ground.Sign, Bottle = Bottles.Plain };
    }

    (string Words, Condition Condition)? Cause(Situation now)
    {
        var cold = now.Needs(Rule, "cold");
        if (now.CoolestNightC is { } night && night.Value < cold)
            return (FormattableString.Invariant($"and a night of {night.Value:0.#} °C"), Condition.AtLeast("coolest night", night, cold, "°C"));
        if (now.Journal.Of(EntryKinds.Medium) is [.., { Text: "wet" } wet] && Fresh(wet, now))
            return ("and the medium is wet: look at the roots", new("medium", new("wet"), new("damp or dry"), null, false, wet.On));
        if (now.Journal.Last(EntryKinds.Rot, EntryKinds.Pest) is { } ill && Fresh(ill, now))
            return ($"and {Named(ill)} was found", new(Named(ill), new("seen"), new("none"), null, false, ill.On));
        var settle = (int)now.Needs(Rule, "moved");
        if (now.Journal.Last(EntryKinds.Moved, EntryKinds.Repotted) is not { } moved || moved.On <= now.Today.AddDays(-settle)) return null;
        var days = Condition.AtLeast($"days since it was {Named(moved)}", new(now.Today.DayNumber - moved.On.DayNumber, moved.On), settle, "days");
        return ($"and it was {Named(moved)} {Dates.Ago(moved.On, now.Today)}", days);
    }

    static bool Fresh(Entry seen, Situation now) => seen.On > now.Today.AddDays(-SeenDays);

    static string Named(Entry entry) => entry.Kind.Words.ToLowerInvariant();
}

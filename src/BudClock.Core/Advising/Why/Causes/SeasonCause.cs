using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules D1 and D2: its kind goes to rest at this time.</summary>
public sealed class SeasonCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "its season to rest";

    /// <inheritdoc/>
    public override int Order => 2;

    /// <inheritdoc/>
    public override Care? Act => Care.LetRest;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [typeof(YellowQuestion), typeof(LeavesGoneQuestion), typeof(LimpQuestion), typeof(AsleepQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Feel its base: firm goes to rest, soft or smelling rots.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var now = about.Now;
        if (!now.Sheet.Is(Traits.LeaflessRest) && !now.Sheet.Is(Traits.WinterForm))
            return null;
        if (about.Question is AsleepQuestion)
            return Asleep(about);
        var day = about.Matter.To;
        var usual = now.Sheet.PhaseOn(day, now.Around.Garden.Southern)?.Phase.Phase is Phase.GoingToRest or Phase.Resting;
        if (!usual && !Sleep.InSeason(now, day))
            return null;
        List<Claim> speaks = [Inquiry.That(Strength.Sure, $"its kind goes to rest about {about.Day(day)}", day)];
        if (about.Newest(entry => entry.Text == "firm", EntryKinds.Base, EntryKinds.Tuber) is { } firm)
            speaks.Add(about.By(firm, Strength.Sure));
        var soft = about.Newest(entry => entry.Text is "soft" or "smelling" or "mouldy", EntryKinds.Base, EntryKinds.Tuber);
        return new(
            this,
            speaks,
            soft is null ? [] : [about.By(soft, Strength.Sure)],
            "Less water and no feed; let the leaves go by themselves.",
            Normal: true
        );
    }

    Heard Asleep(Inquiry about)
    {
        var (now, sleep) = (about.Now, Sleeping.Read(about.Now, about.Now.Rest?.Since ?? about.Now.DryRest.RestSince!.Value));
        List<Claim> speaks = [];
        List<Claim> against = [];
        if (sleep.Felt(now) is { } felt)
            (felt.Text is "soft" or "smelling" or "mouldy" ? against : speaks).Add(about.By(felt, Strength.Sure));
        if (sleep.Late)
            against.Add(Inquiry.That(Strength.Hint, $"it was to wake by {about.Day(sleep.Worry)} at the latest", sleep.Worry));
        else
            speaks.Add(
                Inquiry.That(Strength.Likely, $"{sleep.Days} days asleep, it need not wake before {about.Day(sleep.Worry)}", sleep.Since)
            );
        return new(
            this,
            speaks,
            against,
            sleep.Late
                ? "Feel it now: while it is firm it lives, late as it is."
                : "Leave it asleep, dry as its kind wants it, and feel it once a month.",
            Normal: !sleep.Late
        );
    }
}

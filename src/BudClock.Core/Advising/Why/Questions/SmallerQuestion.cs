using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rules G1 and G2: a growth or leaf that came smaller than the one before.</summary>
public sealed class SmallerQuestion : Question
{
    /// <summary>A difference within the error of two readings is none, cm.</summary>
    const double LeastCm = 2 * Projection.ReadingErrorCm;

    /// <inheritdoc/>
    public override string Code => "smaller";

    /// <inheritdoc/>
    public override string Asks => "Why is it smaller?";

    /// <inheritdoc/>
    public override string Note =>
        "Measure the growth when it is done, and write down when the medium was dry, what you fed, and whether it makes roots.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) =>
        Grown.Read(now.Journal, now.Lanes, now.Plant.Organs, now.Sheet.Organs.Shoot) is [.., var before, var last]
        && Smaller(now, before, last)
            ? Of(now, before, last)
            : null;

    /// <summary>Whether one came so much smaller that it is more than the error of two readings.</summary>
    public static bool Smaller(Situation now, Grown before, Grown last) =>
        last.Cm <= before.Cm * now.Limits<ShrinkingLimits>().Smaller / 100 && before.Cm - last.Cm >= LeastCm;

    /// <summary>Two growths as a matter; what happened shortly before the first was done made a difference to the second.</summary>
    public static Matter Of(Situation now, Grown before, Grown last) =>
        new(
            $"{Numbers(before, last)}.",
            before.Done.AddDays(1 - now.Limits<ShrinkingLimits>().Next),
            last.Done,
            [
                .. now
                    .Journal.Of(last.By)
                    .Where(entry => entry.Organ == last.Part && entry.On >= last.Began && entry.On <= last.Done)
                    .TakeLast(1),
            ]
        )
        {
            Growths = (before, last),
        };

    /// <summary>Two of one year are told apart by their months.</summary>
    public static string Numbers(Grown before, Grown last)
    {
        var apart = last.Label != before.Label;
        string When(Grown grown) => apart ? grown.Label : grown.Done.ToString("MMMM yyyy", CultureInfo.InvariantCulture);
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{last.By.Words} {last.Cm:0.#} cm in {When(last)}, {before.Cm:0.#} cm in {When(before)}"
        );
    }
}

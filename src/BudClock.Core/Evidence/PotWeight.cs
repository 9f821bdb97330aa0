using System.Globalization;
using BudClock.Core.States;
using MathNet.Numerics.Statistics;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>
/// What a pot weighs when it has been watered and when its plant was thirsty, learned from weighings of this pot: from one of each on, a
/// weight tells what a finger tells.
/// </summary>
/// <param name="FullG">Weighed on the day of water or the day after, g, the median.</param>
/// <param name="ThirstyG">Weighed when leaves gave way or the medium was felt dry, g, the median.</param>
public sealed record PotWeight(double FullG, double ThirstyG)
{
    /// <summary>A plant grows and its medium settles: older weighings are of another pot.</summary>
    const int LearnedDays = 365;

    /// <summary>The two have to be so far apart, as a share of the full weight, to tell anything (assumed).</summary>
    const double LeastApart = 0.08;

    /// <summary>Up to this share of the way from thirsty to full it is thirsty again (assumed).</summary>
    const double Light = 0.1;

    /// <summary>From this share on it holds water enough (assumed).</summary>
    const double Heavy = 0.4;

    /// <summary>What was learned up to a day, in this pot and medium; null until both weights are known.</summary>
    public static PotWeight? Read(PlantJournal journal, DateOnly today)
    {
        if (!journal.Has(Weight))
            return null;
        var from = today.AddDays(-LearnedDays);
        if (journal.Last(Repotted, Divided, Planted)?.On is { } potted && potted > from)
            from = potted;
        var weighed = journal.Of(Weight).Where(e => e.On >= from && e.Amount is { InBase: > 0 }).ToList();
        var full = weighed.Where(e => journal.Waterings.Any(water => water.On >= from && IsJustAfter(e, water))).ToList();
        var thirsty = weighed.Where(e => !full.Contains(e) && Asked(journal, e)).ToList();
        if (full.Count == 0 || thirsty.Count == 0)
            return null;
        var learned = new PotWeight(full.Select(Grams).Median(), thirsty.Select(Grams).Median());
        return learned.FullG - learned.ThirstyG >= LeastApart * learned.FullG ? learned : null;
    }

    /// <summary>What a weight says: dry, damp, or nothing that is certain.</summary>
    public Wet Says(double grams)
    {
        var share = (grams - ThirstyG) / (FullG - ThirstyG);
        return share <= Light ? Wet.Dry
            : share >= Heavy ? Wet.Damp
            : Wet.Unknown;
    }

    /// <summary>"410 g, light for it": a weight with what it means, as a clause.</summary>
    public string Words(double grams) =>
        string.Create(CultureInfo.InvariantCulture, $"{grams:0} g, ")
        + (Says(grams) is Wet.Dry ? "as light as when it was thirsty" : "heavy with water");

    static double Grams(Entry weighed) => weighed.Amount!.Value.InBase;

    /// <summary>After the water of that day or of the day before, in the order in which they were written.</summary>
    static bool IsJustAfter(Entry weighed, Entry water) =>
        PlantJournal.IsAfter(weighed, water) && weighed.On.DayNumber - water.On.DayNumber <= 1;

    /// <summary>Leaves gave way or the medium was dry that day, and no finger found it wet or damp.</summary>
    static bool Asked(PlantJournal journal, Entry weighed) =>
        journal.Of(Leaves, Medium).Where(e => e.On == weighed.On).ToList() is { Count: > 0 } seen
        && seen.Exists(e => e.Kind == Leaves ? Hanging.Words.Contains(e.Text) : e.Text == "dry")
        && !seen.Exists(e => e.Kind == Medium && e.Text is "wet" or "damp");
}

namespace BudClock.Core.Advising;

/// <summary>What a verdict rests on, the strongest first.</summary>
/// <remarks>
/// A seen sign beats an interval, an interval beats a date; dates only say when to look. What a guard stopped stands above all
/// but an emergency.
/// </remarks>
public enum Ground
{
    /// <summary>A danger that does not wait.</summary>
    Emergency,

    /// <summary>A danger that stands against an act.</summary>
    Veto,

    /// <summary>Something seen on the plant or felt in its pot.</summary>
    Sign,

    /// <summary>Days since it was done; orders nothing by itself.</summary>
    Interval,

    /// <summary>A day of the year; orders nothing by itself.</summary>
    Date,
}

/// <summary>Settles what several rules say on one question, so that a plant never hears Do and Hold at once.</summary>
public static class Judgement
{
    /// <summary>
    /// One advice for each topic and question: that of the strongest ground; between equals Look before Hold before Do, since a
    /// look never harms, then by rule. Different acts on one topic stand side by side, and nothing depends on the order of a list.
    /// </summary>
    public static IReadOnlyList<Advice> Settle(IEnumerable<Advice> said) =>
        [.. said.GroupBy(advice => (advice.Topic, advice.Care.Facts().Question)).Select(Strongest)];

    /// <summary>In the order in which it is given: Do before Look before Hold, what cannot wait first.</summary>
    public static IReadOnlyList<Advice> InOrder(IEnumerable<Advice> settled) =>
        [.. settled.OrderBy(advice => (advice.Verdict, Topic(advice.Topic), advice.Ground, advice.Care, advice.Rule), Given)];

    /// <summary>One comparison for all that decides the order; five keys would be five lists for each plant.</summary>
    static readonly Comparer<(Verdict Verdict, int Topic, Ground Ground, Care Care, string Rule)> Given = Comparer<(
        Verdict Verdict,
        int Topic,
        Ground Ground,
        Care Care,
        string Rule
    )>.Create(
        (a, b) =>
            a.Verdict != b.Verdict ? (int)a.Verdict - (int)b.Verdict
            : a.Topic != b.Topic ? a.Topic - b.Topic
            : a.Ground != b.Ground ? (int)a.Ground - (int)b.Ground
            : a.Care != b.Care ? (int)a.Care - (int)b.Care
            : string.CompareOrdinal(a.Rule, b.Rule)
    );

    static Advice Strongest(IGrouping<(string, string), Advice> same) =>
        same.Skip(1).Any() ? Strongest((IEnumerable<Advice>)same) : same.First(); // mostly one rule speaks of a thing

    static Advice Strongest(IEnumerable<Advice> same) =>
        same.OrderBy(advice => advice.Ground)
            .ThenBy(advice => Caution(advice.Verdict))
            .ThenBy(advice => advice.Rule, StringComparer.Ordinal)
            .ThenBy(advice => advice.Reason, StringComparer.Ordinal)
            .First();

    static int Caution(Verdict verdict) =>
        verdict switch
        {
            Verdict.Look => 0,
            Verdict.Hold => 1,
            _ => 2,
        };

    static int Topic(string topic)
    {
        for (var i = 0; i < Topics.All.Count; i++)
            if (Topics.All[i] == topic)
                return i;
        return Topics.All.Count;
    }
}

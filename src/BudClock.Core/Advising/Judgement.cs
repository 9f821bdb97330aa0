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

    /// <summary>What excludes what, by what it does to a plant: of two orders, one goes ahead (rule L9).</summary>
    static readonly (Effects One, Effects Other)[] Excludes =
    [
        (Effects.WetsMedium, Effects.TakesWater),
        (Effects.Lights | Effects.Warms, Effects.Darkens),
        (Effects.Feeds, Effects.RinsesSalt),
        (Effects.Wakes, Effects.TakesWater | Effects.Covers | Effects.Darkens),
    ];

    /// <summary>Of two orders that cannot both be followed, the one that is given first stands, and the other waits for it.</summary>
    public static IReadOnlyList<Advice> OneVoice(IReadOnlyList<Advice> inOrder)
    {
        List<Advice>? said = null;
        for (var i = 1; i < inOrder.Count && inOrder[i].Verdict is Verdict.Do; i++)
        for (var first = 0; first < i; first++)
            if ((said ?? inOrder)[first].Verdict is Verdict.Do && Exclude(inOrder[first].Care, inOrder[i].Care))
            {
                (said ??= [.. inOrder])[i] = Waits(inOrder[i], inOrder[first]);
                break;
            }
        return said is null ? inOrder : InOrder(said);
    }

    static bool Exclude(Care one, Care other) =>
        Excludes.Any(pair => (one.Does(pair.One) && other.Does(pair.Other)) || (one.Does(pair.Other) && other.Does(pair.One)));

    static Advice Waits(Advice advice, Advice first) =>
        advice with
        {
            Verdict = Verdict.Hold,
            Ground = Ground.Veto,
            Due = null,
            Until = null,
            Amount = null,
            Reason = $"Not today: {(first.Because is { } because ? $"{because}, and that" : "what excludes it")} goes first.",
            Conditions = [.. advice.Conditions, .. first.Conditions],
        };

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

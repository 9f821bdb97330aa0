namespace BudClock.Core.Advising;

/// <summary>What a verdict rests on, the strongest first.</summary>
/// <remarks>
/// A seen sign beats an interval, an interval beats a date; dates only say when to look. The surroundings, and what the plant
/// cannot use, veto; an emergency overrides a veto.
/// </remarks>
public enum Ground { Emergency, Veto, Sign, Interval, Date }

/// <summary>Settles what several rules say on one topic, so that a plant never hears Do and Hold at once.</summary>
public static class Judgement
{
    /// <summary>One advice a topic: that of the strongest ground; between equals, the first rule's.</summary>
    public static IReadOnlyList<Advice> Settle(IEnumerable<Advice> said)
    {
        var settled = new List<Advice>();
        foreach (var advice in said)
        {
            var other = settled.FindIndex(a => a.Topic == advice.Topic);
            if (other < 0) settled.Add(advice);
            else if (advice.Ground < settled[other].Ground) settled[other] = advice;
        }
        return settled;
    }
}

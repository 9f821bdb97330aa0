using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Thirst: signs of it with a medium that was not wet, or weeks without water while it grew.</summary>
public sealed class DryCause : Cause
{
    /// <summary>Without a word for so many of its intervals it stood dry.</summary>
    const double LongIntervals = 3;

    /// <inheritdoc/>
    public override string Name => "dry while it grew";

    /// <inheritdoc/>
    public override int Order => 5;

    /// <inheritdoc/>
    public override Care? Act => Care.GiveWater;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(BudsLostQuestion),
        typeof(LeavesGoneQuestion),
        typeof(LimpQuestion),
        typeof(ShrivelledQuestion),
        typeof(StalledSpikeQuestion),
        typeof(TwinsQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Feel the medium a finger deep when it shows: dry is thirst, wet is roots.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var signs = about
            .In(Leaves, Bulbs)
            .Where(entry => entry.On > (about.Matter.Growths?.Last.Began ?? about.Matter.From))
            .Where(entry => Thirsty(about, entry) && !Resting(about, entry.On))
            .DistinctBy(entry => entry.On)
            .ToList();
        List<Claim> speaks = [];
        var needed = about.Question is LimpQuestion or ShrivelledQuestion ? 1 : 2;
        if (signs.Count >= needed && signs is [.., var newest])
            speaks.Add(Inquiry.By(newest, Dry(about, newest) is null ? Strength.Likely : Strength.Sure, Was(about, signs)));
        if (about.Question is not (SmallerQuestion or LimpQuestion or ShrivelledQuestion) || speaks.Count > 0)
            speaks.AddRange(Unwatered(about));
        if (about.Question is LostQuestion && FeltDry(about) is { } felt)
            speaks.Add(felt);
        if (speaks.Count == 0)
            return null;
        var wet = about.Newest(entry => entry.Text == "wet", Medium);
        return new(
            this,
            [.. speaks.OrderByDescending(claim => claim.Strength)],
            wet is null || about.Matter.Growths is not null ? [] : [about.By(wet, Strength.Hint)],
            "Water the next one before it asks twice."
        )
        {
            Expect = about.Question is SmallerQuestion ? "With even water the next one is likely to gain." : null,
        };
    }

    /// <summary>Dry under the finger for longer than its kind takes between two waters, with nothing given meanwhile.</summary>
    static Claim? FeltDry(Inquiry about)
    {
        var since = about.Now.Journal.Waterings.LastOrDefault(entry => entry.On <= about.Matter.To)?.On ?? about.Matter.From;
        var looks = about.In(Medium).Where(entry => entry.On > since).ToList();
        return
            looks is [var first, .., var last]
            && looks.TrueForAll(entry => entry.Text == "dry")
            && about.Awake(last.On)
            && last.On.DayNumber - first.On.DayNumber >= about.Now.Interval.Days
            ? Inquiry.By(last, Strength.Sure, $"dry on each look from {about.Day(first.On)} to {about.Day(last.On)}, and no water given")
            : null;
    }

    static string Was(Inquiry about, IEnumerable<Entry> signs) =>
        $"it was dry{(about.Matter.Growths is null ? "" : " while it grew")}: " + string.Join(", ", signs.Select(one => Told(about, one)));

    /// <summary>Hanging, folding or shrunken.</summary>
    internal static bool Hangs(Entry entry) => entry.Text is "limp" or "pliable" or "shrivelled" or "wrinkled";

    /// <summary>The sign as it is told: "leaves limp 3 Jul".</summary>
    internal static string Told(Inquiry about, Entry sign) => $"{sign.Kind.Words.ToLowerInvariant()} {sign.Text} {about.Day(sign.On)}";

    /// <summary>What was felt of the medium near a sign.</summary>
    internal static Entry? Felt(Inquiry about, Entry sign, string medium) =>
        about
            .Now.Journal.Of(Medium)
            .LastOrDefault(e => e.Text == medium && Math.Abs(e.On.DayNumber - sign.On.DayNumber) <= about.Now.Ages.Wet);

    static Entry? Dry(Inquiry about, Entry sign) => Felt(about, sign, "dry");

    /// <summary>Asleep, and until its new roots drink, what stores water shrinks as it should.</summary>
    static bool Resting(Inquiry about, DateOnly day) =>
        !about.Awake(day) || (about.Now.DryRest is { Waking: true, Woke: var woke } && day >= woke);

    /// <summary>Wrinkles alone are not much; over a dry medium they are thirst.</summary>
    static bool Thirsty(Inquiry about, Entry entry) =>
        Hangs(entry)
        && (entry.Text != "wrinkled" || Dry(about, entry) is not null)
        && Felt(about, entry, "wet") is null
        && Felt(about, entry, "damp") is null;

    /// <summary>A long time in growth without any water that was written down, in a log that tells of water.</summary>
    static IEnumerable<Claim> Unwatered(Inquiry about)
    {
        var waters = about.Now.Journal.Waterings.Where(entry => entry.On <= about.Matter.To).ToList();
        if (waters.Count < 3 || about.Now.Levels.OverWater)
            yield break;
        var days = about.Now.Interval.Days * LongIntervals;
        for (var i = waters.Count - 1; i >= 0 && waters[i].On >= about.Matter.From.AddDays(-(int)days); i--)
        {
            var next = i + 1 < waters.Count ? waters[i + 1].On : about.Matter.To;
            var dry = next.DayNumber - waters[i].On.DayNumber;
            if (dry >= days && about.Awake(waters[i].On.AddDays(dry / 2)))
            {
                yield return Inquiry.By(waters[i], Strength.Likely, $"no water on record for {dry} days after {about.Day(waters[i].On)}");
                yield break;
            }
        }
    }
}

using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// The one way in which any rule of watering comes to its verdict: a seen sign orders water, an interval only asks for a look,
/// and what is still damp is left alone.
/// </summary>
/// <param name="Rule">The rule that asks.</param>
/// <param name="GuideFrom">The shortest usual interval of the sheet, days.</param>
/// <param name="GuideTo">The longest usual interval of the sheet, days.</param>
/// <param name="How">What to do: "water until it runs through".</param>
/// <param name="Feel">What to look at: "feel the leaves".</param>
public sealed record WaterAsked(string Rule, double GuideFrom, double GuideTo, string How, string Feel)
{
    const int StaleDays = 21; // what was seen three weeks ago says nothing of today

    static readonly (EntryKind, string)[] AnySign = [(Medium, "dry"), (Leaves, "limp"), (Leaves, "pliable")];

    /// <summary>The states that ask for water.</summary>
    public IReadOnlyList<(EntryKind Kind, string State)> Signs { get; init; } = AnySign;

    /// <summary>A longer interval than the log or the sheet says, as in bloom indoors or at the end of the season.</summary>
    public double Stretch { get; init; } = 1;

    /// <summary>Why it is stretched, as a sentence; empty when it is not.</summary>
    public string Because { get; init; } = "";

    /// <summary>"30 minutes"; the plant's usual amount when left out.</summary>
    public string? Amount { get; init; }

    public EntryKind LoggedAs { get; init; } = Watered;

    public Advice Judge(Situation now)
    {
        var last = now.Journal.Waterings.LastOrDefault();
        if (Sign(now, last) is { } asks) return Do(now, asks);
        var rhythm = Next(now);
        if (last is null) return Look(now, rhythm, "No water is on record yet");
        var days = now.Today.DayNumber - last.On.DayNumber;
        if (Damp(now, last) is { } damp) return Hold(now, last, rhythm, $"{damp.Kind.Words} {damp.Text} {Dates.Ago(damp.On, now.Today)}: leave it.", damp.On, Ground.Sign);
        if (days >= rhythm.Days * Stretch) return Look(now, rhythm, $"Last watered {Dates.Ago(last.On, now.Today)}");
        return Hold(now, last, rhythm, $"Watered {Dates.Ago(last.On, now.Today)}; it asks again about {Weekday(last.On.AddDays(Whole(rhythm.Days)), now.Today)}.", last.On, Ground.Interval);
    }

    /// <summary>The newest sign since the last water; a sign of the same day counts when it was written down after the water.</summary>
    Entry? Sign(Situation now, Entry? last) => Signs.SelectMany(sign => now.Journal.Of(sign.Kind).Where(e => e.Text == sign.State && e.On > now.Today.AddDays(-StaleDays) && After(e, last) && Newest(now, e))).MaxBy(e => e.On);

    static bool After(Entry sign, Entry? last) => last is null || sign.On > last.On || (sign.On == last.On && sign.Logged > last.Logged);

    /// <summary>Leaves that were limp and are firm again ask no more.</summary>
    static bool Newest(Situation now, Entry sign) => now.Journal.Of(sign.Kind) is [.., var newest] && newest.Text == sign.Text;

    static Entry? Damp(Situation now, Entry last) =>
        now.Journal.Of(Medium) is [.., { Text: "wet" or "damp" } newest] && newest.On > last.On && newest.On >= now.Today.AddDays(-2) ? newest : null;

    Advice Do(Situation now, Entry sign)
    {
        var amount = Amount ?? UsualAmount(now);
        return new(Topics.Water, Rule, Verdict.Do, now.Today, $"{sign.Kind.Words} {sign.Text} {Dates.Ago(sign.On, now.Today)}: {How}{(amount is null ? "" : $", {amount}")}.{Because}",
            [Condition.Sign($"{sign.Kind.Words.ToLowerInvariant()} {sign.Text}", sign.On)])
        { Ground = Ground.Sign, Amount = amount, LoggedAs = LoggedAs };
    }

    Advice Look(Situation now, Rhythm rhythm, string since) => new(Topics.Water, Rule, Verdict.Look, now.Today,
        $"{since}, {Words(rhythm)}: {Feel}.{Because}", [Interval(now, rhythm)])
    { Ground = Ground.Interval, LoggedAs = LoggedAs };

    Advice Hold(Situation now, Entry last, Rhythm rhythm, string reason, DateOnly seen, Ground ground) => new(Topics.Water, Rule, Verdict.Hold,
        last.On.AddDays(Whole(rhythm.Days)), reason + Because, [Interval(now, rhythm) with { Seen = seen }])
    { Ground = ground, Until = last.On.AddDays(Math.Max(Whole(rhythm.Days), (int)Math.Ceiling(rhythm.To * Stretch))) };

    /// <summary>The plant's own rhythm, else the guide of the sheet for its pot and medium (rule W13).</summary>
    Rhythm Next(Situation now)
    {
        if (Rhythm.Read(now.Journal, now.Today, now.Around.Vpd) is { } own) return own;
        var scale = PotScale(now.Plant.Pot);
        return new((GuideFrom + GuideTo) / 2 * scale, GuideFrom * scale, GuideTo * scale, Own: false);
    }

    /// <summary>Clay dries faster than plastic, small pots faster than large.</summary>
    static double PotScale(Pot? pot) => (pot?.Kind is "clay" or "basket" ? 0.8 : 1) * (pot?.DiameterCm switch { < 9 => 0.8, > 18 => 1.25, _ => 1 });

    Condition Interval(Situation now, Rhythm rhythm)
    {
        var last = now.Journal.Waterings.LastOrDefault();
        var days = last is null ? (double?)null : now.Today.DayNumber - last.On.DayNumber;
        var need = Whole(rhythm.Days);
        return new(rhythm.Own ? "days since water, its own rhythm" : "days since water, the sheet's guide", days is null ? null : new(days.Value), new(need), "days", days >= need, last?.On);
    }

    string Words(Rhythm rhythm) => rhythm.Own
        ? $"its own rhythm {Range(rhythm.From * Stretch, rhythm.To * Stretch)}"
        : $"usually {Range(rhythm.From * Stretch, rhythm.To * Stretch)}";

    int Whole(double days) => Math.Max(1, (int)Math.Round(days * Stretch));

    static string Range(double from, double to) => (int)Math.Round(from) is var a && (int)Math.Round(to) is var b && a >= b
        ? b == 1 ? "1 day" : $"{b} days"
        : string.Create(CultureInfo.InvariantCulture, $"{a}–{b} days");

    /// <summary>"Thursday" within a week, else the date.</summary>
    static string Weekday(DateOnly day, DateOnly today) =>
        day <= today ? "today" : day < today.AddDays(7) ? day.ToString("dddd", CultureInfo.InvariantCulture) : Dates.Short(day);

    /// <summary>What it usually gets; null where neither its record nor its pot tells.</summary>
    static string? UsualAmount(Situation now) => WaterNeed.Of(now.Plant, now.Journal) is var need && (need.Own || now.Plant.Pot?.VolumeMl is not null) ? need.Words() : null;
}

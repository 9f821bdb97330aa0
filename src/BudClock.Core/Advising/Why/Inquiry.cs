using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Why;

/// <summary>A question about a plant, with all that is known of the days in which the cause lies.</summary>
public sealed class Inquiry(Situation now, Question question, Matter matter)
{
    readonly Whereabouts stood = new(now.Plant);
    IReadOnlyList<NightOfPlace>? nights;
    IReadOnlyList<DayOfPlace>? days;

    /// <summary>The plant on the day it is asked.</summary>
    public Situation Now => now;

    /// <summary>What is asked.</summary>
    public Question Question => question;

    /// <summary>What it is asked about.</summary>
    public Matter Matter => matter;

    /// <summary>How far back causes are looked for, and what counts as much of something.</summary>
    public CauseLimits Limits => now.Limits<CauseLimits>();

    /// <summary>Entries of some kinds in the days of the matter, oldest first.</summary>
    public IReadOnlyList<Entry> In(params EntryKind[] kinds) =>
        [.. now.Journal.Of(kinds).Where(entry => entry.On >= matter.From && entry.On <= matter.To)];

    /// <summary>The newest of them that fits; null for none.</summary>
    public Entry? Newest(Func<Entry, bool> fits, params EntryKind[] kinds) => In(kinds).LastOrDefault(fits);

    /// <summary>Nights that were measured where it stood, in the days of the matter, oldest first.</summary>
    public IReadOnlyList<NightOfPlace> Nights => nights ??= [.. Each((record, day) => record.Night(day))];

    /// <summary>Days that were measured where it stood, in the days of the matter, oldest first.</summary>
    public IReadOnlyList<DayOfPlace> Days => days ??= [.. Each((record, day) => record.Day(day))];

    /// <summary>The place where it stood on a day; null is unplaced.</summary>
    public string? PlaceOn(DateOnly day) => stood.On(day);

    /// <summary>The place as the garden has it; null where it is not known.</summary>
    public Place? PlaceOf(string? code) => code == now.Plant.Place ? now.Around.Place : now.Counted.PlaceOf(code);

    /// <summary>Where it stood from a day to the end of the matter, for how many days, the longest first; known places only.</summary>
    public IEnumerable<(Place Place, int Days)> Stood(DateOnly from) =>
        Enumerable
            .Range(0, Math.Max(0, matter.To.DayNumber - from.DayNumber + 1))
            .Select(day => PlaceOn(from.AddDays(day)))
            .GroupBy(code => code)
            .OrderByDescending(group => group.Count())
            .Select(group => (Place: PlaceOf(group.Key), Days: group.Count()))
            .Where(one => one.Place is not null)
            .Select(one => (one.Place!, one.Days));

    /// <summary>A claim that rests on an entry.</summary>
    public static Claim By(Entry entry, Strength strength, string words) => new(words, strength, entry.On) { Entry = entry.Id };

    /// <summary>A claim that rests on an entry, in the log's own words.</summary>
    public Claim By(Entry entry, Strength strength) => By(entry, strength, $"{Small(entry.ToString())} on {Day(entry.On)}");

    /// <summary>A claim that rests on what was measured, on the calendar, or on nothing being written.</summary>
    public static Claim That(Strength strength, string words, DateOnly? on = null) => new(words, strength, on);

    /// <summary>A day as it is said today: "3 Jul", "3 Jul 2030".</summary>
    public string Day(DateOnly day) => Dates.Near(day, now.Today);

    /// <summary>A number of degrees: "7.5 °C".</summary>
    public static string C(double celsius) => string.Create(CultureInfo.InvariantCulture, $"{celsius:0.#} °C");

    /// <summary>
    /// What its base or tuber says of a pot that was too wet, of a plant that died: soft speaks for it, firm to the end against it.
    /// </summary>
    /// <returns>Nothing for a plant that lives, and where nobody felt it.</returns>
    public (IEnumerable<Claim> For, IEnumerable<Claim> Against) Felt()
    {
        if (!question.OfTheDead)
            return ([], []);
        var felt = In(EntryKinds.Base, EntryKinds.Tuber, EntryKinds.Rot);
        if (felt.LastOrDefault(entry => entry.Text is "soft" or "smelling" or "mouldy") is { } soft)
            return ([By(soft, Strength.Sure)], []);
        return felt is [.., var last] && last.On >= matter.To.AddDays(-Limits.Unsettled)
            ? ([], [By(last, Strength.Likely, $"{Small(last.ToString())} to the end, and what stands too wet goes soft")])
            : ([], []);
    }

    /// <summary>The plant was awake on a day, by its lanes: not in a span of rest.</summary>
    public bool Awake(DateOnly day) => !now.Lanes.Any(lane => lane.Kind is LaneKind.Rest && lane.From <= day && !(lane.To < day));

    static string Small(string words) => words.Length > 0 ? char.ToLowerInvariant(words[0]) + words[1..] : words;

    IEnumerable<T> Each<T>(Func<PlaceRecord, DateOnly, T?> read)
        where T : class
    {
        for (var day = matter.From; day <= matter.To; day = day.AddDays(1))
            if (PlaceOn(day) is { } code && read(now.Counted.RecordOf(code), day) is { } one)
                yield return one;
    }
}

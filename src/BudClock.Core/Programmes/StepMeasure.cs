using System.Globalization;

namespace BudClock.Core.Programmes;

/// <summary>When a step of a programme is done. A closed kind: each is counted by <see cref="StepCounting"/>.</summary>
/// <param name="Need">So many have to be counted; for an entry to be seen, 1.</param>
public abstract record StepMeasure(int Need)
{
    /// <summary>What is counted, in the plural: "nights at or below 10 °C".</summary>
    public abstract string Words { get; }
}

/// <summary>Nights of which the coolest reading at the plant's place was at or below a temperature.</summary>
/// <param name="AtOrBelowC">°C.</param>
/// <param name="Need">How many; warmer nights and nights that nobody measured do not count, and reset nothing.</param>
public sealed record CoolNights(double AtOrBelowC, int Need) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => string.Create(CultureInfo.InvariantCulture, $"nights at or below {AtOrBelowC:0.#} °C");
}

/// <summary>Days of which the warmest reading at the plant's place was at or below a temperature.</summary>
/// <param name="AtOrBelowC">°C.</param>
/// <param name="Need">How many; they need not follow each other.</param>
public sealed record CoolDays(double AtOrBelowC, int Need) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => string.Create(CultureInfo.InvariantCulture, $"days at or below {AtOrBelowC:0.#} °C");
}

/// <summary>Days without water, one after the other: water begins them again.</summary>
/// <param name="Need">The least that is common.</param>
/// <param name="Most">The most that is common, at least <paramref name="Need"/>.</param>
public sealed record DryDays(int Need, int Most) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => "dry days";
}

/// <summary>Days in the dark.</summary>
public sealed record DarkDays(int Need) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => "dark days";
}

/// <summary>Days that simply pass.</summary>
public sealed record PlainDays(int Need) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => "days";
}

/// <summary>Nights of unbroken dark between sunset and sunrise, with the lamps of the place reckoned in.</summary>
/// <param name="Hours">The least unbroken dark, hours.</param>
/// <param name="Need">How many nights; a broken one does not count.</param>
public sealed record LongNights(double Hours, int Need) : StepMeasure(Need)
{
    /// <inheritdoc/>
    public override string Words => string.Create(CultureInfo.InvariantCulture, $"nights of {Hours:0.#} h of unbroken dark");
}

/// <summary>Something seen or done since the step began.</summary>
/// <param name="Kinds">Any of these entries.</param>
/// <param name="Usual">Days after which it usually comes, the earliest.</param>
/// <param name="Latest">Days after which it usually has come, at least <paramref name="Usual"/>.</param>
public sealed record EntrySeen(IReadOnlyList<EntryKind> Kinds, int Usual, int Latest) : StepMeasure(1)
{
    /// <summary>"usually after 14–35 days", "usually within 42 days".</summary>
    public string UsualWords => Usual == 0 ? $"usually within {Latest} days" : $"usually after {Usual}–{Latest} days";

    /// <inheritdoc/>
    public override string Words => string.Join(" or ", Kinds.Take(2).Select(kind => kind.Words.ToLowerInvariant()));
}

namespace BudClock.Web.Ground;

/// <summary>What time it is for the application. A pretend day begins at the present hour, and time runs on from there.</summary>
public sealed class Clock(TimeProvider time, DateOnly? pretendDay) : TimeProvider
{
    readonly DateTimeOffset started = time.GetUtcNow();

    /// <summary>Whether the day is a pretend one, which every page says.</summary>
    public bool Pretends => pretendDay is not null;

    /// <summary>Goes on to a day, as the clock of a practice garden does; time runs on from its present hour.</summary>
    public void StepTo(DateOnly day)
    {
        if (pretendDay is { } first)
            Volatile.Write(ref stepped, day.DayNumber - first.DayNumber - (int)Elapsed.TotalDays);
    }

    int stepped;

    public override DateTimeOffset GetUtcNow() =>
        pretendDay is { } day
            ? new DateTimeOffset(day, TimeOnly.FromTimeSpan(started.TimeOfDay), TimeSpan.Zero).AddDays(Volatile.Read(ref stepped)) + Elapsed
            : time.GetUtcNow();

    /// <summary>Today in the garden. A pretend day is that day in every time zone.</summary>
    public DateOnly Today(Garden? garden) =>
        pretendDay is { } day
            ? day.AddDays(Volatile.Read(ref stepped) + (int)Elapsed.TotalDays)
            : (garden ?? new("")).DayAt(time.GetUtcNow());

    TimeSpan Elapsed => time.GetUtcNow() - started;
}

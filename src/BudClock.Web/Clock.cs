namespace BudClock.Web;

/// <summary>What time it is for the application. A pretend day begins at the present hour, and time runs on from there.</summary>
public sealed class Clock(TimeProvider time, DateOnly? pretendDay) : TimeProvider
{
    readonly DateTimeOffset started = time.GetUtcNow();

    /// <summary>Whether the day is a pretend one, which every page says.</summary>
    public bool Pretends => pretendDay is not null;

    public override DateTimeOffset GetUtcNow() =>
        pretendDay is { } day
            ? new DateTimeOffset(day, TimeOnly.FromTimeSpan(started.TimeOfDay), TimeSpan.Zero) + Elapsed
            : time.GetUtcNow();

    /// <summary>Today in the garden. A pretend day is that day in every time zone.</summary>
    public DateOnly Today(Garden? garden) =>
        pretendDay is { } day ? day.AddDays((int)Elapsed.TotalDays) : (garden ?? new("")).DayAt(time.GetUtcNow());

    TimeSpan Elapsed => time.GetUtcNow() - started;
}

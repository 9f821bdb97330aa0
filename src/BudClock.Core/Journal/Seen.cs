namespace BudClock.Core.Journal;

/// <summary>Something seen, with the day it was seen.</summary>
public sealed record Seen<T>(T Value, DateOnly On);

namespace BudClock.Core.Evidence;

/// <summary>A finding that is read when it is first asked for, and kept, though it may be nothing.</summary>
/// <typeparam name="T">What is found.</typeparam>
struct Once<T>
    where T : class
{
    T? found;
    bool done;

    /// <summary>The finding; null for none.</summary>
    /// <param name="read">A static function, so that asking again costs nothing.</param>
    public T? Is(Situation now, Func<Situation, T?> read)
    {
        if (!done)
            (found, done) = (read(now), true);
        return found;
    }
}

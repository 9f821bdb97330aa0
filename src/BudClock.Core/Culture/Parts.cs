namespace BudClock.Core.Culture;

/// <summary>Finds the rules and guards of this assembly, so that adding one touches no list.</summary>
static class Parts
{
    /// <summary>One of each class that is a <typeparamref name="T"/>.</summary>
    public static IEnumerable<T> Of<T>()
        where T : class =>
        typeof(Parts)
            .Assembly.GetTypes()
            .Where(type => type is { IsClass: true, IsAbstract: false } && type.IsAssignableTo(typeof(T)))
            .Select(type => (T)Activator.CreateInstance(type)!);
}

namespace BudClock.Core.Advising;

/// <summary>What of one plant goes wrong stays with that plant: it becomes its Look, never everybody's failure.</summary>
static class Boundary
{
    /// <summary>
    /// A fault of what was reckoned, and none of the machine or of the program as a whole. A reference to nothing is not among them: the
    /// compiler sees to those.
    /// </summary>
    public static bool Keeps(Exception fault) =>
        fault
            is ArithmeticException
                or InvalidOperationException
                or ArgumentException
                or KeyNotFoundException
                or FormatException
                or IndexOutOfRangeException;
}

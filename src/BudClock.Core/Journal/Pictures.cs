using System.Text.RegularExpressions;

namespace BudClock.Core.Journal;

/// <summary>Names of picture files. They lie beside the database in one folder, so a name is never a path.</summary>
public static partial class Pictures
{
    /// <summary>Letters, digits and hyphens with the ending .jpg: nothing that could climb out of the folder.</summary>
    public static bool Sound(string file) => Pattern().IsMatch(file);

    [GeneratedRegex(@"^[A-Za-z0-9][A-Za-z0-9-]{0,63}\.jpg\z")]
    private static partial Regex Pattern();
}

namespace BudClock.Data;

/// <summary>
/// The folder of the garden that is open: the one that was named at the start, or one inside it that a practice has to itself, so that
/// nothing of the garden at home is touched by it.
/// </summary>
/// <param name="home">The folder that was named at the start.</param>
public sealed class OpenFolder(string home)
{
    /// <summary>Names the folder inside that was open last; not there while the garden at home is.</summary>
    const string Mark = "practice.open";

    /// <summary>The folder that was named at the start.</summary>
    public string Home { get; } = home;

    /// <summary>The folder that is open.</summary>
    public string Path { get; private set; } = home;

    /// <summary>It is the one that was named at the start.</summary>
    public bool AtHome => Path == Home;

    /// <summary>The folder inside that was open when the application ended; null for none.</summary>
    public string? Last()
    {
        var mark = System.IO.Path.Combine(Home, Mark);
        return File.Exists(mark) && System.IO.Path.Combine(Home, File.ReadAllText(mark).Trim()) is var folder && Directory.Exists(folder)
            ? folder
            : null;
    }

    /// <summary>Opens another folder from now on, and after the next start.</summary>
    public void Open(string folder)
    {
        var mark = System.IO.Path.Combine(Home, Mark);
        if (folder == Home)
            File.Delete(mark);
        else
            Durably.Write(mark, System.Text.Encoding.UTF8.GetBytes(System.IO.Path.GetRelativePath(Home, folder)));
        Path = folder;
    }
}

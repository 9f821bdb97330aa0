using System.Diagnostics;

namespace BudClock.Data;

/// <summary>
/// Held by whoever writes into a data folder, for as long as the process lives. The system takes it from a holder that dies, so
/// that a kill never leaves it behind.
/// </summary>
public sealed class FolderLock : IDisposable
{
    /// <summary>The file that is locked.</summary>
    public const string FileName = "in-use.lock";

    readonly FileStream file;

    FolderLock(FileStream file) => this.file = file;

    /// <summary>Takes the lock, waiting a moment for one who is just leaving; null where another process holds it.</summary>
    /// <exception cref="IOException">The folder cannot be written.</exception>
    public static async Task<FolderLock?> TakeAsync(string folder, TimeSpan patience)
    {
        var began = Stopwatch.GetTimestamp();
        while (true)
        {
            if (Take(folder) is { } taken)
                return taken;
            if (Stopwatch.GetElapsedTime(began) >= patience)
                return null;
            await Task.Delay(50);
        }
    }

    static FolderLock? Take(string folder)
    {
        try
        {
            return new(new FileStream(Path.Combine(folder, FileName), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException fault) when (fault is not (FileNotFoundException or DirectoryNotFoundException) && IsShared(fault))
        {
            return null;
        }
    }

    /// <summary>EWOULDBLOCK on Linux and macOS, a sharing violation on Windows.</summary>
    static bool IsShared(IOException fault) => (fault.HResult & 0xFFFF) is 11 or 35 or 32 or 33;

    /// <inheritdoc/>
    public void Dispose() => file.Dispose();
}

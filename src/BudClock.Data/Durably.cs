using System.Runtime.InteropServices;

namespace BudClock.Data;

/// <summary>Writes files so that a name never stands for half a file, and that both survive a power cut.</summary>
public static partial class Durably
{
    /// <summary>Writes beside the name, flushes, renames, and flushes the folder.</summary>
    public static void Write(string path, ReadOnlySpan<byte> content)
    {
        var part = path + ".part";
        using (var stream = new FileStream(part, FileMode.Create, FileAccess.Write, FileShare.None))
        {
            stream.Write(content);
            stream.Flush(flushToDisk: true);
        }
        Rename(part, path);
    }

    /// <summary>Writes a little into a folder and takes it away again.</summary>
    /// <exception cref="IOException">There is no room, or the folder is read-only.</exception>
    public static void Probe(string folder)
    {
        var file = Path.Combine(folder, "probe.part");
        using var stream = new FileStream(file, FileMode.Create, FileAccess.Write, FileShare.ReadWrite, 1, FileOptions.DeleteOnClose);
        stream.Write(new byte[1 << 14]);
        stream.Flush(flushToDisk: true);
    }

    /// <summary>Gives a finished file its name, for good.</summary>
    public static void Rename(string part, string path)
    {
        File.Move(part, path, overwrite: true);
        FlushFolder(Path.GetDirectoryName(Path.GetFullPath(path))!);
    }

    /// <summary>A name is on disk once its folder is flushed; Windows does that by itself.</summary>
    static void FlushFolder(string folder)
    {
        if (OperatingSystem.IsWindows())
            return;
        var handle = Open(folder, 0);
        if (handle < 0)
            return;
        // A disk that cannot flush a folder is told by the write that follows; here nothing is left to do about it.
        _ = Sync(handle);
        _ = Close(handle);
    }

    [LibraryImport("libc", EntryPoint = "open", StringMarshalling = StringMarshalling.Utf8)]
    private static partial int Open(string path, int flags);

    [LibraryImport("libc", EntryPoint = "fsync")]
    private static partial int Sync(int handle);

    [LibraryImport("libc", EntryPoint = "close")]
    private static partial int Close(int handle);
}

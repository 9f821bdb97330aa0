namespace BudClock.Web.Ground;

/// <summary>Reads what others send, and no more of it than it may have.</summary>
static class Streams
{
    /// <summary>All of a stream; null as soon as it turns out to be longer than allowed, whatever it said of its length.</summary>
    public static async Task<byte[]?> ReadAsync(Stream stream, long most, CancellationToken cancel = default)
    {
        using var content = new MemoryStream();
        var part = new byte[1 << 16];
        int read;
        while ((read = await stream.ReadAsync(part, cancel)) > 0)
        {
            if (content.Length + read > most)
                return null;
            content.Write(part, 0, read);
        }
        return content.ToArray();
    }

    /// <summary>What a large file left behind is given back at once: there is a garden to serve beside it.</summary>
    public static void Tidy(long length)
    {
        if (length > Large)
            GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
    }

    const int Large = 100_000;
}

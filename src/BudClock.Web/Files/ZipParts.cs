using System.IO.Compression;
using System.IO.Hashing;

namespace BudClock.Web.Files;

/// <summary>Reads the parts of a zip that somebody sent: no more than they may hold, and only what their checksum says.</summary>
static class ZipParts
{
    /// <summary>A part, copied somewhere.</summary>
    /// <exception cref="InvalidDataException">It is longer than allowed, or its checksum (CRC-32) is another.</exception>
    public static async Task CopyAsync(this ZipArchiveEntry entry, Stream to, long most, CancellationToken cancel = default)
    {
        var (sum, buffer, length) = (new Crc32(), new byte[1 << 16], 0L);
        await using var content = await entry.OpenAsync(cancel);
        int read;
        while ((read = await content.ReadAsync(buffer, cancel)) > 0)
        {
            length += read;
            if (length > most)
                throw new InvalidDataException($"{entry.FullName} is larger than can be taken here");
            sum.Append(buffer.AsSpan(0, read));
            await to.WriteAsync(buffer.AsMemory(0, read), cancel);
        }
        if (sum.GetCurrentHashAsUInt32() != entry.Crc32)
            throw new InvalidDataException($"{entry.FullName} is damaged: its checksum is another");
    }

    /// <summary>A part in memory.</summary>
    /// <exception cref="InvalidDataException">It is longer than allowed, or its checksum is another.</exception>
    public static async Task<MemoryStream> ReadAsync(this ZipArchiveEntry entry, long most, CancellationToken cancel = default)
    {
        var content = new MemoryStream();
        await entry.CopyAsync(content, most, cancel);
        content.Position = 0;
        return content;
    }
}

using System.Security.Cryptography;
using System.Text;

namespace BudClock.Core.Formats;

/// <summary>Ids for entries that come without one: made from what they say, so that a line more above them changes nothing.</summary>
public static class EntryIds
{
    /// <summary>An id from what the entry says (UUID version 8, RFC 9562); the second of the same words gets another.</summary>
    /// <param name="same">How often each content was met so far in this plant's list.</param>
    internal static Guid FromContent(string tag, Entry entry, Dictionary<string, int> same)
    {
        var content = $"{tag.ToUpperInvariant()}\n{Content(entry)}";
        same[content] = same.GetValueOrDefault(content) + 1;
        var hash = SHA256.HashData(Encoding.UTF8.GetBytes($"{content}\n{same[content]}")).AsSpan(0, 16);
        (hash[6], hash[8]) = ((byte)((hash[6] & 0x0F) | 0x80), (byte)((hash[8] & 0x3F) | 0x80));
        return new(hash, bigEndian: true);
    }

    /// <summary>Whether an id was made from what its entry says.</summary>
    public static bool IsFromContent(Guid id) => id.Version == 8;

    /// <summary>What an entry says, without when it was written down: two lines that say the same are the same line.</summary>
    public static string Content(Entry entry) =>
        string.Join('\n', entry.On.DayNumber, entry.Kind.Name, entry.Organ, entry.Amount, entry.Text, entry.File);
}

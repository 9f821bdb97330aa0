using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using BudClock.Data;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.Files;

/// <summary>
/// A backup: a zip with the database, the pictures, and a list of what they must hash to (SHA-256). Its comment ends in the hash of
/// all that stands before it, so that no bit of it can be another unseen.
/// </summary>
sealed class Backup : IDisposable
{
    const string List = "SHA256SUMS";
    const string Seal = "Bud Clock backup, sha256 of all before: ";
    const int SealLength = 64;
    const long LongestList = 16L * 1024 * 1024;
    const string Pictured = PictureFolder.Name + "/";

    readonly string folder;

    Backup(string folder, IReadOnlyList<string> faults, int pictures) => (this.folder, Faults, Pictures) = (folder, faults, pictures);

    /// <summary>Why it cannot be restored; none for a sound one.</summary>
    public IReadOnlyList<string> Faults { get; }

    public int Pictures { get; }

    /// <summary>Where it was unpacked to; gone once it is disposed of.</summary>
    public string Folder => folder;

    /// <summary>Writes beside the name, reads it back, and only then gives it its name.</summary>
    public static async Task<int> WriteAsync(FileInfo target, IDbContextFactory<GardenDb> databases, PictureFolder pictures)
    {
        var part = target.FullName + ".part";
        var copy = target.FullName + ".db.part";
        try
        {
            File.Delete(copy);
            await GardenDatabase.BackupAsync(databases, copy);
            Private(copy);
            var files = pictures.All.SelectMany(name => new[] { pictures.Find(name), pictures.Find(name, small: true) }).OfType<string>();
            await using (var stream = File.Create(part))
            {
                Private(part);
                await PackAsync(stream, copy, files.Distinct());
            }
            await SealAsync(part);
            using (var back = await UnpackAsync(new(part), target.DirectoryName!))
                if (back.Faults.Count > 0)
                    throw new FolderTroubleException(
                        $"The copy could not be read back ({back.Faults[0]}), so it was not kept. The garden itself is as it was: "
                            + "run \"./budclock check\" to see whether it is sound."
                    );
            Durably.Rename(part, target.FullName);
            return pictures.All.Count;
        }
        finally
        {
            File.Delete(copy);
            File.Delete(part);
        }
    }

    static async Task PackAsync(Stream stream, string database, IEnumerable<string> pictures)
    {
        await using var zip = new ZipArchive(stream, ZipArchiveMode.Create);
        zip.Comment = Seal + new string('0', SealLength);
        var sums = new StringBuilder();
        await AddAsync(zip, sums, database, GardenDatabase.FileName, CompressionLevel.Fastest);
        foreach (var file in pictures)
            await AddAsync(zip, sums, file, Pictured + Path.GetFileName(file), CompressionLevel.NoCompression);
        await using var list = await zip.CreateEntry(List).OpenAsync();
        await list.WriteAsync(Encoding.UTF8.GetBytes(sums.ToString()));
    }

    static async Task SealAsync(string file)
    {
        await using var stream = new FileStream(file, FileMode.Open, FileAccess.ReadWrite);
        var hash = await HashAsync(stream);
        stream.Position = stream.Length - SealLength;
        await stream.WriteAsync(Encoding.ASCII.GetBytes(hash));
        stream.Flush(flushToDisk: true);
    }

    /// <summary>The hash of all but the seal.</summary>
    static async Task<string> HashAsync(FileStream stream)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var (buffer, left) = (new byte[1 << 16], stream.Length - SealLength);
        stream.Position = 0;
        while (left > 0)
        {
            var read = await stream.ReadAsync(buffer.AsMemory(0, (int)Math.Min(buffer.Length, left)));
            if (read == 0)
                break;
            hash.AppendData(buffer, 0, read);
            left -= read;
        }
        return Convert.ToHexStringLower(hash.GetHashAndReset());
    }

    static async Task<bool> IsSealedAsync(FileInfo file)
    {
        if (file.Length < SealLength)
            return false;
        await using var stream = file.OpenRead();
        var hash = await HashAsync(stream);
        var seal = new byte[SealLength];
        stream.Position = stream.Length - SealLength;
        await stream.ReadExactlyAsync(seal);
        return Encoding.ASCII.GetString(seal) == hash;
    }

    static void Private(string file)
    {
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(file, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    static async Task AddAsync(ZipArchive zip, StringBuilder sums, string file, string name, CompressionLevel level)
    {
        await using (var content = File.OpenRead(file))
            sums.Append(Convert.ToHexStringLower(await SHA256.HashDataAsync(content))).Append("  ").Append(name).Append('\n');
        await zip.CreateEntryFromFileAsync(file, name, level);
    }

    /// <summary>Unpacks a copy into a folder of its own inside another, and looks at every part of it.</summary>
    public static async Task<Backup> UnpackAsync(FileInfo file, string inside)
    {
        var folder = Path.Combine(inside, $".restoring-{Guid.NewGuid():N}");
        GardenFolder.Create(folder);
        try
        {
            using var zip = ZipFile.OpenRead(file.FullName);
            // Backups of earlier versions have neither list nor seal.
            if (zip.GetEntry(List) is not null && !await IsSealedAsync(file))
                return new(folder, ["it is damaged: it is not what was copied"], 0);
            var (faults, pictures) = await TakeAsync(zip, folder);
            if (faults.Count == 0)
                faults.AddRange(Database(Path.Combine(folder, GardenDatabase.FileName)));
            return new(folder, faults, pictures);
        }
        catch (InvalidDataException fault)
        {
            return new(folder, [$"it is no backup, or it is damaged ({fault.Message.TrimEnd('.')})"], 0);
        }
        catch (Exception fault) when (fault is EndOfStreamException or NotSupportedException or OverflowException or ArgumentException)
        {
            return new(folder, ["it is no backup, or it is damaged"], 0);
        }
    }

    static async Task<(List<string> Faults, int Pictures)> TakeAsync(ZipArchive zip, string folder)
    {
        if (zip.GetEntry(GardenDatabase.FileName) is null)
            return (["it is not a copy of a Bud Clock garden"], 0);
        // Backups of earlier versions have no list; the zip's own checksums and the look at the database have to do for them.
        var sums = zip.GetEntry(List) is { } list ? Sums(await list.ReadAsync(LongestList)) : null;
        var (faults, pictures) = (new List<string>(), 0);
        var found = new HashSet<string>();
        foreach (var entry in zip.Entries.Where(entry => entry.FullName != List))
        {
            if (entry.FullName != GardenDatabase.FileName && !IsPicture(entry))
                faults.Add($"{entry.FullName} has no place in a backup");
            else if (!found.Add(entry.FullName) || !await IsWholeAsync(entry, folder, sums))
                faults.Add($"{entry.FullName} is damaged: it is not what was copied");
            else if (IsPicture(entry) && !entry.Name.EndsWith("-small.jpg", StringComparison.Ordinal))
                pictures++;
        }
        if (sums is not null && faults.Count == 0)
            faults.AddRange(sums.Keys.Except(found).Select(name => $"{name} is missing"));
        return (faults, pictures);
    }

    static bool IsPicture(ZipArchiveEntry entry) => entry.FullName == Pictured + entry.Name && Core.Journal.Pictures.Sound(entry.Name);

    static Dictionary<string, string> Sums(Stream list)
    {
        using var reader = new StreamReader(list);
        var sums = new Dictionary<string, string>();
        while (reader.ReadLine() is { } line)
            if (line.Split("  ", 2) is [{ Length: 64 } sum, var name])
                sums[name] = sum;
            else
                throw new InvalidDataException("The list of checksums is damaged.");
        return sums;
    }

    /// <summary>Writes a part, and reads it back to see whether it is what was copied.</summary>
    static async Task<bool> IsWholeAsync(ZipArchiveEntry entry, string folder, Dictionary<string, string>? sums)
    {
        var path = Path.Combine(folder, entry.FullName);
        GardenFolder.Create(Path.GetDirectoryName(path)!);
        await using (var file = File.Create(path))
            await entry.CopyAsync(file, long.MaxValue);
        Private(path);
        await using var written = File.OpenRead(path);
        return sums is null
            || (sums.TryGetValue(entry.FullName, out var sum) && sum == Convert.ToHexStringLower(await SHA256.HashDataAsync(written)));
    }

    /// <summary>A database that is whole, and not of a newer version.</summary>
    static IEnumerable<string> Database(string file)
    {
        if ((SqliteFile.Fault(new(file)) ?? SqliteFile.CheckWhole(file)) is { } fault)
            yield return $"its database is not sound: {fault}";
        else if (GardenFolder.Newer(file) is { } newer)
            yield return $"it was written by a newer Bud Clock ({newer}); restore it with that one";
    }

    /// <summary>Puts what was unpacked into its place: the pictures first, the database last, each by a rename.</summary>
    public void PutInto(string target)
    {
        var pictures = Path.Combine(folder, PictureFolder.Name);
        if (Directory.Exists(pictures))
        {
            var place = Path.Combine(target, PictureFolder.Name);
            GardenFolder.Create(place);
            foreach (var picture in Directory.GetFiles(pictures))
                File.Move(picture, Path.Combine(place, Path.GetFileName(picture)), overwrite: true);
        }
        foreach (var side in (string[])["-wal", "-shm"])
            File.Delete(Path.Combine(target, GardenDatabase.FileName + side)); // left over from a garden that is gone
        SqliteConnection.ClearAllPools();
        Durably.Rename(Path.Combine(folder, GardenDatabase.FileName), Path.Combine(target, GardenDatabase.FileName));
    }

    /// <inheritdoc/>
    public void Dispose() => Directory.Delete(folder, recursive: true);
}

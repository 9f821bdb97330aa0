using System.IO.Compression;
using System.Text;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Photos;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.Files;

/// <summary>A garden file or zip as it was sent: read, checked, its pictures ready in a folder of their own.</summary>
public sealed class SentFile : IDisposable
{
    /// <summary>The most that can be sent: a garden with its pictures, in bytes.</summary>
    public const long Largest = 1024L * 1024 * 1024;

    /// <summary>The most that a garden without its pictures can be, in bytes.</summary>
    const long LargestJson = 100L * 1024 * 1024;

    const int MostEntries = 20_000;
    const string Folder = PictureFolder.Name + "/";

    readonly PictureFolder pictures;
    readonly string? ready;

    SentFile(GardenRecord garden, PictureFolder pictures, string? ready) => (Garden, this.pictures, this.ready) = (garden, pictures, ready);

    /// <summary>The garden in it.</summary>
    public GardenRecord Garden { get; }

    /// <summary>Reads a file without holding more of it than its largest part. Pictures that are named but missing are no fault.</summary>
    public static async Task<(SentFile? File, IReadOnlyList<FileFault> Faults)> ReadAsync(
        Stream stream,
        long length,
        PictureFolder pictures,
        CancellationToken cancel = default
    )
    {
        if (length > Largest)
            return (null, [new("file", "is larger than can be taken here")]);
        await using var seekable = await SeekableAsync(stream, cancel);
        var start = new byte[2];
        var read = await seekable.ReadAtLeastAsync(start, 2, throwOnEndOfStream: false, cancel);
        seekable.Position = 0;
        return read == 2 && start.AsSpan().SequenceEqual("PK"u8)
            ? await ZipAsync(seekable, pictures, cancel)
            : await JsonAsync(seekable, pictures, cancel);
    }

    /// <summary>A zip is read from its end; what cannot be wound back goes through a file first.</summary>
    static async Task<Stream> SeekableAsync(Stream stream, CancellationToken cancel)
    {
        if (stream.CanSeek)
            return stream;
        var file = new FileStream(
            Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            1 << 16,
            FileOptions.DeleteOnClose
        );
        await stream.CopyToAsync(file, cancel);
        file.Position = 0;
        return file;
    }

    static async Task<(SentFile?, IReadOnlyList<FileFault>)> JsonAsync(Stream stream, PictureFolder pictures, CancellationToken cancel)
    {
        var (garden, faults) = await GardenAsync(stream, cancel);
        return (garden is null ? null : new(garden, pictures, null), faults);
    }

    static async Task<(GardenRecord?, IReadOnlyList<FileFault>)> GardenAsync(Stream stream, CancellationToken cancel)
    {
        if (await Streams.ReadAsync(stream, LargestJson, cancel) is not { } content)
            return (null, [new("file", $"holds more than {LargestJson >> 20} MB of text, which is more than can be taken here")]);
        var text = Encoding.UTF8.GetString(content).TrimStart('\uFEFF');
        var read = GardenFileReader.Read(text, CultureSheets.Shipped);
        return (read.Garden, read.Faults);
    }

    static async Task<(SentFile?, IReadOnlyList<FileFault>)> ZipAsync(Stream stream, PictureFolder pictures, CancellationToken cancel)
    {
        try
        {
            await using var zip = new ZipArchive(stream, ZipArchiveMode.Read);
            if (zip.GetEntry(GardenDatabase.FileName) is not null)
                return await BackupAsync(stream, pictures, cancel);
            var faults = Paths(zip).ToList();
            if (zip.GetEntry(GardenZip.FileName) is not { } json)
                return (null, [.. faults, new("zip", $"there is no {GardenZip.FileName} in it")]);
            if (faults.Count > 0)
                return (null, faults);
            await using var inside = await json.ReadAsync(LargestJson, cancel);
            var (garden, wrong) = await GardenAsync(inside, cancel);
            if (garden is null)
                return (null, wrong);
            return await PicturesAsync(zip, garden, pictures, cancel);
        }
        catch (InvalidDataException fault)
        {
            return (null, [new("zip", $"cannot be taken in: {fault.Message}")]);
        }
        catch (Exception fault) when (fault is EndOfStreamException or NotSupportedException or OverflowException or ArgumentException)
        {
            return (null, [new("zip", "cannot be opened; it may be damaged")]);
        }
    }

    /// <summary>The garden of a backup, with its pictures; only of one that is whole.</summary>
    static async Task<(SentFile?, IReadOnlyList<FileFault>)> BackupAsync(Stream stream, PictureFolder pictures, CancellationToken cancel)
    {
        var copy = Path.Combine(Path.GetTempPath(), Path.GetRandomFileName());
        try
        {
            stream.Position = 0;
            await using (var file = File.Create(copy))
                await stream.CopyToAsync(file, cancel);
            using var backup = await Backup.UnpackAsync(new(copy), Path.GetTempPath());
            if (backup.Faults.Count > 0)
                return (null, [.. backup.Faults.Select(fault => new FileFault("backup", fault))]);
            await using var services = new ServiceCollection().AddGarden(backup.Folder).BuildServiceProvider();
            await GardenFolder.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), backup.Folder, _ => { });
            if (await services.GetRequiredService<GardenStore>().ReadAsync() is not { } garden)
                return (null, [new("backup", "there is no garden in it")]);
            var ready = Directory.CreateTempSubdirectory("bud-clock-pictures-").FullName;
            new PictureFolder(ready).TakeOver(new PictureFolder(backup.Folder));
            return (new(garden, pictures, ready), []);
        }
        finally
        {
            File.Delete(copy);
        }
    }

    static async Task<(SentFile?, IReadOnlyList<FileFault>)> PicturesAsync(
        ZipArchive zip,
        GardenRecord garden,
        PictureFolder pictures,
        CancellationToken cancel
    )
    {
        var faults = new List<FileFault>();
        var ready = Directory.CreateTempSubdirectory("bud-clock-pictures-").FullName;
        var beside = new PictureFolder(ready);
        foreach (var name in GardenZip.Named(garden))
        {
            if (zip.GetEntry(Folder + name) is not { } entry)
                continue;
            await using var content = await entry.ReadAsync(PictureIntake.LargestMb * 1024 * 1024, cancel);
            var (picture, fault) = await PictureIntake.ReadAsync(content, content.Length, name, cancel);
            if (picture is null)
                faults.Add(new(Folder + name, fault!));
            else
                beside.Save(name, picture.Full, picture.Small);
        }
        var file = new SentFile(garden, pictures, ready);
        if (faults.Count == 0)
            return (file, []);
        file.Dispose();
        return (null, faults);
    }

    /// <summary>Whatever is not the garden file or a picture in its folder is refused by name; a path cannot climb out.</summary>
    static IEnumerable<FileFault> Paths(ZipArchive zip)
    {
        if (zip.Entries.Count > MostEntries)
            yield return new("zip", $"holds more than {MostEntries} files");
        foreach (var entry in zip.Entries.Where(entry => entry.FullName is not (GardenZip.FileName or Folder)).Take(MostEntries))
            if (!entry.FullName.StartsWith(Folder, StringComparison.Ordinal) || !Pictures.Sound(entry.FullName[Folder.Length..]))
                yield return new(entry.FullName, $"has no place in a garden's zip; known are {GardenZip.FileName} and {Folder}NAME.jpg");
    }

    /// <summary>Puts its pictures where the garden's are: before the entries that name them are written.</summary>
    public void PutPictures()
    {
        if (ready is not null)
            pictures.TakeOver(new PictureFolder(ready));
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        if (ready is not null && Directory.Exists(ready))
            Directory.Delete(ready, recursive: true);
    }
}

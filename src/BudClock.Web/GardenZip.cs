using System.IO.Compression;
using System.Text;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Photos;

namespace BudClock.Web;

/// <summary>A garden with its pictures: a zip with the garden file inside and the pictures in a folder beside it.</summary>
public static class GardenZip
{
    public const string FileName = "garden.json";

    const string Folder = PictureFolder.Name + "/";
    const int MostEntries = 20_000;
    const long LargestJson = 200L * 1024 * 1024;

    public static async Task WriteAsync(Stream output, GardenRecord garden, PictureFolder pictures)
    {
        await using var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true);
        await WriteAsync(zip, FileName, Encoding.UTF8.GetBytes(GardenFileWriter.Write(garden)));
        foreach (var file in Named(garden).Where(file => pictures.Find(file) is not null))
            await WriteAsync(zip, Folder + file, await File.ReadAllBytesAsync(pictures.Find(file)!), CompressionLevel.NoCompression);
    }

    /// <summary>The garden and its pictures by file name, or every fault. A picture that is named but missing is no fault.</summary>
    public static async Task<(GardenRecord? Garden, Dictionary<string, ReadyPicture> Pictures, IReadOnlyList<FileFault> Faults)> ReadAsync(
        Stream input,
        DateOnly latest
    )
    {
        var pictures = new Dictionary<string, ReadyPicture>();
        try
        {
            await using var zip = new ZipArchive(input, ZipArchiveMode.Read);
            var faults = Paths(zip).ToList();
            if (zip.GetEntry(FileName) is not { } json)
                faults.Add(new("zip", $"there is no {FileName} in it"));
            else if (json.Length > LargestJson)
                faults.Add(new(FileName, "is larger than can be taken here"));
            if (faults.Count > 0)
                return (null, pictures, faults);

            var read = GardenFileReader.Read(
                Encoding.UTF8.GetString(await BytesAsync(zip.GetEntry(FileName)!)),
                CultureSheets.Shipped,
                latest
            );
            if (read.Garden is not { } garden)
                return (null, pictures, read.Faults);
            foreach (var file in Named(garden))
                if (zip.GetEntry(Folder + file) is { } entry)
                {
                    var (picture, fault) =
                        entry.Length > PictureIntake.LargestMb * 1024 * 1024
                            ? (null, $"is larger than {PictureIntake.LargestMb} MB")
                            : PictureIntake.Read(await BytesAsync(entry), file);
                    if (picture is null)
                        faults.Add(new(Folder + file, fault!));
                    else
                        pictures[file] = picture;
                }
            return faults.Count > 0 ? (null, pictures, faults) : (garden, pictures, []);
        }
        catch (InvalidDataException)
        {
            return (null, pictures, [new("zip", "cannot be opened; it may be damaged")]);
        }
    }

    public static bool IsZip(ReadOnlySpan<byte> start) => start.StartsWith("PK"u8);

    /// <summary>Whatever is not the garden file or a picture in its folder is refused by name; a path cannot climb out.</summary>
    static IEnumerable<FileFault> Paths(ZipArchive zip)
    {
        if (zip.Entries.Count > MostEntries)
            yield return new("zip", $"holds more than {MostEntries} files");
        foreach (var entry in zip.Entries.Where(entry => entry.FullName is not (FileName or Folder)))
            if (!entry.FullName.StartsWith(Folder, StringComparison.Ordinal) || !Pictures.Sound(entry.FullName[Folder.Length..]))
                yield return new(entry.FullName, $"has no place in a garden's zip; known are {FileName} and {Folder}NAME.jpg");
    }

    static IEnumerable<string> Named(GardenRecord garden) =>
        garden.Plants.SelectMany(plant => plant.Entries).Select(e => e.File).OfType<string>().Distinct().Order(StringComparer.Ordinal);

    static async Task WriteAsync(ZipArchive zip, string name, byte[] content, CompressionLevel level = CompressionLevel.Optimal)
    {
        await using var stream = await zip.CreateEntry(name, level).OpenAsync();
        await stream.WriteAsync(content);
    }

    static async Task<byte[]> BytesAsync(ZipArchiveEntry entry)
    {
        // What an entry says of its length is not to be trusted: no more than that is read.
        await using var stream = await entry.OpenAsync();
        var content = new byte[entry.Length];
        await stream.ReadExactlyAsync(content);
        return content;
    }
}

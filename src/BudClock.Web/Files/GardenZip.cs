using System.IO.Compression;
using System.Text;
using BudClock.Core.Formats;
using BudClock.Data;

namespace BudClock.Web.Files;

/// <summary>A garden with its pictures: a zip with the garden file inside and the pictures in a folder beside it.</summary>
public static class GardenZip
{
    public const string FileName = "garden.json";

    const string Folder = PictureFolder.Name + "/";

    public static async Task WriteAsync(Stream output, GardenRecord garden, PictureFolder pictures)
    {
        await using var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true);
        await WriteAsync(zip, FileName, Encoding.UTF8.GetBytes(GardenFileWriter.Write(garden)));
        foreach (var file in Named(garden))
            if (pictures.Find(file) is { } path)
                await zip.CreateEntryFromFileAsync(path, Folder + file, CompressionLevel.NoCompression);
    }

    /// <summary>The pictures that a garden names.</summary>
    public static IEnumerable<string> Named(GardenRecord garden) =>
        garden.Plants.SelectMany(plant => plant.Entries).Select(e => e.File).OfType<string>().Distinct().Order(StringComparer.Ordinal);

    static async Task WriteAsync(ZipArchive zip, string name, byte[] content)
    {
        await using var stream = await zip.CreateEntry(name).OpenAsync();
        await stream.WriteAsync(content);
    }
}

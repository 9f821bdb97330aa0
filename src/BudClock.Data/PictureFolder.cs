namespace BudClock.Data;

/// <summary>The pictures beside the database: one file in full size and one small, named after the entry they belong to.</summary>
public sealed class PictureFolder(string dataFolder)
{
    public const string Name = "pictures";
    const string SmallEnding = "-small.jpg";

    readonly string folder = Path.Combine(dataFolder, Name);

    /// <summary>Writes a picture; it is on disk, and whole, when this returns.</summary>
    public async Task SaveAsync(string file, byte[] full, byte[] small)
    {
        Directory.CreateDirectory(folder);
        await WriteAsync(PathOf(file), full);
        await WriteAsync(PathOf(Small(file)), small);
    }

    /// <summary>The path of a picture, or null when its file is missing.</summary>
    public string? Find(string file, bool small = false)
    {
        var path = PathOf(small ? Small(file) : file);
        return File.Exists(path) ? path
            : small ? Find(file)
            : null;
    }

    /// <summary>The names of all files, the small ones left out.</summary>
    public IReadOnlyList<string> All =>
        Directory.Exists(folder)
            ?
            [
                .. Directory
                    .GetFiles(folder, "*.jpg")
                    .Select(path => Path.GetFileName(path)!)
                    .Where(name => !name.EndsWith(SmallEnding, StringComparison.Ordinal))
                    .Order(StringComparer.Ordinal),
            ]
            : [];

    /// <summary>How many pictures there are, and their size together in bytes.</summary>
    public (int Count, long Bytes) Size => (All.Count, All.Sum(file => new FileInfo(PathOf(file)).Length));

    static string Small(string file) => file[..^".jpg".Length] + SmallEnding;

    string PathOf(string file) =>
        Pictures.Sound(file)
            ? Path.Combine(folder, file)
            : throw new ArgumentException($"\"{file}\" is no name of a picture.", nameof(file));

    /// <summary>A file is written beside its name first, so that a name never stands for half a picture.</summary>
    static async Task WriteAsync(string path, byte[] content)
    {
        var part = path + ".part";
        await using (var stream = new FileStream(part, FileMode.Create, FileAccess.Write))
        {
            await stream.WriteAsync(content);
            stream.Flush(flushToDisk: true);
        }
        File.Move(part, path, overwrite: true);
    }
}

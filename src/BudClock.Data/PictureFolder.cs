namespace BudClock.Data;

/// <summary>The pictures beside the database: one file in full size and one small, named after the entry they belong to.</summary>
public sealed class PictureFolder(OpenFolder open)
{
    /// <summary>The pictures beside the database of a folder.</summary>
    public PictureFolder(string dataFolder)
        : this(new OpenFolder(dataFolder)) { }

    public const string Name = "pictures";
    const string SmallEnding = "-small.jpg";

    string Folder => Path.Combine(open.Path, Name);

    /// <summary>Writes a picture; it is on disk, and whole, when this returns.</summary>
    public void Save(string file, byte[] full, byte[] small)
    {
        GardenFolder.Create(Folder);
        Durably.Write(PathOf(file), full);
        Durably.Write(PathOf(Small(file)), small);
    }

    /// <summary>Moves the pictures of another folder in; those that are here stay as they are.</summary>
    public void TakeOver(PictureFolder other)
    {
        foreach (var file in other.All.Where(file => Find(file) is null))
            Save(file, File.ReadAllBytes(other.PathOf(file)), File.ReadAllBytes(other.PathOf(Small(file))));
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
        Directory.Exists(Folder)
            ?
            [
                .. Directory
                    .GetFiles(Folder, "*.jpg")
                    .Select(path => Path.GetFileName(path)!)
                    .Where(Pictures.Sound) // what was put beside them by hand is not ours
                    .Where(name => !name.EndsWith(SmallEnding, StringComparison.Ordinal))
                    .Order(StringComparer.Ordinal),
            ]
            : [];

    /// <summary>How many pictures there are, and their size together in bytes.</summary>
    public (int Count, long Bytes) Size => (All.Count, All.Sum(file => new FileInfo(PathOf(file)).Length));

    static string Small(string file) => file[..^".jpg".Length] + SmallEnding;

    string PathOf(string file) =>
        Pictures.Sound(file)
            ? Path.Combine(Folder, file)
            : throw new ArgumentException($"\"{file}\" is no name of a picture.", nameof(file));
}

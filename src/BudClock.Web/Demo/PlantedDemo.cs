using BudClock.Data;

namespace BudClock.Web.Demo;

/// <summary>
/// The demo garden with its year of weather, made once when the program is built and lying beside it: a new folder begins with a copy,
/// since making it anew takes longer than anybody waits for a page.
/// </summary>
public static class PlantedDemo
{
    /// <summary>Where it lies, if it was made.</summary>
    public static string Folder { get; } = Path.Combine(AppContext.BaseDirectory, "planted");

    /// <summary>What a garden is made of; keys and locks belong to the folder that they were made in.</summary>
    static readonly string[] Parts = [PictureFolder.Name, DemoGarden.Marker, GardenDatabase.FileName];

    /// <summary>Begins a folder with a copy where it has no garden yet.</summary>
    /// <remarks>The database comes last and appears whole, so that a start that was broken off is made again.</remarks>
    public static void CopyTo(string folder)
    {
        if (!Directory.Exists(Folder) || Directory.EnumerateFiles(folder, GardenDatabase.FileName + "*").Any())
            return;
        foreach (var part in Parts)
        foreach (var file in Files(Path.Combine(Folder, part)))
        {
            var target = Path.Combine(folder, Path.GetRelativePath(Folder, file));
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Copy(file, target + ".part", overwrite: true);
            File.Move(target + ".part", target, overwrite: true);
        }
    }

    static IEnumerable<string> Files(string path) =>
        File.Exists(path) ? [path]
        : Directory.Exists(path) ? Directory.EnumerateFiles(path, "*", SearchOption.AllDirectories)
        : [];
}

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

    /// <summary>
    /// What a garden is made of, in the order in which it is put in its place; keys and locks belong to the folder they were made in.
    /// </summary>
    static readonly string[] Parts = [DemoGarden.Marker, GardenDatabase.FileName, PictureFolder.Name];

    /// <summary>Begins a folder with a copy where no garden was ever kept in it.</summary>
    /// <remarks>
    /// It is copied beside first and then put in its place, the database before its pictures: a start that was broken off goes on where it
    /// was, and never leaves a folder that looks as if its garden were lost.
    /// </remarks>
    public static void CopyTo(string folder) => Copy(Folder, folder);

    internal static void Copy(string planted, string folder)
    {
        var beside = Path.Combine(folder, ".planting");
        if (Directory.Exists(planted) && GardenFolder.IsNew(folder))
        {
            if (Directory.Exists(beside))
                Directory.Delete(beside, recursive: true);
            foreach (var file in Files(planted))
                Put(file, Path.Combine(beside, Path.GetRelativePath(planted, file)), File.Copy);
        }
        if (!Directory.Exists(beside))
            return;
        foreach (var file in Files(beside))
            Put(file, Path.Combine(folder, Path.GetRelativePath(beside, file)), File.Move);
        Directory.Delete(beside, recursive: true);
    }

    static void Put(string file, string target, Action<string, string, bool> put)
    {
        GardenFolder.Create(Path.GetDirectoryName(target)!);
        put(file, target, true);
    }

    static IEnumerable<string> Files(string folder) =>
        Parts
            .Select(part => Path.Combine(folder, part))
            .SelectMany(path =>
                File.Exists(path) ? [path]
                : Directory.Exists(path) ? Directory.GetFiles(path, "*", SearchOption.AllDirectories)
                : []
            )
            .ToList();
}

using BudClock.Data;
using BudClock.Web.Files;
using BudClock.Web.Hosting;

namespace BudClock.Web.CommandLine;

/// <summary>Looks at everything that a data folder holds, and saves what can be read where something is broken.</summary>
static class FolderCheck
{
    public static async Task<int> RunAsync(string folder, bool repair)
    {
        var file = Path.Combine(folder, GardenDatabase.FileName);
        if (!File.Exists(file))
            return Exit.Wrong($"{folder}: there is no garden in this folder");
        using var held = await FolderLock.TakeAsync(folder, TimeSpan.Zero);
        if (held is null && repair)
            return Exit.Wrong(Server.InUse(folder));
        var fault = SqliteFile.Fault(new(file)) ?? SqliteFile.CheckWhole(file);
        if (fault is null && GardenFolder.IsOlder(file))
        {
            Console.WriteLine("Sound, and of an earlier version: the next start brings it up to date, and keeps it as it is beside that.");
            return Exit.Fine;
        }
        var (unread, words) = fault is null ? await RowsAsync(folder) : ([], "");
        if (fault is null && unread.Count == 0)
        {
            Console.WriteLine(words);
            return Exit.Fine;
        }
        Exit.Wrong((fault is null ? unread : [$"{file}: {fault}"]).Concat(Backups(folder)));
        if (!repair)
            return Exit.WrongInput;
        var (saved, lost, kept) = Salvage.Run(file);
        Console.WriteLine($"Saved {saved} rows into {file}{(lost > 0 ? $", {lost} could not be read" : "")}. The old file is {kept}.");
        return Exit.Fine;
    }

    static async Task<(IReadOnlyList<string> Unread, string Words)> RowsAsync(string folder)
    {
        await using var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        var garden = await services.GetRequiredService<GardenStore>().ReadAsync();
        var pictures = services.GetRequiredService<PictureFolder>();
        if (garden is null)
            return ([], "Sound: no garden has been set up yet.");
        var missing = GardenZip.Named(garden).Where(name => pictures.Find(name) is null).Select(name => $"picture {name} is missing");
        var entries = garden.Plants.Sum(plant => plant.Entries.Count);
        return ([.. garden.Unread, .. missing], $"Sound: {garden.Plants.Count} plants, {entries} entries, {pictures.All.Count} pictures.");
    }

    static IEnumerable<string> Backups(string folder) =>
        GardenFolder.LastBackup(folder) is { } last ? [$"The last backup is {last.Path} of {last.At:u}."] : [];
}

using System.CommandLine;
using BudClock.Data;
using BudClock.Web.Files;
using BudClock.Web.Hosting;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.CommandLine;

/// <summary><c>budclock backup FILE</c>: the database and its pictures in one zip, also while the application runs.</summary>
static class BackupCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "The copy to make, a zip; it must not be there yet." };
        var data = DataFolder.Option();
        var command = new Command("backup", "Copy the garden's database and pictures.") { file, data };
        command.SetAction(parsed => Exit.RunAsync(() => RunAsync(parsed.GetValue(file)!, DataFolder.Of(parsed.GetValue(data)))));
        return command;
    }

    static async Task<int> RunAsync(FileInfo target, string folder)
    {
        if (target.Exists)
            return Exit.Wrong($"{target}: is there already; name a new file");
        if (target.Directory is { Exists: false } missing)
            return Exit.Wrong($"{missing}: there is no such folder");
        await using var stored = await Stored.OpenAsync(folder, toWrite: false);
        var count = await Backup.WriteAsync(
            target,
            stored.Services.GetRequiredService<IDbContextFactory<GardenDb>>(),
            stored.Services.GetRequiredService<PictureFolder>()
        );
        GardenFolder.Remember(folder, target.FullName, DateTimeOffset.UtcNow);
        Console.WriteLine($"Copied the garden and {count} pictures to {target}, and read the copy back: it is sound.");
        return Exit.Fine;
    }
}

/// <summary><c>budclock restore FILE</c>: puts a copy back into an empty data folder.</summary>
static class RestoreCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A copy made by backup." };
        var data = DataFolder.Option();
        var command = new Command("restore", "Put a copy of the garden into an empty folder.") { file, data };
        command.SetAction(parsed => Exit.RunAsync(() => RunAsync(parsed.GetValue(file)!, DataFolder.Of(parsed.GetValue(data)))));
        return command;
    }

    static async Task<int> RunAsync(FileInfo file, string folder)
    {
        if (!file.Exists)
            return Exit.Wrong($"{file}: no such file");
        GardenFolder.Create(folder);
        using var held = await FolderLock.TakeAsync(folder, TimeSpan.FromSeconds(2));
        if (held is null)
            return Exit.Wrong(Server.InUse(folder));
        var target = Path.Combine(folder, GardenDatabase.FileName);
        if (File.Exists(target))
            return Exit.Wrong($"{target}: there is a garden already; restore into an empty folder with --data");
        using var copy = await Backup.UnpackAsync(file, folder);
        if (copy.Faults.Count > 0)
            return Exit.Wrong(copy.Faults.Select(fault => $"{file}: {fault}. Nothing was restored"));
        copy.PutInto(folder);
        Console.WriteLine($"Restored the garden and {copy.Pictures} pictures into {folder}.");
        return Exit.Fine;
    }
}

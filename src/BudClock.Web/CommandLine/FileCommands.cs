using System.CommandLine;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Files;
using BudClock.Web.Hosting;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.CommandLine;

/// <summary>
/// <c>budclock check [FILE] [--repair]</c>: every fault of a garden file, of a backup, or of the garden kept in a folder.
/// </summary>
static class CheckCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo?>("FILE")
        {
            Arity = ArgumentArity.ZeroOrOne,
            Description = "A garden file or a backup; the garden in the data folder when left out.",
        };
        var data = DataFolder.Option();
        var repair = new Option<bool>("--repair") { Description = "Save what can be read into a new database; the old one is kept." };
        var command = new Command("check", "Check a garden file, a backup, or the garden that is kept here.") { file, data, repair };
        command.SetAction(parsed =>
            Exit.RunAsync(() =>
                parsed.GetValue(file) is not { } given ? FolderCheck.RunAsync(DataFolder.Of(parsed.GetValue(data)), parsed.GetValue(repair))
                : given.Extension == ".zip" ? ZipAsync(given)
                : Task.FromResult(Garden(given))
            )
        );
        return command;
    }

    static int Garden(FileInfo file)
    {
        if (Exit.ReadGarden(file) is not { } garden)
            return Exit.WrongInput;
        Console.WriteLine($"Sound: {garden.Plants.Count} plants, {garden.Plants.Sum(p => p.Entries.Count)} entries.");
        return Exit.Fine;
    }

    static async Task<int> ZipAsync(FileInfo file)
    {
        if (!file.Exists)
            return Exit.Wrong($"{file}: no such file");
        using var copy = await Backup.UnpackAsync(file, Path.GetTempPath());
        if (copy.Faults.Count > 0)
            return Exit.Wrong(copy.Faults.Select(fault => $"{file}: {fault}"));
        Console.WriteLine($"Sound: a backup with {copy.Pictures} pictures.");
        return Exit.Fine;
    }
}

/// <summary><c>budclock export [FILE]</c>: writes the garden to a file, or prints it. Also while the application runs.</summary>
static class ExportCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo?>("FILE") { Arity = ArgumentArity.ZeroOrOne, Description = "Where to; printed when left out." };
        var data = DataFolder.Option();
        var command = new Command("export", "Write the garden as a garden file; a name that ends in .zip takes the pictures along.")
        {
            file,
            data,
        };
        command.SetAction(parsed => Exit.RunAsync(() => RunAsync(parsed.GetValue(file), DataFolder.Of(parsed.GetValue(data)))));
        return command;
    }

    static async Task<int> RunAsync(FileInfo? target, string folder)
    {
        await using var stored = await Stored.OpenAsync(folder, toWrite: false);
        if (await stored.Services.GetRequiredService<GardenStore>().ReadAsync() is not { } garden)
            return Exit.Wrong($"{folder}: there is no garden in this folder yet");
        Exit.Wrong(garden.Unread.Select(unread => $"left out, as it cannot be read: {unread}"));
        if (target is null)
        {
            Exit.Print(GardenFileWriter.Write(garden));
            return Exit.Fine;
        }
        if (target.Directory is { Exists: false } missing)
            return Exit.Wrong($"{missing}: there is no such folder");
        var part = target.FullName + ".part";
        await using (var stream = File.Create(part))
            if (target.Extension == ".zip")
                await GardenZip.WriteAsync(stream, garden, stored.Services.GetRequiredService<PictureFolder>());
            else
                await stream.WriteAsync(System.Text.Encoding.UTF8.GetBytes(GardenFileWriter.Write(garden)));
        Durably.Rename(part, target.FullName);
        return Exit.Fine;
    }
}

/// <summary><c>budclock import FILE</c>: takes a garden file in, whole or not at all.</summary>
static class ImportCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A garden file." };
        var data = DataFolder.Option();
        var how = new Option<ImportWay>("--how")
        {
            DefaultValueFactory = _ => ImportWay.Merge,
            Description = "add: only what is new; merge: also what is empty here; replace: the file is believed.",
        };
        var garden = new Option<bool>("--garden-too") { Description = "Take over the file's name, place on earth and units." };
        var show = new Option<bool>("--show") { Description = "Say what it would do, and do nothing." };
        var command = new Command("import", "Take a garden file into the garden.") { file, data, how, garden, show };
        command.SetAction(parsed =>
            Exit.RunAsync(() =>
                RunAsync(
                    parsed.GetValue(file)!,
                    DataFolder.Of(parsed.GetValue(data)),
                    parsed.GetValue(how),
                    parsed.GetValue(garden),
                    parsed.GetValue(show)
                )
            )
        );
        return command;
    }

    static async Task<int> RunAsync(FileInfo file, string folder, ImportWay way, bool gardenToo, bool show)
    {
        if (!file.Exists)
            return Exit.Wrong($"{file}: no such file");
        await using var stored = await Stored.OpenAsync(folder, toWrite: !show);
        var pictures = stored.Services.GetRequiredService<PictureFolder>();
        await using var stream = file.OpenRead();
        var (sent, faults) = await SentFile.ReadAsync(stream, file.Length, pictures);
        using var taken = sent;
        if (sent is null)
            return Exit.Wrong(faults.Select(fault => fault.ToString()));
        var here = await stored.Services.GetRequiredService<GardenStore>().ReadAsync() ?? GardenRecord.Nothing;
        var plan = new ImportPlan(here, sent.Garden, way, gardenToo);
        if (!show)
        {
            sent.PutPictures();
            // A garden's beginning is nobody's act to take back.
            var author = ReferenceEquals(here, GardenRecord.Nothing) ? Logbook.Beginning : Logbook.Grower;
            var act = new Act(Guid.CreateVersion7(), author, DateTimeOffset.UtcNow, $"{file.Name} taken in");
            await stored.Services.GetRequiredService<GardenWriter>().WriteAsync(act, ImportRows.Take(plan));
        }
        Console.WriteLine(
            $"{(show ? "Would add" : "Added")} {plan.NewPlants.Count()} plants, {plan.NewEntries} entries, {plan.Readings.Count} readings."
        );
        foreach (var left in plan.LeftOut.Concat(plan.Differing.SelectMany(plant => plant.Differs)))
            Console.WriteLine(left);
        return Exit.Fine;
    }
}

/// <summary>The garden of a data folder, for commands that work without the server.</summary>
sealed class Stored(ServiceProvider services, FolderLock? held) : IAsyncDisposable
{
    public IServiceProvider Services => services;

    /// <summary>Opens a folder that is there.</summary>
    /// <param name="toWrite">Nobody else may hold it then; to read, a running server does not matter.</param>
    /// <exception cref="FolderTroubleException">It is not there, in use, or damaged.</exception>
    public static async Task<Stored> OpenAsync(string folder, bool toWrite)
    {
        if (toWrite)
            GardenFolder.Create(folder);
        else if (!Directory.Exists(folder))
            throw new FolderTroubleException($"{folder}: there is no such folder. Name the garden's folder with --data.");
        var held = await FolderLock.TakeAsync(folder, TimeSpan.FromSeconds(toWrite ? 2 : 0));
        if (held is null && toWrite)
            throw new FolderTroubleException(Server.InUse(folder));
        var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        // Where a server runs, it has made the folder ready.
        if (held is not null && (toWrite || File.Exists(Path.Combine(folder, GardenDatabase.FileName))))
            await GardenFolder.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), folder, words =>
                Console.Error.WriteLine(words)
            );
        else if (held is not null)
            throw new FolderTroubleException($"{folder}: there is no garden in this folder. Name the garden's folder with --data.");
        return new(services, held);
    }

    public async ValueTask DisposeAsync()
    {
        await services.DisposeAsync();
        held?.Dispose();
    }
}

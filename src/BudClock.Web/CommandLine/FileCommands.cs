using System.CommandLine;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Photos;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Web.CommandLine;

/// <summary><c>budclock check FILE</c>: says every fault of a garden file.</summary>
static class CheckCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A garden file." };
        var command = new Command("check", "Check a garden file.") { file };
        command.SetAction(parsed =>
        {
            if (Exit.ReadGarden(parsed.GetValue(file)!) is not { } garden)
                return Exit.WrongInput;
            Console.WriteLine($"Sound: {garden.Plants.Count} plants, {garden.Plants.Sum(p => p.Entries.Count)} entries.");
            return Exit.Fine;
        });
        return command;
    }
}

/// <summary><c>budclock export [FILE]</c>: writes the garden to a file, or prints it.</summary>
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
        command.SetAction(async parsed =>
        {
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            if (await services.GetRequiredService<GardenStore>().ReadAsync() is not { } garden)
                return Exit.Wrong("--data: there is no garden in this folder yet");
            if (parsed.GetValue(file) is { Extension: ".zip" } zip)
            {
                await using var stream = zip.Create();
                await GardenZip.WriteAsync(stream, garden, services.GetRequiredService<PictureFolder>());
                return Exit.Fine;
            }
            var text = GardenFileWriter.Write(garden);
            if (parsed.GetValue(file) is { } target)
                await File.WriteAllTextAsync(target.FullName, text);
            else
                Exit.Print(text);
            return Exit.Fine;
        });
        return command;
    }
}

/// <summary><c>budclock import FILE</c>: takes a garden file in, whole or not at all.</summary>
static class ImportCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A garden file." };
        var data = DataFolder.Option();
        var command = new Command("import", "Take a garden file into the garden.") { file, data };
        command.SetAction(async parsed =>
        {
            var (garden, pictures) = await ReadAsync(parsed.GetValue(file)!);
            if (garden is null)
                return Exit.WrongInput;
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            var folder = services.GetRequiredService<PictureFolder>();
            foreach (var (name, picture) in pictures.Where(picture => folder.Find(picture.Key) is null))
                await folder.SaveAsync(name, picture.Full, picture.Small);
            var added = await services.GetRequiredService<GardenImport>().ImportAsync(garden);
            Console.WriteLine($"Added {added.Plants} plants, {added.Entries} entries, {added.Readings} readings.");
            return Exit.Fine;
        });
        return command;
    }

    static async Task<(GardenRecord? Garden, Dictionary<string, ReadyPicture> Pictures)> ReadAsync(FileInfo file)
    {
        if (!file.Exists || file.Extension != ".zip")
            return (Exit.ReadGarden(file), []);
        await using var stream = file.OpenRead();
        var (garden, pictures, faults) = await GardenZip.ReadAsync(stream, DateOnly.MaxValue);
        Exit.Wrong(faults.Select(fault => fault.ToString()));
        return (garden, pictures);
    }
}

/// <summary>The garden of a data folder, for commands that work without the server.</summary>
static class Stored
{
    public static async Task<ServiceProvider> OpenAsync(string? folder)
    {
        var path = DataFolder.Of(folder);
        Directory.CreateDirectory(path);
        var services = new ServiceCollection().AddGarden(path).BuildServiceProvider();
        await GardenDatabase.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>());
        return services;
    }
}

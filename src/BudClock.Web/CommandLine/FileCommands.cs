using System.CommandLine;
using BudClock.Core.Formats;
using BudClock.Data;
using Microsoft.Data.Sqlite;
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
            if (Exit.ReadGarden(parsed.GetValue(file)!) is not { } garden) return Exit.WrongInput;
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
        var command = new Command("export", "Write the garden as a garden file.") { file, data };
        command.SetAction(async parsed =>
        {
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            if (await services.GetRequiredService<GardenStore>().ReadAsync() is not { } garden) return Exit.Wrong("--data: there is no garden in this folder yet");
            var text = GardenFileWriter.Write(garden);
            if (parsed.GetValue(file) is { } target) await File.WriteAllTextAsync(target.FullName, text);
            else Exit.Print(text);
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
            if (Exit.ReadGarden(parsed.GetValue(file)!) is not { } garden) return Exit.WrongInput;
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            var added = await services.GetRequiredService<GardenImport>().ImportAsync(garden);
            Console.WriteLine($"Added {added.Plants} plants, {added.Entries} entries, {added.Readings} readings.");
            return Exit.Fine;
        });
        return command;
    }
}

/// <summary><c>budclock backup FILE</c>: copies the database whole, also while the application runs.</summary>
static class BackupCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "The copy to make; it must not be there yet." };
        var data = DataFolder.Option();
        var command = new Command("backup", "Copy the garden's database.") { file, data };
        command.SetAction(async parsed =>
        {
            var target = parsed.GetValue(file)!;
            if (target.Exists) return Exit.Wrong($"{target}: is there already; name a new file");
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            await GardenDatabase.BackupAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), target.FullName);
            return Exit.Fine;
        });
        return command;
    }
}

/// <summary><c>budclock restore FILE</c>: puts a copy back into an empty data folder.</summary>
static class RestoreCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A copy made by backup." };
        var data = DataFolder.Option();
        var command = new Command("restore", "Put a copy of the database into an empty folder.") { file, data };
        command.SetAction(parsed =>
        {
            var (copy, folder) = (parsed.GetValue(file)!, DataFolder.Of(parsed.GetValue(data)));
            if (!copy.Exists) return Exit.Wrong($"{copy}: no such file");
            if (!IsDatabase(copy)) return Exit.Wrong($"{copy}: not a copy of a Bud Clock database");
            var target = Path.Combine(folder, GardenDatabase.FileName);
            if (File.Exists(target)) return Exit.Wrong($"{target}: there is a garden already; restore into an empty folder with --data");
            Directory.CreateDirectory(folder);
            copy.CopyTo(target);
            return Exit.Fine;
        });
        return command;
    }

    static bool IsDatabase(FileInfo copy)
    {
        try
        {
            using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = copy.FullName, Mode = SqliteOpenMode.ReadOnly, Pooling = false }.ToString());
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT count(*) FROM Gardens";
            command.ExecuteScalar();
            return true;
        }
        catch (SqliteException)
        {
            return false;
        }
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

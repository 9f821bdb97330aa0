using System.CommandLine;
using System.IO.Compression;
using BudClock.Data;
using Microsoft.Data.Sqlite;
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
        command.SetAction(async parsed =>
        {
            var target = parsed.GetValue(file)!;
            if (target.Exists)
                return Exit.Wrong($"{target}: is there already; name a new file");
            await using var services = await Stored.OpenAsync(parsed.GetValue(data));
            var count = await WriteAsync(
                target,
                services.GetRequiredService<IDbContextFactory<GardenDb>>(),
                services.GetRequiredService<PictureFolder>()
            );
            Console.WriteLine($"Copied the garden and {count} pictures to {target}.");
            return Exit.Fine;
        });
        return command;
    }

    static async Task<int> WriteAsync(FileInfo target, IDbContextFactory<GardenDb> databases, PictureFolder pictures)
    {
        var copy = Path.Combine(Path.GetTempPath(), $"bud-clock-{Guid.NewGuid():N}.db");
        try
        {
            await GardenDatabase.BackupAsync(databases, copy);
            await using var zip = await ZipFile.OpenAsync(target.FullName, ZipArchiveMode.Create);
            await zip.CreateEntryFromFileAsync(copy, GardenDatabase.FileName);
            foreach (var picture in pictures.All)
            {
                await zip.CreateEntryFromFileAsync(
                    pictures.Find(picture)!,
                    $"{PictureFolder.Name}/{picture}",
                    CompressionLevel.NoCompression
                );
                if (pictures.Find(picture, small: true) is { } small)
                    await zip.CreateEntryFromFileAsync(
                        small,
                        $"{PictureFolder.Name}/{Path.GetFileName(small)}",
                        CompressionLevel.NoCompression
                    );
            }
            return pictures.All.Count;
        }
        finally
        {
            File.Delete(copy);
        }
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
        command.SetAction(parsed =>
        {
            var (copy, folder) = (parsed.GetValue(file)!, DataFolder.Of(parsed.GetValue(data)));
            if (!copy.Exists)
                return Exit.Wrong($"{copy}: no such file");
            var target = Path.Combine(folder, GardenDatabase.FileName);
            if (File.Exists(target))
                return Exit.Wrong($"{target}: there is a garden already; restore into an empty folder with --data");
            return Restore(copy, folder, target) ? Exit.Fine : Exit.Wrong($"{copy}: not a copy of a Bud Clock garden");
        });
        return command;
    }

    static bool Restore(FileInfo copy, string folder, string target)
    {
        try
        {
            using var zip = ZipFile.OpenRead(copy.FullName);
            if (zip.GetEntry(GardenDatabase.FileName) is not { } database)
                return false;
            var found = zip
                .Entries.Where(entry => entry.FullName == $"{PictureFolder.Name}/{entry.Name}" && Pictures.Sound(entry.Name))
                .ToList();
            Directory.CreateDirectory(Path.Combine(folder, PictureFolder.Name));
            foreach (var picture in found)
                picture.ExtractToFile(Path.Combine(folder, PictureFolder.Name, picture.Name), overwrite: true);
            database.ExtractToFile(target);
            if (IsGarden(target))
                return true;
            File.Delete(target);
            return false;
        }
        catch (InvalidDataException)
        {
            return false;
        }
    }

    static bool IsGarden(string file)
    {
        try
        {
            using var connection = new SqliteConnection(
                new SqliteConnectionStringBuilder
                {
                    DataSource = file,
                    Mode = SqliteOpenMode.ReadOnly,
                    Pooling = false,
                }.ToString()
            );
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

using System.CommandLine;
using BudClock.Data;
using BudClock.Web.Demo;
using BudClock.Web.Hosting;
using Microsoft.Data.Sqlite;

namespace BudClock.Web.CommandLine;

/// <summary><c>budclock plant</c>: makes the demo garden beside the program, for new folders to begin with. Part of the build.</summary>
static class PlantCommand
{
    public static Command Create()
    {
        var command = new Command("plant", "Make the demo garden once, beside the program.") { Hidden = true };
        command.SetAction((_, stop) => Exit.RunAsync(() => PlantAsync(stop)));
        return command;
    }

    static async Task<int> PlantAsync(CancellationToken stop)
    {
        if (Directory.Exists(PlantedDemo.Folder))
            Directory.Delete(PlantedDemo.Folder, recursive: true);
        // Made elsewhere, and put in its place once it is whole.
        var making = PlantedDemo.Folder + ".making";
        if (Directory.Exists(making))
            Directory.Delete(making, recursive: true);
        var options = new ServerOptions
        {
            Port = 0,
            DataFolder = making,
            Demo = true,
        };
        await using (var app = await Server.BuildAsync(options))
        {
            await app.StartAsync(stop);
            await app.StopAsync(stop);
        }
        SqliteConnection.ClearAllPools();
        await using (var db = new SqliteConnection($"Data Source={Path.Combine(making, GardenDatabase.FileName)}"))
        {
            await db.OpenAsync(stop);
            await using var whole = db.CreateCommand();
            whole.CommandText = "PRAGMA wal_checkpoint(TRUNCATE); PRAGMA journal_mode = DELETE;";
            await whole.ExecuteNonQueryAsync(stop);
        }
        SqliteConnection.ClearAllPools();
        Directory.Move(making, PlantedDemo.Folder);
        return Exit.Fine;
    }
}

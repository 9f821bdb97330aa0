using System.Collections.Concurrent;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Data;

/// <summary>Where the garden is kept and how SQLite is asked to keep it.</summary>
public static class GardenDatabase
{
    public const string FileName = "garden.db";

    /// <summary>Adds the garden of a data folder. Foreign keys on; every commit reaches the disk before it is acknowledged.</summary>
    /// <param name="between">Told of every statement; tests put their faults there.</param>
    public static IServiceCollection AddGarden(this IServiceCollection services, string dataFolder, params IInterceptor[] between) =>
        services
            .AddSingleton(new OpenFolder(dataFolder))
            .AddSingleton<IDbContextFactory<GardenDb>>(all => new Databases(all.GetRequiredService<OpenFolder>(), between))
            .AddSingleton(all => new PictureFolder(all.GetRequiredService<OpenFolder>()))
            .AddSingleton<GardenStore>()
            .AddSingleton<GardenWriter>();

    /// <summary>Copies the database whole into another file while it is in use.</summary>
    public static async Task BackupAsync(IDbContextFactory<GardenDb> databases, string file)
    {
        await using var db = await databases.CreateDbContextAsync();
        // One statement, so one state of the garden, while others go on writing.
        await db.Database.ExecuteSqlAsync($"VACUUM INTO {file}");
    }

    internal static void Configure(DbContextOptionsBuilder options, string file, params IInterceptor[] between) =>
        options
            .UseSqlite(
                new SqliteConnectionStringBuilder
                {
                    DataSource = file,
                    ForeignKeys = true,
                    DefaultTimeout = 3,
                }.ToString()
            )
            .AddInterceptors([new Durable(), .. between]);

    /// <summary>The database of the folder that is open when it is asked for.</summary>
    sealed class Databases(OpenFolder folder, IInterceptor[] between) : IDbContextFactory<GardenDb>
    {
        readonly ConcurrentDictionary<string, DbContextOptions<GardenDb>> known = new();

        public GardenDb CreateDbContext() => new(known.GetOrAdd(folder.Path, Options));

        DbContextOptions<GardenDb> Options(string path)
        {
            var options = new DbContextOptionsBuilder<GardenDb>();
            Configure(options, Path.Combine(path, FileName), between);
            return options.Options;
        }
    }

    /// <summary>synchronous=FULL belongs to each connection, not to the file.</summary>
    sealed class Durable : DbConnectionInterceptor
    {
        const string Pragmas = "PRAGMA synchronous = FULL; PRAGMA busy_timeout = 3000;";

        public override void ConnectionOpened(System.Data.Common.DbConnection connection, ConnectionEndEventData eventData)
        {
            using var command = connection.CreateCommand();
            command.CommandText = Pragmas;
            command.ExecuteNonQuery();
        }

        public override async Task ConnectionOpenedAsync(
            System.Data.Common.DbConnection connection,
            ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            await using var command = connection.CreateCommand();
            command.CommandText = Pragmas;
            await command.ExecuteNonQueryAsync(cancellationToken);
        }
    }
}

/// <summary>For the migrations tool only.</summary>
sealed class DesignTime : IDesignTimeDbContextFactory<GardenDb>
{
    public GardenDb CreateDbContext(string[] args)
    {
        var options = new DbContextOptionsBuilder<GardenDb>();
        GardenDatabase.Configure(options, Path.Combine(Path.GetTempPath(), "design.db"));
        return new(options.Options);
    }
}

using System.Globalization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace BudClock.Data;

/// <summary>The folder is not as it should be; the message says what is wrong, what is safe and what to do.</summary>
public sealed class FolderTroubleException(string message) : Exception(message);

/// <summary>
/// Makes a data folder ready to be used: looked at first, brought up to the newest schema, never begun anew over an old one.
/// </summary>
public static class GardenFolder
{
    /// <summary>Written once a garden has been made here; from then on a missing database is a loss and no new beginning.</summary>
    const string Marker = "garden.made";

    /// <summary>Where backups that were made of this folder went, one a line.</summary>
    const string Backups = "backups.txt";

    /// <summary>What <c>PRAGMA user_version</c> says once old entries have their changes written out.</summary>
    const int Settled = 1;

    const UnixFileMode Private = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;

    /// <summary>Private to whoever runs the program: the keys of forms lie beside the garden.</summary>
    public static void Create(string folder)
    {
        if (OperatingSystem.IsWindows())
        {
            Directory.CreateDirectory(folder);
            return;
        }
        var made = Directory.CreateDirectory(folder, Private);
        if (made.UnixFileMode == Private)
            return;
        try
        {
            made.UnixFileMode = Private;
        }
        catch (Exception fault) when (fault is UnauthorizedAccessException or IOException)
        {
            // Somebody else's folder: they decide who reads it.
        }
    }

    /// <summary>Brings the database up to the newest schema, in WAL mode. The folder's lock must be held.</summary>
    /// <param name="say">Told what was mended on the way.</param>
    /// <exception cref="FolderTroubleException">It is damaged, missing though it was here, or of a newer version.</exception>
    public static async Task PrepareAsync(IDbContextFactory<GardenDb> databases, string folder, Action<string> say)
    {
        LookAt(folder);
        await using var db = await databases.CreateDbContextAsync();
        await RefuseNewerAsync(db, folder);
        if ((await db.Database.GetPendingMigrationsAsync()).Any())
        {
            await ClearStaleAsync(db, say);
            await KeepOldAsync(db, folder);
            await db.Database.MigrateAsync();
        }
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode = WAL;");
        await SettleAsync(db);
        Keep(folder);
    }

    /// <summary>Before the database is opened, which would make an empty one.</summary>
    static void LookAt(string folder)
    {
        var file = new FileInfo(Path.Combine(folder, GardenDatabase.FileName));
        if (!file.Exists || file.Length == 0)
        {
            if (WasUsed(folder))
                throw Trouble(folder, $"{file.FullName} is {(file.Exists ? "empty" : "gone")}, although a garden was kept in this folder.");
            return;
        }
        if (SqliteFile.Fault(file) is { } fault)
            throw Trouble(folder, $"{file.FullName} {fault}.");
    }

    /// <summary>
    /// Whether no garden was ever kept in a folder. One whose database is gone is not new: nothing may be begun over what it may still
    /// hold.
    /// </summary>
    public static bool IsNew(string folder) => !Directory.EnumerateFiles(folder, GardenDatabase.FileName + "*").Any() && !WasUsed(folder);

    static bool WasUsed(string folder)
    {
        var pictures = Path.Combine(folder, PictureFolder.Name);
        var wal = new FileInfo(Path.Combine(folder, GardenDatabase.FileName + "-wal"));
        return File.Exists(Path.Combine(folder, Marker))
            || (Directory.Exists(pictures) && Directory.EnumerateFiles(pictures).Any())
            || (wal.Exists && wal.Length > 0 && !File.Exists(Path.Combine(folder, GardenDatabase.FileName)));
    }

    /// <summary>What is wrong, what is safe, what to do.</summary>
    public static FolderTroubleException Trouble(string folder, string what)
    {
        var safe = LastBackup(folder) is { } backup
            ? $"The last backup is {backup.Path} of {backup.At.UtcDateTime.ToString("d MMMM yyyy, HH:mm", CultureInfo.InvariantCulture)} "
                + "UTC."
            : "No backup made from this folder is known.";
        return new(
            $"{what}\nNothing was changed, and no new garden was begun over it. {safe} Pictures in {PictureFolder.Name} are as they "
                + "were.\nCopy the whole folder to a safe place first. Then restore a backup into a new folder\n(./budclock "
                + "restore FILE --data NEW), or let \"./budclock check --repair --data FOLDER\" save what can be read, on a copy."
        );
    }

    static async Task RefuseNewerAsync(GardenDb db, string folder)
    {
        if (!await db.GetService<IHistoryRepository>().ExistsAsync())
            return;
        var known = db.Database.GetMigrations().ToHashSet();
        var newer = (await db.Database.GetAppliedMigrationsAsync()).Where(migration => !known.Contains(migration)).ToList();
        if (newer.Count > 0)
            throw new FolderTroubleException(
                $"The garden in {folder} was written by a newer Bud Clock (it has {newer[^1]}, this one ends at {known.Max()}).\n"
                    + "Nothing was changed. Start the newer version again, or restore a backup of the older one into a new folder."
            );
    }

    /// <summary>Whether a database file is of an earlier version, which the next start brings up to date.</summary>
    public static bool IsOlder(string file)
    {
        var options = new DbContextOptionsBuilder<GardenDb>();
        GardenDatabase.Configure(options, file);
        using var db = new GardenDb(options.Options);
        return db.Database.GetPendingMigrations().Any();
    }

    /// <summary>The newest migration of a database file that this version does not know; null where it knows all.</summary>
    public static string? Newer(string file)
    {
        var options = new DbContextOptionsBuilder<GardenDb>();
        GardenDatabase.Configure(options, file);
        using var db = new GardenDb(options.Options);
        var known = db.Database.GetMigrations().ToHashSet();
        return db.Database.GetAppliedMigrations().LastOrDefault(migration => !known.Contains(migration));
    }

    /// <summary>
    /// A start that was killed while it migrated leaves its row behind; who holds the folder knows that nobody else is at it.
    /// </summary>
    static async Task ClearStaleAsync(GardenDb db, Action<string> say)
    {
        await db.Database.OpenConnectionAsync();
        await using var command = Rows.Command(db, "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsLock'");
        if (Convert.ToInt64(await command.ExecuteScalarAsync(), CultureInfo.InvariantCulture) == 0)
            return;
        if (await db.Database.ExecuteSqlRawAsync("DELETE FROM \"__EFMigrationsLock\"") > 0)
            say("An earlier start was broken off while it brought the garden up to date. It goes on from there now.");
    }

    /// <summary>The database as it was, beside it, before its tables are changed.</summary>
    static async Task KeepOldAsync(GardenDb db, string folder)
    {
        var applied = await db.GetService<IHistoryRepository>().ExistsAsync()
            ? (await db.Database.GetAppliedMigrationsAsync()).LastOrDefault()
            : null;
        if (applied is null)
            return;
        var copy = Path.Combine(folder, $"garden-before-{applied}.db");
        if (File.Exists(copy))
            return;
        var part = copy + ".part";
        File.Delete(part);
        await db.Database.ExecuteSqlAsync($"VACUUM INTO {part}");
        File.Move(part, copy);
    }

    /// <summary>
    /// Logs of earlier versions say in words where a plant was moved to. It is written out once, so that a place can be renamed
    /// and a past day asked about.
    /// </summary>
    static async Task SettleAsync(GardenDb db)
    {
        await using var command = Rows.Command(db, "PRAGMA user_version");
        if (Convert.ToInt64(await command.ExecuteScalarAsync(), CultureInfo.InvariantCulture) >= Settled)
            return;
        await using var transaction = await db.Database.BeginTransactionAsync();
        string[] kinds = [EntryKinds.Moved.Name, EntryKinds.Repotted.Name, EntryKinds.Renamed.Name];
        var told = await db.Entries.Where(e => kinds.Contains(e.Kind) && e.Sets == null).Select(e => e.PlantId).Distinct().ToListAsync();
        var places = (await Rows.ReadAsync(db, db.Places.AsNoTracking(), [])).Select(p => p.ToPlace()).ToList();
        var keys = await db.Places.ToDictionaryAsync(p => p.Code, p => (int?)p.Id);
        foreach (var plants in told.Chunk(200))
        {
            var entries = await new EntryReader(db, []).ReadAsync(plants);
            foreach (var row in await db.Plants.Where(p => plants.Contains(p.Id)).ToListAsync())
                await SettleAsync(db, row, entries.GetValueOrDefault(row.Id) ?? [], places, keys);
            await db.SaveChangesAsync();
            db.ChangeTracker.Clear();
        }
        await db.Database.ExecuteSqlRawAsync($"PRAGMA user_version = {Settled}");
        await transaction.CommitAsync();
    }

    static async Task SettleAsync(
        GardenDb db,
        PlantRow row,
        IReadOnlyList<Entry> entries,
        IReadOnlyList<Place> places,
        Dictionary<string, int?> keys
    )
    {
        var code = keys.FirstOrDefault(pair => pair.Value == row.PlaceId).Key;
        var plant = row.ToPlant(row.PlaceId is null ? null : code, [], [], entries).Settled(places);
        var sets = plant.Entries.Where(entry => entry.Sets.Count > 0).ToDictionary(entry => entry.Id, entry => entry.ToRow().Sets);
        if (sets.Count == 0)
            return;
        foreach (var entry in await db.Entries.Where(e => sets.Keys.Contains(e.Id)).ToListAsync())
            entry.Sets = sets[entry.Id];
        // From here on the row says how it was before the first change.
        var first = plant.On(DateOnly.MinValue);
        row.Take(first, first.Place is null ? null : keys.GetValueOrDefault(first.Place));
    }

    static void Keep(string folder)
    {
        var marker = Path.Combine(folder, Marker);
        if (!File.Exists(marker))
            Durably.Write(marker, "A garden is kept in this folder. Do not remove this file.\n"u8);
    }

    /// <summary>Remembers that a backup was made, so that it can be named when it is needed.</summary>
    public static void Remember(string folder, string backup, DateTimeOffset at) =>
        File.AppendAllText(
            Path.Combine(folder, Backups),
            string.Create(CultureInfo.InvariantCulture, $"{at:O}\t{Path.GetFullPath(backup)}\n")
        );

    /// <summary>The newest backup of this folder that is still where it was put.</summary>
    public static (DateTimeOffset At, string Path)? LastBackup(string folder)
    {
        var list = Path.Combine(folder, Backups);
        if (!File.Exists(list))
            return null;
        foreach (var line in File.ReadAllLines(list).Reverse())
            if (
                line.Split('\t') is [var at, var path]
                && DateTimeOffset.TryParse(at, CultureInfo.InvariantCulture, DateTimeStyles.None, out var made)
                && File.Exists(path)
            )
                return (made, path);
        return null;
    }
}

using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>
/// Saves what can be read of a damaged database into a new one. Rows that hold what they should not are kept as they are in the
/// old file, which stays beside the new one; nothing is thrown away.
/// </summary>
public static class Salvage
{
    /// <summary>Puts a sound database in the place of a damaged one.</summary>
    /// <returns>How many rows were saved, how many could not be, and where the old file is.</returns>
    public static (int Saved, int Lost, string Kept) Run(string file)
    {
        var (part, kept) = (file + ".mended", Free(file + ".damaged"));
        File.Delete(part);
        var options = new DbContextOptionsBuilder<GardenDb>();
        GardenDatabase.Configure(options, part);
        using (var db = new GardenDb(options.Options))
            db.Database.Migrate();
        SqliteConnection.ClearAllPools(); // nobody else holds either file from here on
        var (saved, lost) = Copy(file, part);
        File.Move(file, kept);
        foreach (var side in (string[])["-wal", "-shm"])
        {
            if (File.Exists(file + side))
                File.Move(file + side, kept + side, overwrite: true);
            File.Delete(part + side);
        }
        Durably.Rename(part, file);
        return (saved, lost, kept);
    }

    static string Free(string name) =>
        Enumerable.Range(0, 1000).Select(n => n == 0 ? name : $"{name}.{n}").First(path => !File.Exists(path));

    static (int Saved, int Lost) Copy(string from, string to)
    {
        using var old = Open(from, SqliteOpenMode.ReadWrite);
        using var fresh = Open(to, SqliteOpenMode.ReadWrite);
        Run(fresh, "PRAGMA journal_mode = DELETE; PRAGMA foreign_keys = OFF");
        var (saved, lost) = (0, 0);
        using var transaction = fresh.BeginTransaction();
        foreach (var table in Tables(fresh).Where(table => !table.StartsWith("__", StringComparison.Ordinal)))
        {
            var (read, failed) = CopyTable(old, fresh, transaction, table);
            (saved, lost) = (saved + read, lost + failed);
        }
        Run(fresh, "DELETE FROM Entries WHERE PlantId NOT IN (SELECT Id FROM Plants)", transaction);
        Run(fresh, "PRAGMA user_version = 0", transaction);
        transaction.Commit();
        return (saved, lost);
    }

    /// <summary>Forwards by key as far as it goes, and then key by key over what cannot be read.</summary>
    static (int Saved, int Lost) CopyTable(SqliteConnection old, SqliteConnection fresh, SqliteTransaction transaction, string table)
    {
        var (saved, lost, last) = (0, 0, long.MinValue);
        var columns = Columns(fresh, table);
        while (lost < 10_000)
        {
            try
            {
                using var select = old.CreateCommand();
                select.CommandText = $"SELECT rowid, * FROM \"{table}\" WHERE rowid > $last ORDER BY rowid";
                select.Parameters.AddWithValue("$last", last);
                using var rows = select.ExecuteReader();
                while (rows.Read())
                {
                    last = rows.GetInt64(0);
                    if (Insert(fresh, transaction, table, columns, rows))
                        saved++;
                    else
                        lost++;
                }
                return (saved, lost);
            }
            catch (SqliteException fault) when (fault.SqliteErrorCode is 11 or 26 && saved > 0)
            {
                (lost, last) = (lost + 1, last + 1);
            }
            catch (SqliteException)
            {
                return (saved, lost + 1); // the table is not there, or its first page is lost
            }
        }
        return (saved, lost);
    }

    static bool Insert(SqliteConnection fresh, SqliteTransaction transaction, string table, HashSet<string> columns, SqliteDataReader row)
    {
        using var insert = fresh.CreateCommand();
        insert.Transaction = transaction;
        var names = Enumerable.Range(1, row.FieldCount - 1).Where(i => columns.Contains(row.GetName(i))).ToList();
        insert.CommandText =
            $"INSERT OR IGNORE INTO \"{table}\" ({string.Join(',', names.Select(i => $"\"{row.GetName(i)}\""))}) "
            + $"VALUES ({string.Join(',', names.Select(i => $"$p{i}"))})";
        foreach (var i in names)
            insert.Parameters.AddWithValue($"$p{i}", row.GetValue(i));
        try
        {
            return insert.ExecuteNonQuery() == 1;
        }
        catch (SqliteException)
        {
            return false; // a column that must hold something holds nothing
        }
    }

    static HashSet<string> Columns(SqliteConnection fresh, string table) =>
        [.. Ask(fresh, $"SELECT name FROM pragma_table_info('{table}')")];

    static List<string> Tables(SqliteConnection fresh) =>
        Ask(fresh, "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%'");

    static List<string> Ask(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        using var rows = command.ExecuteReader();
        var found = new List<string>();
        while (rows.Read())
            found.Add(rows.GetString(0));
        return found;
    }

    static void Run(SqliteConnection connection, string sql, SqliteTransaction? transaction = null)
    {
        using var command = connection.CreateCommand();
        (command.CommandText, command.Transaction) = (sql, transaction);
        command.ExecuteNonQuery();
    }

    static SqliteConnection Open(string file, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = file,
                Mode = mode,
                Pooling = false,
                ForeignKeys = false,
            }.ToString()
        );
        connection.Open();
        return connection;
    }
}

using System.Buffers.Binary;
using Microsoft.Data.Sqlite;

namespace BudClock.Data;

/// <summary>Looks at a database file from outside (the header as in the SQLite file format, section 1.3).</summary>
public static class SqliteFile
{
    const int Header = 100;

    /// <summary>Ends "The file …" where it cannot be a whole database; null where it may be one.</summary>
    public static string? Fault(FileInfo file)
    {
        Span<byte> head = stackalloc byte[Header];
        using var stream = file.Open(FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
        if (stream.ReadAtLeast(head, Header, throwOnEndOfStream: false) < Header || !head.StartsWith("SQLite format 3\0"u8))
            return "is no database any more: its beginning is lost";
        var size = BinaryPrimitives.ReadUInt16BigEndian(head[16..]) is 1 ? 65536 : BinaryPrimitives.ReadUInt16BigEndian(head[16..]);
        var pages = BinaryPrimitives.ReadUInt32BigEndian(head[28..]);
        var wal = new FileInfo(file.FullName + "-wal");
        // With a log beside it the file may still grow to the length that it names.
        return size >= 512 && pages > 0 && stream.Length < (long)size * pages && !(wal.Exists && wal.Length > 0)
            ? "is cut short: its end is lost"
            : null;
    }

    /// <summary>What SQLite finds wrong when it looks at every page of a file; null for a sound garden.</summary>
    public static string? CheckWhole(string file)
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
            return Ask(connection, "PRAGMA integrity_check(1)") is var said && said != "ok" ? said
                : Ask(connection, "SELECT count(*) FROM sqlite_master WHERE name = 'Gardens'") != "1" ? "there is no garden in it"
                : null;
        }
        catch (SqliteException fault)
        {
            return fault.Message;
        }
    }

    static string? Ask(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return Convert.ToString(command.ExecuteScalar(), System.Globalization.CultureInfo.InvariantCulture);
    }
}

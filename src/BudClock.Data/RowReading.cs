using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace BudClock.Data;

/// <summary>Reads rows so that one that cannot be read is named and stops nobody.</summary>
static class Rows
{
    /// <summary>All rows of a query; where one of them cannot be read, the others, and a sentence for each that was left out.</summary>
    public static async Task<List<T>> ReadAsync<T>(GardenDb db, IQueryable<T> query, List<string> unread)
        where T : class
    {
        try
        {
            return await query.ToListAsync();
        }
        catch (Exception fault) when (IsBadValue(fault))
        {
            return await OneByOneAsync(db, query, unread);
        }
    }

    /// <summary>What a database hands out where a column holds what it should not; damage to the file itself is none of these.</summary>
    public static bool IsBadValue(Exception fault) =>
        fault
            is InvalidCastException
                or FormatException
                or OverflowException
                or ArgumentException
                or InvalidOperationException
                or NullReferenceException
                or System.Text.Json.JsonException;

    static async Task<List<T>> OneByOneAsync<T>(GardenDb db, IQueryable<T> query, List<string> unread)
        where T : class
    {
        var table = db.Model.FindEntityType(typeof(T))!.GetTableName()!;
        var count = await query.CountAsync();
        var rows = new List<T>();
        for (var at = 0; at < count; at++)
        {
            try
            {
                rows.AddRange(await query.Skip(at).Take(1).ToListAsync());
            }
            catch (Exception fault) when (IsBadValue(fault))
            {
                unread.Add($"{Name(table)} {at + 1} in the database: {fault.Message.Split('\n')[0]}");
            }
        }
        return rows;
    }

    static string Name(string table) =>
        table switch
        {
            "Places" => "place",
            "Plants" => "plant",
            "Organs" => "part",
            "ForecastsKept" => "kept forecast",
            "Vessels" => "tray",
            "Programmes" => "programme",
            "SheetChanges" => "change of a sheet",
            _ => $"row of {table}",
        };

    /// <summary>One state of the database for all that is read until it is disposed, while others go on writing.</summary>
    public static async Task<DbTransaction> SnapshotAsync(GardenDb db)
    {
        await db.Database.OpenConnectionAsync();
        var snapshot = ((SqliteConnection)db.Database.GetDbConnection()).BeginTransaction(deferred: true);
        await db.Database.UseTransactionAsync(snapshot);
        return snapshot;
    }

    /// <summary>A command in the transaction that the context is in, if any.</summary>
    public static DbCommand Command(GardenDb db, string sql)
    {
        if (db.Database.GetDbConnection().State != System.Data.ConnectionState.Open)
            db.Database.OpenConnection();
        var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = sql;
        command.Transaction = db.Database.CurrentTransaction?.GetDbTransaction();
        return command;
    }
}

using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Turns the codes of SQLite and of the system into sentences: what is wrong, and what to do.</summary>
public static class StorageTrouble
{
    const string Safe = "Nothing was saved just now; what was acknowledged before is safe.";

    /// <summary>What to tell the grower; null for a fault that has nothing to do with the disk.</summary>
    public static string? Say(Exception? fault) =>
        fault switch
        {
            FolderTroubleException trouble => trouble.Message,
            SqliteException sqlite => Say(sqlite.SqliteErrorCode),
            DbUpdateException update => Say(update.InnerException),
            UnauthorizedAccessException =>
                $"The folder of the garden cannot be written: it is read-only here. {Safe} Make it writable again.",
            IOException io => Say(io),
            AggregateException { InnerException: { } inner } => Say(inner),
            InvalidOperationException { InnerException: SqliteException inner } => Say(inner),
            _ => null,
        };

    /// <summary>Codes as in SQLite's list of result codes.</summary>
    static string? Say(int code) =>
        code switch
        {
            13 => Full,
            8 => $"The garden cannot be written: its disk or its files are read-only here. {Safe} Make them writable again.",
            5 or 6 => $"Another program holds the garden just now. {Safe} Close it, and try again.",
            10 => $"The disk does not answer as it should. {Safe} Look after the disk before anything else, and make a backup.",
            14 => $"The garden's file cannot be opened. {Safe} Look whether the folder is still there and may be read.",
            11 or 26 =>
                "The garden's file is damaged. Nothing was changed. Copy the whole folder to a safe place first; then restore the last "
                    + "backup into a new folder, or let \"./budclock check --repair\" save what can be read, on a copy.",
            _ => null,
        };

    static string? Say(IOException fault) =>
        (fault.HResult & 0xFFFF) is 28 or 112 or 39 || fault.Message.Contains("No space left", StringComparison.OrdinalIgnoreCase) ? Full
        : fault.Message.Contains("Read-only file system", StringComparison.OrdinalIgnoreCase)
            ? $"The disk of the garden is read-only here. {Safe} Make it writable again."
        : fault is DirectoryNotFoundException or FileNotFoundException ? $"{fault.Message} {Safe}"
        : null;

    static string Full => $"The disk is full. {Safe} Make room on it, and send this again.";
}

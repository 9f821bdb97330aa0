using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;

namespace BudClock.Web.CommandLine;

/// <summary>How a command ends, and how it says what was wrong.</summary>
static class Exit
{
    public const int Fine = 0;
    public const int WrongInput = 2;
    const long LargestFile = 500L * 1024 * 1024;

    /// <summary>Runs a command; trouble with the disk or the folder ends it with sentences and no trace.</summary>
    public static async Task<int> RunAsync(Func<Task<int>> command)
    {
        try
        {
            return await command();
        }
        catch (Exception fault) when (StorageTrouble.Say(fault) is { } trouble)
        {
            return Wrong(trouble.Split('\n'));
        }
    }

    public static int Wrong(params IEnumerable<string> lines)
    {
        foreach (var line in lines)
            Console.Error.WriteLine(line);
        return WrongInput;
    }

    /// <summary>Reads a garden file; a fault ends the command with a line for each.</summary>
    public static GardenRecord? ReadGarden(FileInfo file)
    {
        if (!file.Exists)
        {
            Wrong($"{file}: no such file");
            return null;
        }
        if (file.Length > LargestFile)
        {
            Wrong($"{file}: is larger than a garden file can be");
            return null;
        }
        var read = GardenFileReader.Read(File.ReadAllText(file.FullName), CultureSheets.Shipped);
        Wrong(read.Faults.Select(fault => fault.ToString()));
        return read.Garden;
    }

    /// <summary>Console output without a byte-order mark and with the line ends as written.</summary>
    public static void Print(string text)
    {
        using var output = Console.OpenStandardOutput();
        output.Write(System.Text.Encoding.UTF8.GetBytes(text));
    }
}

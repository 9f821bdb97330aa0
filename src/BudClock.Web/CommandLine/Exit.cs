using BudClock.Core.Culture;
using BudClock.Core.Formats;

namespace BudClock.Web.CommandLine;

/// <summary>How a command ends, and how it says what was wrong.</summary>
static class Exit
{
    public const int Fine = 0;
    public const int WrongInput = 2;

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

using System.CommandLine;
using BudClock.Core.Formats;
using BudClock.Core.Round;

namespace BudClock.Web.CommandLine;

/// <summary><c>budclock advise FILE [--on DATE] [--tag TAG]</c>: advice as JSON, without a server or a database.</summary>
static class AdviseCommand
{
    public static Command Create()
    {
        var file = new Argument<FileInfo>("FILE") { Description = "A garden file." };
        var on = new Option<string>("--on") { Description = "The day to ask about, as 2031-05-24; today by default." };
        var tag = new Option<string>("--tag") { Description = "One plant only." };
        var command = new Command("advise", "Print the advice for a garden file as JSON.") { file, on, tag };
        command.SetAction(parsed => Run(parsed.GetValue(file)!, parsed.GetValue(on), parsed.GetValue(tag)));
        return command;
    }

    static int Run(FileInfo file, string? on, string? tag)
    {
        if (DayReader.Read(on) is { Fault: { } fault })
            return Exit.Wrong($"--on: {fault}");
        if (Exit.ReadGarden(file) is not { } garden)
            return Exit.WrongInput;

        var day = DayReader.Read(on).Day ?? garden.Garden.DayAt(TimeProvider.System.GetUtcNow());
        var plants = new GardenAssessed(garden, day).Plants;
        if (tag is null)
        {
            Exit.Print(AdviceJson.Write(plants));
            return Exit.Fine;
        }
        if (plants.FirstOrDefault(p => p.Plant.Tag.Equals(tag, StringComparison.OrdinalIgnoreCase)) is not { } plant)
            return Exit.Wrong($"--tag: no plant in this file is tagged \"{tag}\"");
        Exit.Print(AdviceJson.Write(plant));
        return Exit.Fine;
    }
}

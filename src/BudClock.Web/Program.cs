using System.CommandLine;
using BudClock.Web.CommandLine;

var root = new RootCommand("Bud Clock: a log that reads the stage of each plant and says do, hold or look.")
{
    ServeCommand.Create(),
    AdviseCommand.Create(),
    CheckCommand.Create(),
    ExportCommand.Create(),
    ImportCommand.Create(),
    BackupCommand.Create(),
    RestoreCommand.Create(),
    PlantCommand.Create(),
};

var parsed = root.Parse(args);
if (parsed.Errors.Count == 0)
    return await parsed.InvokeAsync();

foreach (var error in parsed.Errors)
    Console.Error.WriteLine(error.Message);
return Exit.WrongInput;

using System.CommandLine;
using BudClock.Web.Hosting;

namespace BudClock.Web.CommandLine;

/// <summary><c>budclock serve</c>: the application, on this machine only.</summary>
static class ServeCommand
{
    public static Command Create()
    {
        var port = new Option<int>("--port") { DefaultValueFactory = _ => 5080, Description = "The port on 127.0.0.1." };
        var data = DataFolder.Option();
        var demo = new Option<bool>("--demo") { Description = "Start with the lighthouse garden." };
        var day = new Option<string>("--day") { Description = "Pretend that it is this day, as 2031-05-24." };
        var command = new Command("serve", "Start the application.") { port, data, demo, day };
        command.SetAction(
            (parsed, stop) =>
                Exit.RunAsync(async () =>
                {
                    var (today, fault) = DayReader.Read(parsed.GetValue(day));
                    if (fault is not null)
                        return Exit.Wrong($"--day: {fault}");
                    if (parsed.GetValue(port) is < 1 or > 65535)
                        return Exit.Wrong("--port: expected 1 to 65535");
                    var options = new ServerOptions
                    {
                        Port = parsed.GetValue(port),
                        DataFolder = DataFolder.Of(parsed.GetValue(data), parsed.GetValue(demo)),
                        Demo = parsed.GetValue(demo),
                        StandIns = parsed.GetValue(demo),
                        Day = today,
                    };
                    await using var app = await Server.BuildAsync(options);
                    try
                    {
                        Console.WriteLine("Opening the garden ...");
                        await app.StartAsync(stop);
                    }
                    catch (IOException)
                    {
                        return Exit.Wrong(
                            $"--port: {options.Port} is taken; another program, perhaps a Bud Clock, listens there. Name another."
                        );
                    }
                    Console.WriteLine($"Bud Clock is at {options.Address}");
                    await app.WaitForShutdownAsync(stop);
                    return Exit.Fine;
                })
        );
        return command;
    }
}

/// <summary>Where the garden is kept.</summary>
static class DataFolder
{
    public static Option<string> Option() => new("--data") { Description = "The folder the garden is kept in (default: data)." };

    public static string Of(string? chosen, bool demo = false) =>
        Path.GetFullPath(chosen ?? (demo ? Path.Combine("data", "demo") : "data"));
}

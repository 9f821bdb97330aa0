using System.CommandLine;
using BudClock.StandIns;

var root = new RootCommand("Simulated outside devices: a thermometer and a forecast service.")
{
    SensorCommand.Create(),
    ForecastCommand.Create(),
};

using var stop = new CancellationTokenSource();
const string Tied = "--tied";
if (args.Contains(Tied))
    _ = Task.Run(() => EndWithParent(stop));
return await root.Parse([.. args.Where(arg => arg != Tied)]).InvokeAsync(cancellationToken: stop.Token);

// Tied to whoever started it and holds its input open: it ends when that one does, however it ends.
static void EndWithParent(CancellationTokenSource stop)
{
    while (Console.In.Read() >= 0) { }
    stop.Cancel();
}

using System.Diagnostics;
using System.Globalization;
using BudClock.Data;
using BudClock.Web.Outside;
using Serilog;

namespace BudClock.Web.StandIns;

/// <summary>
/// Starts the demo's outside devices as processes of their own: a forecast service, and a thermometer for each device that sends over
/// HTTP. They end with the application, however it ends.
/// </summary>
public sealed class StandInProcesses(
    GardenStore store,
    GardenWriter writer,
    TodaysGarden todaysGarden,
    OutsideSettings settings,
    ServerOptions options,
    Clock clock
) : Unending("The stand-in devices")
{
    /// <summary>Seconds from one reading to the next.</summary>
    const int Every = 300;

    /// <summary>The forecast service listens beside the application.</summary>
    const int PortAbove = 10;

    readonly List<Process> running = [];

    /// <inheritdoc/>
    protected override string Unforeseen(Exception fault) => "They could not be started.";

    /// <inheritdoc/>
    protected override async Task<TimeSpan> TurnAsync(CancellationToken stop)
    {
        EndAll();
        if (await todaysGarden.TodayAsync() is not { } today)
            return Timeout.InfiniteTimeSpan;
        var port = options.Port + PortAbove;
        Start("forecast", "--port", port.ToString(CultureInfo.InvariantCulture));
        if (await settings.ForecastAsync() is null)
        {
            var address = $"http://127.0.0.1:{port}/v1/forecast?latitude={{latitude}}&longitude={{longitude}}&days={{days}}";
            await WriteAsync(OutsideSettings.Keep(new ForecastSettings(address)));
            settings.Tell();
        }
        foreach (var device in (await store.DevicesAsync()).Select(kept => kept.Device).Where(device => device.Way == Device.Http))
        {
            var (token, hash) = DeviceToken.New();
            await WriteAsync(Changes.Device(device, hash));
            Start(
                "sensor",
                "--to",
                $"{options.Address}/api/readings",
                "--token",
                token,
                "--place",
                today.PlaceAt(device.Place)?.Setting ?? "glasshouse",
                "--every",
                Every.ToString(CultureInfo.InvariantCulture)
            );
        }
        return Timeout.InfiniteTimeSpan;
    }

    /// <summary>Nobody's act, so that undo passes over it.</summary>
    Task WriteAsync(Change change) =>
        writer.WriteAsync(new(Guid.CreateVersion7(), "stand-ins", clock.GetUtcNow(), "Stand-in devices"), change, written =>
            todaysGarden.TakeInAsync(written, null)
        );

    void Start(params string[] arguments)
    {
        var start = new ProcessStartInfo("dotnet")
        {
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        string[] all =
        [
            Path.Combine(AppContext.BaseDirectory, "BudClock.StandIns.dll"),
            .. arguments,
            "--clock",
            clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture),
            "--seed",
            DemoWeather.Seed.ToString(CultureInfo.InvariantCulture),
            "--tied",
        ];
        foreach (var argument in all)
            start.ArgumentList.Add(argument);
        try
        {
            var process = Process.Start(start)!;
            process.BeginOutputReadLine();
            process.BeginErrorReadLine();
            running.Add(process);
        }
        catch (System.ComponentModel.Win32Exception fault)
        {
            Log.Warning("A stand-in device could not be started: {Fault}", fault.Message);
        }
    }

    /// <inheritdoc/>
    public override async Task StopAsync(CancellationToken cancellationToken)
    {
        await base.StopAsync(cancellationToken);
        EndAll();
    }

    void EndAll()
    {
        foreach (var process in running)
        {
            process.StandardInput.Close();
            process.Dispose();
        }
        running.Clear();
    }
}

using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace BudClock.Web.Tests.Outside;

/// <summary>A process beside the application: a stand-in device, or Debian's own broker. It ends with the test.</summary>
sealed class StandIn : IDisposable
{
    readonly Process process;

    StandIn(string program, IEnumerable<string> arguments)
    {
        var start = new ProcessStartInfo(program)
        {
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (var argument in arguments)
            start.ArgumentList.Add(argument);
        process = Process.Start(start)!;
        process.ErrorDataReceived += (_, said) => Errors += said.Data;
        process.BeginErrorReadLine();
    }

    /// <summary>What it complained of.</summary>
    public string Errors { get; private set; } = "";

    /// <summary>A simulated device.</summary>
    public static StandIn Device(params string[] arguments) =>
        new("dotnet", [Path.Combine(AppContext.BaseDirectory, "BudClock.StandIns.dll"), .. arguments, "--tied"]);

    /// <summary>A broker on a free port.</summary>
    public static async Task<(StandIn Broker, int Port)> BrokerAsync()
    {
        var port = FreePort();
        var program = File.Exists("/usr/sbin/mosquitto") ? "/usr/sbin/mosquitto" : "mosquitto";
        var broker = new StandIn(program, ["-p", $"{port}"]);
        for (var tries = 0; tries < 100; tries++)
            try
            {
                using var probe = new TcpClient();
                await probe.ConnectAsync(IPAddress.Loopback, port);
                return (broker, port);
            }
            catch (SocketException)
            {
                await Task.Delay(50);
            }
        throw new InvalidOperationException($"No broker: {broker.Errors}");
    }

    static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>Waits until it has sent all that it was to send.</summary>
    public async Task EndAsync()
    {
        await process.WaitForExitAsync();
        Assert.Equal((0, ""), (process.ExitCode, Errors));
    }

    public void Dispose()
    {
        if (!process.HasExited)
            process.Kill();
        process.WaitForExit();
        process.Dispose();
    }
}

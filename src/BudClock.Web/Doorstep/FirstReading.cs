namespace BudClock.Web.Doorstep;

/// <summary>Reads a large garden while the grower's browser still opens. It is over before the server ends.</summary>
sealed class FirstReading(TodaysGarden garden) : BackgroundService
{
    protected override Task ExecuteAsync(CancellationToken stoppingToken) =>
        Task.Run(
            async () =>
            {
                try
                {
                    await garden.TodayAsync();
                }
                catch (Exception fault)
                {
                    Serilog.Log.Warning("The garden could not be read yet: {Fault}", fault.Message);
                }
            },
            stoppingToken
        );
}

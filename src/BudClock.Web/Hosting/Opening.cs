using BudClock.Core.Advising;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Demo;
using BudClock.Web.StandIns;
using BudClock.Web.Stepping;
using Microsoft.EntityFrameworkCore;
using Serilog;

namespace BudClock.Web.Hosting;

/// <summary>
/// Opens the garden once the pages are listened for: brings its database up to date, plants the demo where it is asked for, and begins
/// what goes on beside the pages.
/// </summary>
/// <exception cref="FolderTroubleException">The folder cannot be used; the application ends and says why.</exception>
sealed class Opening(
    Opened opened,
    ServerOptions options,
    IDbContextFactory<GardenDb> databases,
    GardenStore store,
    OpenFolder folder,
    PictureFolder pictures,
    Logbook logbook,
    Clock clock,
    TodaysGarden todaysGarden,
    IEnumerable<Beside> beside
) : IHostedLifecycleService
{
    /// <inheritdoc/>
    public async Task StartedAsync(CancellationToken cancellationToken)
    {
        // The sheets are read and checked once, beside the database: a fault in them is met here and not on a grower's page.
        var sheets = Task.Run(() => Assessor.Shipped, cancellationToken);
        if (options.Demo)
            PlantedDemo.CopyTo(options.DataFolder);
        await PrepareAsync(options.DataFolder);
        await sheets;
        if (options.Demo)
            await DemoAsync(cancellationToken);
        opened.Say("Its log is read.");
        opened.SayReady();
        _ = FirstAsync();
        foreach (var one in beside)
            await one.Service.StartAsync(cancellationToken);
    }

    Task PrepareAsync(string path) => GardenFolder.PrepareAsync(databases, path, words => Log.Warning("{Words}", words));

    /// <summary>
    /// A large garden is read while the grower's browser still opens. What cannot be read is said on the page that asks for it.
    /// </summary>
    async Task FirstAsync()
    {
        try
        {
            await todaysGarden.TodayAsync();
        }
        catch (Exception fault)
        {
            Log.Warning("The garden could not be read yet. {Fault}", fault.Message);
        }
        finally
        {
            opened.SayRead();
        }
    }

    async Task DemoAsync(CancellationToken cancel)
    {
        await PlantAsync();
        if (folder.Last() is { } practice && options.Day is null)
        {
            folder.Open(practice);
            await PrepareAsync(practice);
        }
        // A garden that was stepped goes on where it was.
        if (await SteppedState.ReadAsync(store) is { } stepped && options.Day is null)
            clock.StepTo(stepped.Day);
        opened.Say("Its weather is brought up to date.");
        await new DemoWeather(store, logbook, options, clock).BringUpAsync(cancel);
    }

    /// <summary>Only into a folder without a garden: nobody's own garden gets made-up readings and notes.</summary>
    async Task PlantAsync()
    {
        var marker = Path.Combine(options.DataFolder, DemoGarden.Marker);
        if (await store.ReadAsync(acts: false, entriesOf: []) is { } garden)
        {
            if (garden.Garden.Name != DemoGarden.Name && !File.Exists(marker))
                throw new FolderTroubleException(
                    $"There is a garden of your own in this folder, \"{garden.Garden.Name}\". The demo needs a folder of its own: name "
                        + "another with --data, or start without --demo."
                );
            return;
        }
        opened.Say("The demo garden is planted, which is done once.");
        var plan = new ImportPlan(GardenRecord.Nothing, DemoGarden.With(pictures), ImportWay.Add, GardenToo: true);
        await logbook.BeginAsync("The demo garden", ImportRows.Take(plan));
        await File.WriteAllTextAsync(marker, "The demo garden was made in this folder.\n", CancellationToken.None);
    }

    /// <inheritdoc/>
    public async Task StoppingAsync(CancellationToken cancellationToken)
    {
        foreach (var one in beside)
            await one.Service.StopAsync(cancellationToken);
    }

    /// <inheritdoc/>
    public Task StartingAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc/>
    public Task StartAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc/>
    public Task StopAsync(CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc/>
    public Task StoppedAsync(CancellationToken cancellationToken) => Task.CompletedTask;
}

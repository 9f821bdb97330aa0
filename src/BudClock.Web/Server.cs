using System.Globalization;
using System.Net;
using BudClock.Core.Advising;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Api;
using BudClock.Web.Demo;
using BudClock.Web.Doorstep;
using BudClock.Web.Incoming;
using BudClock.Web.Outside;
using BudClock.Web.Photos;
using BudClock.Web.Practising;
using BudClock.Web.StandIns;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.EntityFrameworkCore;
using Serilog;
using Serilog.Events;

namespace BudClock.Web;

/// <summary>Puts the application together. It listens on this machine only.</summary>
public static class Server
{
    const int LargestUpload = 20 * 1024 * 1024;
    const int MostFields = 8000;

    public static async Task<WebApplication> BuildAsync(ServerOptions options)
    {
        GardenFolder.Create(options.DataFolder);
        var held = await FolderLock.TakeAsync(options.DataFolder, Patience) ?? throw new FolderTroubleException(InUse(options.DataFolder));
        try
        {
            return await BuildAsync(options, held);
        }
        catch
        {
            held.Dispose();
            throw;
        }
    }

    /// <summary>A server that is just stopping gets a moment to let go of the folder.</summary>
    static readonly TimeSpan Patience = TimeSpan.FromSeconds(3);

    /// <summary>Why a second one cannot work on a folder.</summary>
    public static string InUse(string folder) =>
        $"Another Bud Clock is running on {folder}. Use its pages, or stop it first; two at once would not see each other's entries.";

    static async Task<WebApplication> BuildAsync(ServerOptions options, FolderLock held)
    {
        // Files lie beside the program, so that it can be started from any folder.
        var builder = WebApplication.CreateBuilder(
            new WebApplicationOptions
            {
                ApplicationName = typeof(Server).Assembly.GetName().Name,
                ContentRootPath = AppContext.BaseDirectory,
            }
        );
        // No setting of the framework, such as another address to listen on, is taken from around.
        builder.Configuration.Sources.Clear();
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.AddServerHeader = false;
            kestrel.Limits.MaxRequestBodySize = LargestUpload;
            kestrel.Listen(IPAddress.Loopback, options.Port);
        });
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Warning()
                .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", LogEventLevel.Error) // says only that forms are not cached
                .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", LogEventLevel.Error) // the keys lie beside the garden
                .MinimumLevel.Override("Microsoft.EntityFrameworkCore", LogEventLevel.Fatal) // told where it was asked
                .MinimumLevel.Override("Polly", LogEventLevel.Fatal) // a service that is away is said on the pages
                .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture, standardErrorFromLevel: LogEventLevel.Verbose)
        );
        AddServices(builder.Services, options, held);

        var app = builder.Build();
        UsePipeline(app);
        await PrepareAsync(app.Services, options);
        return app;
    }

    static void AddServices(IServiceCollection services, ServerOptions options, FolderLock held)
    {
        services.AddGarden(options.DataFolder);
        services.AddSingleton(new Clock(options.Time, options.Day ?? (options.Demo ? DemoGarden.Day : null)));
        services.AddSingleton(options);
        services.AddSingleton<PlaceBook>();
        services.AddSingleton<TodaysGarden>();
        services.AddSingleton<Logbook>();
        AddOutside(services);
        services.AddSingleton<PictureBook>();
        services.AddSingleton<ImportDesk>();
        services.AddSingleton<WaitingTexts>();
        services.AddSingleton(_ => held); // let go of when the server ends
        // Each catches all of its own; what still escaped one would end it, and never the application.
        services.Configure<HostOptions>(host => host.BackgroundServiceExceptionBehavior = BackgroundServiceExceptionBehavior.Ignore);
        services.AddHostedService<FirstReading>();
        services
            .AddDataProtection()
            .SetApplicationName("Bud Clock")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(options.DataFolder, "keys")));
        services.Configure<FormOptions>(form =>
        {
            form.ValueLengthLimit = LargestUpload;
            form.ValueCountLimit = MostFields; // a whole collection in one table
        });
        services.AddRazorPages().AddMvcOptions(mvc => mvc.Filters.Add<OnlyWhatAPageTakes>());
        services.AddRouting(routing => routing.LowercaseUrls = true);
        services.AddSingleton<SteppingDesk>();
        if (options.Demo)
            services.AddHostedService<DemoWeather>();
        if (options.Demo && options.StandIns)
            services.AddHostedService<StandInProcesses>();
    }

    /// <summary>Devices and services outside are slow, wrong or away at times: nothing waits for them long.</summary>
    static void AddOutside(IServiceCollection services)
    {
        services.AddSingleton<OutsideSettings>();
        services.AddSingleton<ReadingIntake>();
        services.AddSingleton<DeviceDoor>();
        services.AddSingleton<ThinningDesk>();
        services.AddSingleton<MqttListener>();
        services.AddHostedService(all => all.GetRequiredService<MqttListener>());
        services.AddSingleton<ForecastWatcher>();
        services.AddHostedService(all => all.GetRequiredService<ForecastWatcher>());
        services.AddSingleton<DigestSender>();
        services.AddHostedService(all => all.GetRequiredService<DigestSender>());
        services.AddHttpClient(DigestSender.Client, client => client.Timeout = TimeSpan.FromSeconds(10));
        services
            .AddHttpClient(ForecastWatcher.Client, client => client.MaxResponseContentBufferSize = 1024 * 1024)
            .AddStandardResilienceHandler(resilience =>
            {
                resilience.AttemptTimeout.Timeout = TimeSpan.FromSeconds(4);
                resilience.TotalRequestTimeout.Timeout = TimeSpan.FromSeconds(12);
                resilience.Retry.MaxRetryAttempts = 1;
                resilience.CircuitBreaker.SamplingDuration = TimeSpan.FromSeconds(30);
            });
    }

    static void UsePipeline(WebApplication app)
    {
        app.Services.GetRequiredService<FolderLock>();
        app.UseMiddleware<Doors>();
        app.UseExceptionHandler(
            new ExceptionHandlerOptions
            {
                ExceptionHandlingPath = "/trouble",
                StatusCodeSelector = Troubles.Status,
                SuppressDiagnosticsCallback = context => Troubles.Told(context.Exception),
            }
        );
        app.UseStatusCodePagesWithReExecute("/trouble", "?code={0}");
        app.UseStaticFiles();
        app.UseRouting();
        app.UseMiddleware<UnitsAtTheEdge>();
        app.MapRazorPages();
        app.MapGardenApi();
        app.MapReadingsApi();
        app.MapCalendarApi();
        app.MapPictures();
    }

    static async Task PrepareAsync(IServiceProvider services, ServerOptions options)
    {
        // The sheets are read and checked once, beside the database: a fault in them is met here and not on a grower's page.
        var sheets = Task.Run(() => Assessor.Shipped);
        var databases = services.GetRequiredService<IDbContextFactory<GardenDb>>();
        await GardenFolder.PrepareAsync(databases, options.DataFolder, words => Log.Warning("{Words}", words));
        await sheets;
        if (!options.Demo)
            return;
        await DemoAsync(services);
        var folder = services.GetRequiredService<OpenFolder>();
        if (folder.Last() is { } practice && options.Day is null)
        {
            folder.Open(practice);
            await GardenFolder.PrepareAsync(databases, practice, words => Log.Warning("{Words}", words));
        }
        // A garden that was stepped goes on where it was.
        if (await SteppedState.ReadAsync(services.GetRequiredService<GardenStore>()) is { } stepped && options.Day is null)
            services.GetRequiredService<Clock>().StepTo(stepped.Day);
    }

    /// <summary>Only into a folder without a garden: nobody's own garden gets made-up readings and notes.</summary>
    static async Task DemoAsync(IServiceProvider services)
    {
        var store = services.GetRequiredService<GardenStore>();
        var marker = Path.Combine(services.GetRequiredService<ServerOptions>().DataFolder, DemoGarden.Marker);
        if (await store.ReadAsync(acts: false, entriesOf: []) is { } garden)
        {
            if (garden.Garden.Name != DemoGarden.Name && !File.Exists(marker))
                throw new FolderTroubleException(
                    $"There is a garden of your own in this folder, \"{garden.Garden.Name}\". The demo needs a folder of its own: name "
                        + "another with --data, or start without --demo."
                );
            return;
        }
        var demo = DemoGarden.With(services.GetRequiredService<PictureFolder>());
        var plan = new ImportPlan(ImportDesk.Nothing, demo, ImportWay.Add, GardenToo: true);
        await services.GetRequiredService<Logbook>().BeginAsync("The demo garden", ImportRows.Take(plan));
        await File.WriteAllTextAsync(marker, "The demo garden was made in this folder.\n");
    }
}

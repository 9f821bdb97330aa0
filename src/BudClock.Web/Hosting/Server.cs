using System.Globalization;
using System.IO.Compression;
using System.Net;
using BudClock.Data;
using BudClock.Web.Api;
using BudClock.Web.Demo;
using BudClock.Web.Doorstep;
using BudClock.Web.Files;
using BudClock.Web.Outside;
using BudClock.Web.Pages;
using BudClock.Web.Photos;
using BudClock.Web.StandIns;
using BudClock.Web.Stepping;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;
using Serilog;
using Serilog.Events;

namespace BudClock.Web.Hosting;

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
            return Build(options, held);
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

    static WebApplication Build(ServerOptions options, FolderLock held)
    {
        // Nothing of the framework's settings, such as another address to listen on, is taken from around; and the files lie beside the
        // program, so that it can be started from any folder.
        var builder = WebApplication.CreateEmptyBuilder(
            new WebApplicationOptions
            {
                ApplicationName = typeof(Server).Assembly.GetName().Name,
                ContentRootPath = AppContext.BaseDirectory,
                WebRootPath = "wwwroot",
            }
        );
        builder.Environment.WebRootFileProvider = new Unwatched(new PhysicalFileProvider(builder.Environment.WebRootPath));
        builder.WebHost.UseKestrelCore();
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
                .MinimumLevel.Override("Microsoft.Extensions.Hosting", LogEventLevel.Fatal) // who started it says why it did not
                .MinimumLevel.Override("Polly", LogEventLevel.Fatal) // a service that is away is said on the pages
                .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture, standardErrorFromLevel: LogEventLevel.Verbose)
        );
        AddServices(builder.Services, options, held);

        var app = builder.Build();
        UsePipeline(app);
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
        AddOutside(services, options);
        services.AddSingleton<PictureBook>();
        services.AddSingleton<ImportDesk>();
        services.AddSingleton<WaitingTexts>();
        services.AddSingleton(_ => held); // let go of when the server ends
        services.AddSingleton<Opened>();
        services.AddHostedService<Opening>();
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
        services.Configure<BrotliCompressionProviderOptions>(brotli => brotli.Level = CompressionLevel.Optimal);
        services.AddResponseCompression(pages => pages.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml"]);
        services.AddRouting(routing => routing.LowercaseUrls = true);
        services.AddSingleton<SteppingDesk>();
        if (options.Demo && options.StandIns)
            services.AddBeside<StandInProcesses>();
    }

    /// <summary>Devices and services outside are slow, wrong or away at times: nothing waits for them long.</summary>
    static void AddOutside(IServiceCollection services, ServerOptions options)
    {
        services.AddSingleton<OutsideSettings>();
        services.AddSingleton<ReadingIntake>();
        services.AddSingleton<DeviceDoor>();
        services.AddSingleton<ThinningDesk>();
        services.AddBeside<MqttListener>();
        services.AddBeside<ForecastWatcher>();
        services.AddBeside<DigestSender>();
        services.AddHttpClient(DigestSender.Client, client => client.Timeout = TimeSpan.FromSeconds(10));
        services
            .AddHttpClient(ForecastWatcher.Client, client => client.MaxResponseContentBufferSize = 1024 * 1024)
            .AddStandardResilienceHandler(resilience =>
            {
                resilience.AttemptTimeout.Timeout = options.Patience;
                resilience.TotalRequestTimeout.Timeout = options.Patience * 3;
                resilience.Retry.MaxRetryAttempts = 1;
                resilience.CircuitBreaker.SamplingDuration = TimeSpan.FromSeconds(30);
            });
    }

    /// <summary>
    /// Work beside the pages. Each catches all of its own; what still escaped one would end it, and never the application.
    /// </summary>
    static void AddBeside<T>(this IServiceCollection services)
        where T : class, IHostedService
    {
        services.AddSingleton<T>();
        services.AddSingleton(all => new Beside(all.GetRequiredService<T>()));
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
        app.UseResponseCompression();
        app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = Keep });
        app.UseMiddleware<Waiting>();
        app.UseRouting();
        app.UseMiddleware<UnitsAtTheEdge>();
        app.MapRazorPages();
        app.MapGardenApi();
        app.MapReadingsApi();
        app.MapCalendarApi();
        app.MapPictures();
    }

    /// <summary>
    /// A file that is asked for by its fingerprint is another file once it changes, and fonts carry their version in their name: a
    /// browser keeps both for a year without asking again. Others are asked about each time.
    /// </summary>
    static void Keep(StaticFileResponseContext file)
    {
        var request = file.Context.Request;
        var named = request.Query.ContainsKey("v") || request.Path.StartsWithSegments("/lib/fonts");
        file.Context.Response.Headers.CacheControl = named ? "public, max-age=31536000, immutable" : "no-cache";
    }
}

using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Data;
using BudClock.Web.Api;
using BudClock.Web.Demo;
using BudClock.Web.Photos;
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

    public static async Task<WebApplication> BuildAsync(ServerOptions options)
    {
        Directory.CreateDirectory(options.DataFolder);
        // Files lie beside the program, so that it can be started from any folder.
        var builder = WebApplication.CreateBuilder(
            new WebApplicationOptions
            {
                ApplicationName = typeof(Server).Assembly.GetName().Name,
                ContentRootPath = AppContext.BaseDirectory,
            }
        );
        builder.WebHost.UseUrls(options.Address);
        builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = LargestUpload);
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Warning()
                .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", LogEventLevel.Error) // says only that forms are not cached
                .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", LogEventLevel.Error) // the keys lie beside the garden
                .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture, standardErrorFromLevel: LogEventLevel.Verbose)
        );
        AddServices(builder.Services, options);

        var app = builder.Build();
        UsePipeline(app);
        await PrepareAsync(app.Services, options);
        // A large garden is read while the grower's browser still opens.
        var garden = app.Services.GetRequiredService<TodaysGarden>();
        app.Lifetime.ApplicationStarted.Register(() => _ = Task.Run(garden.TodayAsync));
        return app;
    }

    static void AddServices(IServiceCollection services, ServerOptions options)
    {
        services.AddGarden(options.DataFolder);
        services.AddSingleton(new Clock(options.Time, options.Day ?? (options.Demo ? DemoGarden.Day : null)));
        services.AddSingleton(options);
        services.AddSingleton<TodaysGarden>();
        services.AddSingleton<Logbook>();
        services.AddSingleton<PictureBook>();
        services
            .AddDataProtection()
            .SetApplicationName("Bud Clock")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(options.DataFolder, "keys")));
        services.Configure<FormOptions>(form => form.ValueLengthLimit = LargestUpload);
        services.AddRazorPages();
        services.AddRouting(routing => routing.LowercaseUrls = true);
        if (options.Demo)
            services.AddHostedService<SimulatedThermometer>();
    }

    static void UsePipeline(WebApplication app)
    {
        app.UseExceptionHandler("/trouble");
        app.UseStatusCodePagesWithReExecute("/trouble", "?code={0}");
        app.Use(Headers);
        app.UseStaticFiles();
        app.UseRouting();
        app.MapRazorPages();
        app.MapGardenApi();
        app.MapPictures();
    }

    /// <summary>Nothing comes from elsewhere, and nothing runs that is not a file of ours.</summary>
    static Task Headers(HttpContext context, RequestDelegate next)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy =
            "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        // A page elsewhere that resolves to this machine must not read the garden.
        if (context.Request.Host.Host is not ("127.0.0.1" or "localhost"))
        {
            context.Response.StatusCode = StatusCodes.Status400BadRequest;
            return Task.CompletedTask;
        }
        return next(context);
    }

    static async Task PrepareAsync(IServiceProvider services, ServerOptions options)
    {
        // The sheets are read and checked once, beside the database: a fault in them is met here and not on a grower's page.
        var sheets = Task.Run(() => Assessor.Shipped);
        await GardenDatabase.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>());
        await sheets;
        if (!options.Demo || await services.GetRequiredService<GardenStore>().ReadAsync() is not null)
            return;
        var demo = DemoGarden.Read();
        await services.GetRequiredService<GardenImport>().ImportAsync(demo);
        await new SimulatedCamera(services.GetRequiredService<PictureFolder>(), services.GetRequiredService<GardenStore>()).TakeAsync(
            demo.Plants,
            DemoGarden.Pictured
        );
    }
}

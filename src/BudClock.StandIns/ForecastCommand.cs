using System.CommandLine;
using System.Globalization;
using System.Net;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Logging;

namespace BudClock.StandIns;

/// <summary><c>forecast</c>: a service that says the weather of the next two weeks, as open weather services do.</summary>
static class ForecastCommand
{
    const int MostDays = 16;

    /// <summary>What can go wrong with it.</summary>
    static readonly string[] Kinds = ["html", "error", "hang", "rubbish"];

    public static Command Create()
    {
        var port = new Option<int>("--port") { DefaultValueFactory = _ => 5090, Description = "The port on 127.0.0.1." };
        var fault = new Option<string?>("--fault") { Description = $"What is wrong with it: {string.Join(", ", Kinds)}." };
        var (clock, step, seed) = (Options.Clock(), Options.Step(), Options.Seed());
        var command = new Command("forecast", "A forecast service.") { port, fault, clock, step, seed };
        command.SetAction(
            async (parsed, stop) =>
            {
                var builder = WebApplication.CreateSlimBuilder();
                builder.Configuration.Sources.Clear();
                builder.Logging.ClearProviders();
                builder.WebHost.ConfigureKestrel(kestrel => kestrel.Listen(IPAddress.Loopback, parsed.GetValue(port)));
                await using var app = builder.Build();
                var (weather, time) = (
                    new SimulatedWeather(parsed.GetValue(seed)),
                    new SimulatedTime(parsed.GetValue(clock), parsed.GetValue(step))
                );
                app.MapGet("/v1/forecast", async (HttpContext context, int? days) =>
                    await AnswerAsync(context, parsed.GetValue(fault), weather, DateOnly.FromDateTime(time.Now(0).UtcDateTime), days ?? 14)
                );
                await app.StartAsync(stop);
                Console.WriteLine($"A forecast is at {app.Urls.Single()}/v1/forecast");
                await Task.Delay(Timeout.Infinite, stop).ContinueWith(_ => { }, TaskScheduler.Default);
                return 0;
            }
        );
        return command;
    }

    static async Task AnswerAsync(HttpContext context, string? fault, SimulatedWeather weather, DateOnly today, int days)
    {
        var stop = context.RequestAborted;
        switch (fault)
        {
            case "html":
                await Results.Content("<!doctype html><h1>Down for maintenance</h1>", "text/html").ExecuteAsync(context);
                break;
            case "error":
                await Results.StatusCode(500).ExecuteAsync(context);
                break;
            case "hang":
                await Task.Delay(Timeout.Infinite, stop).ContinueWith(_ => { }, TaskScheduler.Default);
                break;
            case "rubbish":
                await Results
                    .Json(new { daily = new { time = new[] { "tomorrow" }, temperature_2m_min = new[] { 900 } } })
                    .ExecuteAsync(context);
                break;
            default:
                await Results.Json(Say(weather, today, Math.Clamp(days, 1, MostDays))).ExecuteAsync(context);
                break;
        }
    }

    static object Say(SimulatedWeather weather, DateOnly today, int days)
    {
        var ahead = Enumerable.Range(0, days).Select(today.AddDays).ToList();
        var said = ahead.Select(day => weather.Forecast(today, day)).ToList();
        return new
        {
            daily = new
            {
                time = ahead.Select(day => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)),
                temperature_2m_min = said.Select(day => day.MinC),
                temperature_2m_max = said.Select(day => day.MaxC),
                sunshine_duration = said.Select(day => day.SunHours * 3600),
                relative_humidity_2m_mean = said.Select(day => day.HumidityPct),
            },
        };
    }
}

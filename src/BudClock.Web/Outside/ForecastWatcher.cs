using System.Globalization;
using Newtonsoft.Json;
using Newtonsoft.Json.Linq;
using Polly.Timeout;

namespace BudClock.Web.Outside;

/// <summary>What asking a forecast service gave.</summary>
/// <param name="Fault">Why nothing came, as a sentence; null where something did.</param>
public sealed record ForecastAnswer(IReadOnlyList<ForecastDay> Days, string? Fault);

/// <summary>Asks the forecast service some times a day, and keeps what it said on each day, so that it can be scored.</summary>
public sealed class ForecastWatcher(
    IHttpClientFactory clients,
    OutsideSettings settings,
    TodaysGarden todaysGarden,
    Logbook logbook,
    Clock clock
) : Unending("The forecast")
{
    /// <summary>The name of its client, whose time-outs and retries are set where it is made.</summary>
    public const string Client = "forecast";

    /// <summary>So many days ahead are asked for.</summary>
    public const int Days = 14;

    static readonly TimeSpan Every = TimeSpan.FromHours(3);

    /// <inheritdoc/>
    protected override TimeSpan Latest => TimeSpan.FromMinutes(30);

    /// <summary>When it last answered.</summary>
    public DateTimeOffset? Answered { get; private set; }

    /// <inheritdoc/>
    public override Task StartAsync(CancellationToken cancellationToken)
    {
        settings.Changed += Again;
        return base.StartAsync(cancellationToken);
    }

    /// <inheritdoc/>
    protected override string Unforeseen(Exception fault) =>
        fault is Microsoft.Data.Sqlite.SqliteException or IOException
            ? "The forecast could not be written to the disk."
            : "The forecast service answers in a way that is not understood; the last forecast stands.";

    /// <summary>Asks now and keeps what is said.</summary>
    public Task AskAsync(CancellationToken stop) => TakeTurnAsync(stop);

    /// <inheritdoc/>
    protected override async Task<TimeSpan> TurnAsync(CancellationToken stop)
    {
        if (
            await settings.ForecastAsync() is not { Address.Length: > 0 } service
            || (await todaysGarden.TodayAsync())?.Garden is not { } garden
        )
            return Timeout.InfiniteTimeSpan;
        if (garden.Latitude is null)
        {
            Say("The garden's latitude is not known, so no forecast can be asked for. Enter it under Garden.");
            return Every;
        }
        var answer = await AskAsync(service, garden, stop);
        if (answer.Days.Count > 0)
            await logbook.ForecastAsync(answer.Days, stop);
        Say(answer.Fault);
        if (answer.Fault is null)
            Answered = clock.GetUtcNow();
        return Every;
    }

    async Task<ForecastAnswer> AskAsync(ForecastSettings service, Garden garden, CancellationToken stop)
    {
        var address = service
            .Address.Replace("{latitude}", Written(garden.Latitude), StringComparison.Ordinal)
            .Replace("{longitude}", Written(garden.Longitude ?? 0), StringComparison.Ordinal)
            .Replace("{days}", Days.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal);
        if (!Uri.TryCreate(address, UriKind.Absolute, out var uri) || uri.Scheme is not ("http" or "https"))
            return new([], $"\"{service.Address}\" is no address; it begins with http:// or https://.");
        try
        {
            using var client = clients.CreateClient(Client);
            using var answer = await client.GetAsync(uri, stop);
            return answer.IsSuccessStatusCode
                ? Read(service, await answer.Content.ReadAsStringAsync(stop), clock.Today(garden))
                : new([], $"The forecast service answered {(int)answer.StatusCode}; the last forecast stands.");
        }
        catch (Exception fault)
            when (fault is HttpRequestException or IOException or TimeoutRejectedException or Polly.CircuitBreaker.BrokenCircuitException
                || (fault is OperationCanceledException && !stop.IsCancellationRequested)
            )
        {
            return new([], "The forecast service does not answer; the last forecast stands.");
        }
    }

    static string Written(double? degrees) => (degrees ?? 0).ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>Reads an answer; days that cannot be are left out and said.</summary>
    public static ForecastAnswer Read(ForecastSettings service, string text, DateOnly today)
    {
        JToken root;
        try
        {
            using var json = new JsonTextReader(new StringReader(text)) { DateParseHandling = DateParseHandling.None, MaxDepth = 32 };
            root = JToken.ReadFrom(json);
        }
        catch (JsonException)
        {
            return new([], "The forecast service answered with something that is no forecast (no JSON); the last forecast stands.");
        }
        try
        {
            var (on, min, max) = (List(root, service.Days), List(root, service.Min), List(root, service.Max));
            var (sun, air) = (List(root, service.Sun), List(root, service.Humidity));
            if (on.Count == 0 || (min.Count == 0 && max.Count == 0))
                return new([], $"The forecast's answer has nothing at {service.Days} or {service.Min}; check the mapping.");
            List<ForecastDay> days = [];
            for (var i = 0; i < on.Count; i++)
                if (
                    Day(on[i]) is { } day
                    && day >= today
                    && day < today.AddDays(Days + 2)
                    && Sound(Number(min, i), Number(max, i))
                    && Within(Sun(service, Number(sun, i)), 24)
                    && Within(Number(air, i), 100)
                )
                    days.Add(
                        new(null, day, Number(min, i), Number(max, i))
                        {
                            SunHours = Sun(service, Number(sun, i)),
                            HumidityPct = Number(air, i),
                            Made = today,
                        }
                    );
            return new(
                days,
                days.Count == on.Count(token => Day(token) >= today) && days.Count > 0
                    ? null
                    : "Some days of the forecast cannot be, and were left out."
            );
        }
        catch (JsonException)
        {
            return new([], "A path of the forecast's mapping is not written as a path.");
        }
    }

    static List<JToken> List(JToken root, string? path) =>
        path is null ? []
        : root.SelectTokens(path).ToList() is var found && found is [JArray list] ? [.. list]
        : found;

    static DateOnly? Day(JToken token) =>
        token.ToString() is { Length: >= 10 } text
        && DateOnly.TryParseExact(text[..10], "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : null;

    static double? Number(List<JToken> list, int i) =>
        i < list.Count && list[i] is JValue { Value: not null } value && value.Type is JTokenType.Float or JTokenType.Integer
            ? list[i].Value<double>()
            : null;

    static double? Sun(ForecastSettings service, double? written) => service.SunSeconds ? written / 3600 : written;

    static bool Within(double? number, double most) => number is null || (number >= 0 && number <= most);

    static bool Sound(double? min, double? max) =>
        double.IsFinite(min ?? 0)
        && double.IsFinite(max ?? 0)
        && !(min is < -80 or > 60)
        && !(max is < -80 or > 70)
        && !(min > max)
        && (min ?? max) is not null;
}

using System.CommandLine;
using System.Globalization;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using MQTTnet;

namespace BudClock.StandIns;

/// <summary><c>sensor</c>: a thermometer that sends its readings over HTTP, or to a broker.</summary>
static class SensorCommand
{
    public static Command Create()
    {
        var to = new Option<string?>("--to") { Description = "The address that takes readings." };
        var token = new Option<string?>("--token") { Description = "The token that the address asks for." };
        var broker = new Option<string?>("--mqtt") { Description = "A broker, as 127.0.0.1:1883." };
        var topic = new Option<string>("--topic") { DefaultValueFactory = _ => "home/sensor", Description = "The topic it speaks under." };
        var place = new Option<string>("--place") { DefaultValueFactory = _ => "glasshouse", Description = "What it hangs in." };
        var every = new Option<double>("--every") { DefaultValueFactory = _ => 60, Description = "Seconds from one reading to the next." };
        var count = new Option<int>("--count")
        {
            DefaultValueFactory = _ => int.MaxValue,
            Description = "How many readings to send, then end.",
        };
        var (clock, step, seed, faults) = (Options.Clock(), Options.Step(), Options.Seed(), Options.Faults());
        var command = new Command("sensor", "A thermometer.") { to, token, broker, topic, place, every, count, clock, step, seed, faults };
        command.SetAction(
            async (parsed, stop) =>
            {
                var weather = new SimulatedWeather(parsed.GetValue(seed));
                var kind = SimulatedPlace.Kinds[parsed.GetValue(place)!];
                var wrong = new Faults(parsed.GetValue(faults)!);
                await using var way = await Way.OpenAsync(
                    parsed.GetValue(to),
                    parsed.GetValue(token),
                    parsed.GetValue(broker),
                    parsed.GetValue(topic)!,
                    stop
                );
                var time = new SimulatedTime(parsed.GetValue(clock), parsed.GetValue(step));
                for (var number = 0; number < parsed.GetValue(count) && !stop.IsCancellationRequested; number++)
                {
                    var reading = kind.At(weather, time.Now(number));
                    foreach (var message in wrong.Messages(number, reading, way.Write))
                        await SendAsync(way, message, stop);
                    if (number + 1 < parsed.GetValue(count))
                        await Task.Delay(TimeSpan.FromSeconds(parsed.GetValue(every)), stop);
                }
                return 0;
            }
        );
        return command;
    }

    /// <summary>A thermometer that is not heard goes on measuring.</summary>
    static async Task SendAsync(Way way, string message, CancellationToken stop)
    {
        try
        {
            await way.SendAsync(message, stop);
        }
        catch (Exception fault)
            when (fault is HttpRequestException or MQTTnet.Exceptions.MqttCommunicationException or TaskCanceledException)
        {
            Console.Error.WriteLine($"Not heard: {fault.Message}");
        }
    }

    /// <summary>How it sends.</summary>
    abstract class Way : IAsyncDisposable
    {
        public static async Task<Way> OpenAsync(string? to, string? token, string? broker, string topic, CancellationToken stop)
        {
            if (to is not null)
                return new Http(new(to), token);
            var parts = (broker ?? "127.0.0.1:1883").Split(':');
            var client = new MqttClientFactory().CreateMqttClient();
            await client.ConnectAsync(
                new MqttClientOptionsBuilder().WithTcpServer(parts[0], int.Parse(parts[1], CultureInfo.InvariantCulture)).Build(),
                stop
            );
            return new Mqtt(client, topic);
        }

        public abstract string Write(SimulatedReading reading);

        public abstract Task SendAsync(string message, CancellationToken stop);

        public virtual ValueTask DisposeAsync() => ValueTask.CompletedTask;
    }

    sealed class Http(Uri to, string? token) : Way
    {
        readonly HttpClient client = new() { Timeout = TimeSpan.FromSeconds(10) };

        public override string Write(SimulatedReading reading) => JsonSerializer.Serialize(reading, JsonSerializerOptions.Web);

        public override async Task SendAsync(string message, CancellationToken stop)
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, to)
            {
                Content = new StringContent(message, Encoding.UTF8, "application/json"),
            };
            if (token is not null)
                request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
            using var answer = await client.SendAsync(request, stop);
            if (!answer.IsSuccessStatusCode)
                Console.Error.WriteLine($"{(int)answer.StatusCode}: {await answer.Content.ReadAsStringAsync(stop)}");
        }
    }

    /// <summary>Its message is laid out as home sensors do it: measures within a group, the time in seconds since 1970.</summary>
    sealed class Mqtt(IMqttClient client, string topic) : Way
    {
        public override string Write(SimulatedReading reading) =>
            JsonSerializer.Serialize(
                new
                {
                    time = reading.At.ToUnixTimeSeconds(),
                    sensors = new[]
                    {
                        new
                        {
                            temperature = reading.TemperatureC,
                            humidity = reading.HumidityPct,
                            lux = reading.Lux,
                        },
                    },
                }
            );

        public override Task SendAsync(string message, CancellationToken stop) =>
            client.PublishAsync(new MqttApplicationMessageBuilder().WithTopic(topic).WithPayload(message).Build(), stop);

        public override async ValueTask DisposeAsync()
        {
            await client.DisconnectAsync();
            client.Dispose();
            await base.DisposeAsync();
        }
    }
}

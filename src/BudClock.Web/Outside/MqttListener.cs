using BudClock.Data;
using MQTTnet;
using MQTTnet.Exceptions;
using Serilog;

namespace BudClock.Web.Outside;

/// <summary>
/// Listens to the broker for the devices that speak to it; a broker that hangs or goes away is tried again, later each time.
/// </summary>
public sealed class MqttListener(GardenStore store, OutsideSettings settings, ReadingIntake intake, Clock clock) : BackgroundService
{
    static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);
    static readonly TimeSpan Soonest = TimeSpan.FromSeconds(2);
    static readonly TimeSpan Latest = TimeSpan.FromMinutes(5);
    const int TlsPort = 8883;
    const int LargestMessage = 64 * 1024;

    CancellationTokenSource again = new();

    /// <summary>What there is to say of the broker: null while it is well or none is set.</summary>
    public string? Trouble { get; private set; }

    /// <summary>It is connected.</summary>
    public bool Connected { get; private set; }

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        settings.Changed += () => again.Cancel();
        await OutsideSettings.QuietStartAsync(again.Token, stoppingToken);
        var wait = Soonest;
        while (!stoppingToken.IsCancellationRequested)
        {
            again = new();
            using var either = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken, again.Token);
            try
            {
                if (await ListenAsync(either.Token))
                    wait = Soonest;
                await Task.Delay(wait, either.Token);
                wait = wait * 2 < Latest ? wait * 2 : Latest;
            }
            catch (OperationCanceledException)
            {
                wait = Soonest; // the settings changed, or the application ends
            }
        }
    }

    /// <summary>Listens until the connection is lost.</summary>
    /// <returns>It was connected.</returns>
    async Task<bool> ListenAsync(CancellationToken stop)
    {
        var devices = (await store.DevicesAsync())
            .Select(kept => kept.Device)
            .Where(d => d is { Way: Device.Mqtt, Topic: not null })
            .ToList();
        if (await settings.BrokerAsync() is not { Host.Length: > 0 } broker || devices.Count == 0)
        {
            Trouble = null;
            await Task.Delay(Timeout.Infinite, stop);
            return false;
        }
        using var client = new MqttClientFactory().CreateMqttClient();
        var lost = new TaskCompletionSource();
        client.DisconnectedAsync += _ =>
        {
            lost.TrySetResult();
            return Task.CompletedTask;
        };
        client.ApplicationMessageReceivedAsync += message => TakeAsync(devices, message.ApplicationMessage, stop);
        try
        {
            if (await ConnectAsync(client, broker, devices, stop) is var code && code is not MqttClientConnectResultCode.Success)
            {
                Trouble = $"The broker at {broker.Host} refused ({code}). Check the name and the password.";
                return false;
            }
            (Connected, Trouble) = (true, null);
            await lost.Task.WaitAsync(stop);
            Trouble = $"The broker at {broker.Host} hung up; it is called again.";
            return true;
        }
        catch (Exception fault)
            when (fault is MqttCommunicationException or MqttClientUnexpectedDisconnectReceivedException or TimeoutException
                || (fault is OperationCanceledException && !stop.IsCancellationRequested)
            )
        {
            Trouble = $"The broker at {broker.Host}, port {broker.Port}, does not answer; it is called again.";
            Log.Warning("{Trouble} {Fault}", Trouble, fault.Message);
            return false;
        }
        finally
        {
            Connected = false;
        }
    }

    async Task<MqttClientConnectResultCode> ConnectAsync(
        IMqttClient client,
        BrokerSettings broker,
        List<Device> devices,
        CancellationToken stop
    )
    {
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(stop);
        patience.CancelAfter(Patience);
        var options = new MqttClientOptionsBuilder().WithTcpServer(broker.Host, broker.Port).WithTimeout(Patience);
        if (broker.Port == TlsPort)
            options = options.WithTlsOptions(tls => tls.UseTls());
        if (broker.User is not null)
            options = options.WithCredentials(broker.User, settings.Open(broker.Password) ?? "");
        var answer = await client.ConnectAsync(options.Build(), patience.Token);
        if (answer.ResultCode is not MqttClientConnectResultCode.Success)
            return answer.ResultCode;
        var topics = new MqttClientSubscribeOptionsBuilder();
        foreach (var topic in devices.Select(device => device.Topic!).Distinct())
            topics = topics.WithTopicFilter(topic);
        await client.SubscribeAsync(topics.Build(), patience.Token);
        return answer.ResultCode;
    }

    async Task TakeAsync(List<Device> devices, MqttApplicationMessage message, CancellationToken stop)
    {
        foreach (
            var device in devices.Where(d =>
                MqttTopicFilterComparer.Compare(message.Topic, d.Topic!) is MqttTopicFilterCompareResult.IsMatch
            )
        )
        {
            if (message.Payload.Length > LargestMessage)
            {
                intake.NotRead(device, $"{message.Payload.Length / 1024} kB is too much for one message");
                continue;
            }
            try
            {
                var read = MessageReader.Read(device, message.ConvertPayloadToString() ?? "", clock.GetUtcNow());
                if (read.Reading is { } reading)
                    await intake.TakeAsync(device, [reading], stop);
                else
                    intake.NotRead(device, read.Fault!);
            }
            catch (Exception fault) when (!stop.IsCancellationRequested)
            {
                Log.Warning(fault, "A message of {Device} could not be kept.", device.Code);
                intake.NotRead(device, "it could not be written to the disk");
            }
        }
    }
}

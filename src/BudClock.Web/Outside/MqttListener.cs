using BudClock.Data;
using MQTTnet;
using MQTTnet.Exceptions;
using Serilog;

namespace BudClock.Web.Outside;

/// <summary>
/// Listens to the broker for the devices that speak to it; a broker that hangs or goes away is tried again, later each time.
/// </summary>
public sealed class MqttListener(GardenStore store, OutsideSettings settings, ReadingIntake intake, Clock clock) : Unending("The broker")
{
    /// <summary>How long a broker may take to answer.</summary>
    public TimeSpan Patience { get; set; } = TimeSpan.FromSeconds(10);
    const int TlsPort = 8883;
    const int LargestMessage = 64 * 1024;

    /// <summary>It is connected.</summary>
    public bool Connected { get; private set; }

    /// <inheritdoc/>
    public override Task StartAsync(CancellationToken cancellationToken)
    {
        settings.Changed += Again;
        return base.StartAsync(cancellationToken);
    }

    /// <inheritdoc/>
    protected override string Unforeseen(Exception fault) =>
        fault is MqttCommunicationException or TimeoutException or OperationCanceledException
            ? $"The broker at {called} does not answer; it is called again."
            : $"The broker at {called} answers in a way that is not understood; it is called again.";

    string called = "";

    /// <summary>Listens until the connection is lost.</summary>
    protected override async Task<TimeSpan> TurnAsync(CancellationToken stop)
    {
        var all = (await store.DevicesAsync()).Select(kept => kept.Device).Where(d => d is { Way: Device.Mqtt, Topic: not null }).ToList();
        var devices = all.Where(device => Device.TopicFault(device.Topic) is null).ToList();
        if (all.Except(devices).FirstOrDefault() is { } wrong)
            Say($"{wrong.Name} is not listened to: {Device.TopicFault(wrong.Topic)}");
        if (await settings.BrokerAsync() is not { Host.Length: > 0 } broker || devices.Count == 0)
            return Timeout.InfiniteTimeSpan;
        called = $"{broker.Host}, port {broker.Port},";
        using var client = new MqttClientFactory().CreateMqttClient();
        var lost = new TaskCompletionSource();
        client.DisconnectedAsync += _ =>
        {
            lost.TrySetResult();
            return Task.CompletedTask;
        };
        client.ApplicationMessageReceivedAsync += message => TakeAsync(devices, message.ApplicationMessage, stop);
        var besides = all.Count > devices.Count ? Trouble : null;
        try
        {
            if (await ConnectAsync(client, broker, devices, stop) is var code && code is not MqttClientConnectResultCode.Success)
            {
                Say($"The broker at {broker.Host} refused ({code}). Check the name and the password.");
                return TimeSpan.Zero;
            }
            Connected = true;
            Say(besides);
            await lost.Task.WaitAsync(stop);
            Say($"The broker at {broker.Host} hung up; it is called again.");
            return TimeSpan.Zero;
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

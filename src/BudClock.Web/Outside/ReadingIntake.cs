using System.Collections.Concurrent;
using BudClock.Core.Climate;
using BudClock.Data;

namespace BudClock.Web.Outside;

/// <summary>What became of readings that were sent.</summary>
/// <param name="Kept">How many were kept, those that are not believed among them.</param>
/// <param name="Doubts">Why some are not believed.</param>
public sealed record TakenIn(int Kept, IReadOnlyList<string> Doubts);

/// <summary>
/// The one way in for what devices send: what cannot be is marked, everything is kept, and it is remembered how each device does.
/// </summary>
public sealed class ReadingIntake(GardenStore store, Logbook logbook, Clock clock)
{
    const int Remembered = 30;
    static readonly TimeSpan FarEnough = TimeSpan.FromHours(26);

    readonly ConcurrentDictionary<string, Recent> recent = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>The last readings of a device, when each came, and the last message that could not be read.</summary>
    sealed class Recent
    {
        public Lock Gate { get; } = new();
        public Queue<ClimateReading> Readings { get; } = new();
        public Queue<(DateTimeOffset At, DateTimeOffset Came)> Arrivals { get; } = new();
        public (DateTimeOffset At, string Words)? Unread { get; set; }
    }

    /// <summary>Keeps readings of a device. What this has returned from is on disk.</summary>
    public async Task<TakenIn> TakeAsync(Device device, IReadOnlyList<ClimateReading> readings, CancellationToken cancel = default)
    {
        var now = clock.GetUtcNow();
        var judged = readings
            .Select(reading => reading with { Place = device.Place, Device = device.Code, Doubt = Believed.Doubt(reading, now) })
            .ToList();
        var kept = await logbook.MeasureAsync(judged, cancel);
        await KnownAsync(device);
        Remember(device, judged, now);
        return new(kept, [.. judged.Select(reading => reading.Doubt).OfType<string>()]);
    }

    /// <summary>Remembers that a message could not be read; nothing is kept of it but that.</summary>
    public void NotRead(Device device, string fault)
    {
        var known = recent.GetOrAdd(device.Code, _ => new());
        lock (known.Gate)
            known.Unread = (clock.GetUtcNow(), fault);
    }

    void Remember(Device device, List<ClimateReading> readings, DateTimeOffset now)
    {
        var known = recent.GetOrAdd(device.Code, _ => new());
        lock (known.Gate)
        {
            foreach (var reading in readings.OrderBy(reading => reading.At).TakeLast(Remembered))
                known.Readings.Enqueue(reading);
            // One at a time is how a device tells its clock; a batch was kept back.
            if (readings.Count == 1)
                known.Arrivals.Enqueue((readings[0].At, now));
            while (known.Readings.Count > Remembered)
                known.Readings.Dequeue();
            while (known.Arrivals.Count > 8)
                known.Arrivals.Dequeue();
            known.Unread = null;
        }
    }

    /// <summary>What a device sent before the application was started, read once.</summary>
    async Task KnownAsync(Device device)
    {
        if (recent.ContainsKey(device.Code))
            return;
        var before = await store.OfDeviceAsync(device, clock.GetUtcNow() - FarEnough);
        var known = new Recent();
        foreach (var reading in before.TakeLast(Remembered))
            known.Readings.Enqueue(reading);
        if (known.Readings.Count == 0 && await store.LastOfDeviceAsync(device) is { } last)
            known.Readings.Enqueue(last);
        recent.TryAdd(device.Code, known);
    }

    /// <summary>How each device does now.</summary>
    public async Task<IReadOnlyList<DeviceState>> StatesAsync(IReadOnlyList<Device> devices)
    {
        var states = new List<DeviceState>(devices.Count);
        foreach (var device in devices)
        {
            await KnownAsync(device);
            states.Add(State(device, recent[device.Code]));
        }
        return states;
    }

    DeviceState State(Device device, Recent known)
    {
        var now = clock.GetUtcNow();
        lock (known.Gate)
        {
            var state = DeviceState.Read(device, known.Readings, now, HourOff.ByArrival(known.Arrivals));
            return known.Unread is { } unread && state.Health is DeviceHealth.New or DeviceHealth.Silent or DeviceHealth.Well
                ? state with
                {
                    Health = DeviceHealth.Doubted,
                    Words = $"The last message of {device.Name} could not be read: {unread.Words}.",
                }
                : state;
        }
    }

    /// <summary>A device was set up anew or taken away.</summary>
    public void Forget(string device) => recent.TryRemove(device, out _);
}

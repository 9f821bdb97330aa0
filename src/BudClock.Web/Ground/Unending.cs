using System.Diagnostics;
using Serilog;

namespace BudClock.Web.Ground;

/// <summary>
/// What runs in the background: turn after turn, whatever a turn meets. A fault is said on the page of its own, stands in the log once a
/// minute at most, and is followed by a longer wait each time; none ends the application, and none makes it spin.
/// </summary>
/// <param name="what">What it does, for the log: "The forecast".</param>
public abstract class Unending(string what) : BackgroundService
{
    static readonly TimeSpan BetweenLines = TimeSpan.FromMinutes(1);

    CancellationTokenSource again = new();
    long? told;

    /// <summary>The wait after a first fault; it doubles with each one that follows.</summary>
    public TimeSpan Soonest { get; set; } = TimeSpan.FromSeconds(2);

    /// <summary>The longest wait after a fault.</summary>
    protected virtual TimeSpan Latest => TimeSpan.FromMinutes(5);

    /// <summary>The first moments after a start belong to the grower's page.</summary>
    protected virtual TimeSpan QuietStart => TimeSpan.FromSeconds(5);

    /// <summary>What is wrong, as a sentence for the page; null while all is well.</summary>
    /// <remarks>It stands until a turn has shown that it is over.</remarks>
    public string? Trouble { get; private set; }

    string? said;

    /// <summary>Says what is wrong; null that all is well.</summary>
    protected void Say(string? trouble) => (Trouble, said) = (trouble, trouble);

    /// <summary>How many turns ended in a fault, one after the other.</summary>
    public int Faults { get; private set; }

    /// <summary>One turn of its work.</summary>
    /// <returns>How long to wait for the next; <see cref="Timeout.InfiniteTimeSpan"/> until <see cref="Again"/>.</returns>
    /// <remarks>Whatever it throws is a fault of the turn; what it says by <see cref="Say"/> without throwing is one too.</remarks>
    protected abstract Task<TimeSpan> TurnAsync(CancellationToken stop);

    /// <summary>What to say on the page of a fault that the turn did not see coming.</summary>
    protected abstract string Unforeseen(Exception fault);

    /// <summary>The settings changed: the next turn comes at once, and nothing is held against it.</summary>
    public void Again() => again.Cancel();

    /// <inheritdoc/>
    protected sealed override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Yield(); // a start waits for nobody
        using (var first = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken, again.Token))
            await WaitAsync(QuietStart, first.Token);
        while (!stoppingToken.IsCancellationRequested)
        {
            if (again.IsCancellationRequested)
                (again, Faults) = (new(), 0);
            using var either = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken, again.Token);
            var wait = await TakeTurnAsync(either.Token);
            await WaitAsync(wait, either.Token);
        }
    }

    /// <summary>Takes a turn now, with whatever it meets, and says how long it is until the next.</summary>
    public async Task<TimeSpan> TakeTurnAsync(CancellationToken stop)
    {
        try
        {
            said = null;
            var wait = await TurnAsync(stop);
            Trouble = said;
            if (said is not null)
                return Later(null);
            Faults = 0;
            return wait;
        }
        catch (Exception) when (stop.IsCancellationRequested)
        {
            return TimeSpan.Zero; // the settings changed, or the application ends
        }
        catch (Exception fault)
        {
            Trouble = Unforeseen(fault);
            return Later(fault);
        }
    }

    TimeSpan Later(Exception? fault)
    {
        if (told is not { } last || Stopwatch.GetElapsedTime(last) >= BetweenLines)
        {
            told = Stopwatch.GetTimestamp();
            Log.Warning("{What}: {Trouble} {Fault}", what, Trouble, fault?.Message ?? "");
        }
        var wait = Soonest * Math.Pow(2, Math.Min(Faults++, 16));
        return wait < Latest ? wait : Latest;
    }

    static async Task WaitAsync(TimeSpan wait, CancellationToken stop) =>
        await Task.Delay(wait, stop).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
}

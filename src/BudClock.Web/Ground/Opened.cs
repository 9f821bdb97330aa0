namespace BudClock.Web.Ground;

/// <summary>Whether the garden is open yet, and what is being done until it is: a page answers meanwhile and says so.</summary>
public sealed class Opened
{
    readonly TaskCompletionSource done = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>What is being done, as words for a page: "The garden is read."</summary>
    public string Doing { get; private set; } = "The garden is opened.";

    /// <summary>Ends when the garden is open; never where it could not be opened, for then the application ends.</summary>
    public Task Done => done.Task;

    /// <summary>Says what is done next.</summary>
    public void Say(string doing) => Doing = doing;

    /// <summary>The garden is open.</summary>
    public void End() => done.TrySetResult();
}

/// <summary>Work that goes on beside the pages, begun once the garden is open.</summary>
/// <param name="Service">Started and stopped with the application.</param>
public sealed record Beside(IHostedService Service);

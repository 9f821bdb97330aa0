namespace BudClock.Web.Ground;

/// <summary>How far the garden is open, and what is being done until it is: a page answers meanwhile and says so.</summary>
public sealed class Opened
{
    readonly TaskCompletionSource ready = new(TaskCreationOptions.RunContinuationsAsynchronously);
    readonly TaskCompletionSource read = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>What is being done, as words for a page: "Its log is read."</summary>
    public string Doing { get; private set; } = "Its folder is looked at.";

    /// <summary>Ends when it can be asked and written to; never where it could not be opened, for then the application ends.</summary>
    public Task Ready => ready.Task;

    /// <summary>Ends when it has been read, and a page comes at once.</summary>
    public Task Read => read.Task;

    /// <summary>Says what is done next.</summary>
    public void Say(string doing) => Doing = doing;

    /// <summary>It can be asked and written to.</summary>
    public void SayReady() => ready.TrySetResult();

    /// <summary>It has been read, or could not be, which the page that asks for it says.</summary>
    public void SayRead() => read.TrySetResult();
}

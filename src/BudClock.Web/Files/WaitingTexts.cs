namespace BudClock.Web.Files;

/// <summary>Texts that were read and shown, and wait to be taken in, so that no page carries them to and fro.</summary>
public sealed class WaitingTexts
{
    const int Most = 8;

    readonly Lock gate = new();
    readonly List<(Guid Id, string Text)> waiting = [];

    /// <summary>Keeps a text under an id of its own.</summary>
    public Guid Keep(string text)
    {
        var id = Guid.CreateVersion7();
        lock (gate)
        {
            if (waiting.Count >= Most)
                waiting.RemoveAt(0);
            waiting.Add((id, text));
        }
        return id;
    }

    /// <summary>Another text under an id that is kept; where it is not kept any more, nothing.</summary>
    public void Put(Guid id, string text)
    {
        lock (gate)
            if (waiting.FindIndex(one => one.Id == id) is >= 0 and var at)
                waiting[at] = (id, text);
    }

    /// <summary>A text that waits; null once others came after it.</summary>
    public string? Find(Guid? id)
    {
        lock (gate)
            return waiting.Find(one => one.Id == id).Text;
    }
}

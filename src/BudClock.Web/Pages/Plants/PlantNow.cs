namespace BudClock.Web.Pages.Plants;

/// <summary>What a plant is doing on the day it is added, and the entry that says so.</summary>
public sealed record PlantNow(string Name, string Words, EntryKind Kind, string Text)
{
    const string WhenAdded = "when it was added";

    public static readonly IReadOnlyList<PlantNow> All =
    [
        new("growing", "Growing, or in sound leaf", EntryKinds.Leaves, "firm"),
        new("spike", "In spike or in bud", EntryKinds.SpikeStarted, WhenAdded),
        new("bloom", "In bloom", EntryKinds.BloomOpened, WhenAdded),
        new("resting", "Resting, without a leaf", EntryKinds.LeavesGone, WhenAdded),
        new("store", "In store, dry", EntryKinds.Stored, WhenAdded),
    ];

    public static PlantNow? Find(string? name) => All.FirstOrDefault(now => now.Name == name);

    public EntryDraft Entry(DateOnly on) => new(Kind, on, Text: Text);
}

using BudClock.Core.Advising;

namespace BudClock.Core.Round;

/// <summary>What to show of all plants, and in which order. Left out means any.</summary>
public sealed record BenchQuery
{
    /// <summary>Words that all have to be found: in tag, names, place, phase, pot, medium or the log's free words.</summary>
    public string? Search { get; init; }

    /// <summary>Only this place, by its code.</summary>
    public string? Place { get; init; }

    /// <summary>Only this phase, by its name.</summary>
    public string? Phase { get; init; }

    /// <summary>Only plants of this sheet, by its name.</summary>
    public string? Sheet { get; init; }

    /// <summary>One of <see cref="Questions"/>, by its name; another asks nothing.</summary>
    public string? Only { get; init; }

    /// <summary>One of <see cref="Sorts"/>; null for the order of walking.</summary>
    public string? Sort { get; init; }

    /// <summary>Ready-made questions, by name.</summary>
    public static readonly IReadOnlyDictionary<string, Func<Assessment, bool>> Questions = new Dictionary<string, Func<Assessment, bool>>
    {
        ["asks today"] = a => a.Main?.Verdict is Verdict.Do or Verdict.Look,
        ["in spike"] = a => a.Recorded.Any(lane => lane is { Kind: LaneKind.Spike, Open: true }),
        ["roots moving"] = a => a.Recorded.Any(lane => lane is { Kind: LaneKind.Roots, Open: true }),
        ["not measured for two weeks"] = a => a.Situation?.Series.Any(s => s.Moves && s.Last.On <= a.On.AddDays(-14)) == true,
        ["recovering"] = a => a.Phase.Phase is Lanes.Phase.Recovering,
        ["newcomers"] = a => a.Phase.Phase is Lanes.Phase.Newcomer,
        ["gone"] = a => a.Gone,
    };

    /// <summary>The orders that can be asked for.</summary>
    public static readonly IReadOnlyList<string> Sorts = ["walk", "tag", "name", "verdict", "phase"];

    /// <summary>The plants that fit. Plants that are gone are shown only when asked for.</summary>
    public IReadOnlyList<Assessment> Of(IEnumerable<Assessment> plants, IReadOnlyList<Place> places)
    {
        var names = places.ToDictionary(p => p.Code, p => p.Name);
        var words = (Search ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        var question = Only is not null ? Questions.GetValueOrDefault(Only) : null;
        var walk = places.Select((place, index) => (place.Code, index)).ToDictionary(p => p.Code, p => p.index);
        var fitting = plants.Where(a =>
            a.Gone == (Only == "gone")
            && question?.Invoke(a) != false
            && (Place is null || a.Plant.Place == Place)
            && (Phase is null || a.Phase.Phase.Name() == Phase)
            && (Sheet is null || a.Situation?.Sheet.Name == Sheet)
            && words.All(word => Finds(a, names, word))
        );
        return
        [
            .. (
                Sort switch
                {
                    "tag" => fitting.OrderBy(a => a.Plant.Tag, StringComparer.OrdinalIgnoreCase),
                    "name" => fitting.OrderBy(a => a.Plant.Called, StringComparer.OrdinalIgnoreCase),
                    "verdict" => fitting.OrderBy(a => a.Main is null ? 9 : (int)a.Main.Verdict),
                    "phase" => fitting.OrderBy(a => a.Phase.Phase),
                    _ => fitting.OrderBy(a => a.Plant.Place is { } code ? walk.GetValueOrDefault(code, int.MaxValue) : int.MaxValue),
                }
            ).ThenBy(a => a.Plant.Tag, StringComparer.OrdinalIgnoreCase),
        ];
    }

    static bool Finds(Assessment a, Dictionary<string, string> places, string word)
    {
        var plant = a.Plant;
        return In(plant.Tag)
            || In(plant.Name)
            || In(plant.Taxon)
            || plant.Synonyms.Any(In)
            || In(plant.Source)
            || In(plant.Parent)
            || In(plant.Medium)
            || In(plant.Pot?.Kind)
            || In(a.Phase.Phase.Words())
            || In(plant.Place is { } code ? places.GetValueOrDefault(code) : "unplaced")
            || In(a.Situation?.Sheet.Title)
            || plant.Entries.Any(entry => !entry.Struck && In(entry.Text));

        bool In(string? text) => text?.Contains(word, StringComparison.OrdinalIgnoreCase) == true;
    }
}

using BudClock.Core.Advising;

namespace BudClock.Web.Drawing;

/// <summary>The pot seen from the top with its tubers or corms, each with its state.</summary>
public sealed record PotFromAbove(IReadOnlyList<PotTuber> Tubers, string Summary)
{
    public const double Size = 170;
    const double Rim = 60;

    /// <summary>Null for a plant on which no tuber or corm is declared.</summary>
    public static PotFromAbove? Of(Assessment plant)
    {
        var tubers = plant.Plant.Organs.Where(organ => organ.Kind is Organ.Tuber or Organ.Corm).ToList();
        if (tubers.Count == 0)
            return null;
        var journal = plant.Book.Journal;
        var drawn = tubers
            .Select(
                (tuber, index) =>
                {
                    var own = journal.Entries.Where(e => e.Organ == tuber.Id).ToList();
                    var gone = own.LastOrDefault(e => e.Kind == EntryKinds.Lost || e.Kind == EntryKinds.Cut);
                    var state = gone is not null ? "lost" : own.LastOrDefault(e => e.Kind == EntryKinds.Tuber)?.Text ?? "not looked at";
                    var around = tubers.Count == 1 ? 0 : 2 * Math.PI * index / tubers.Count;
                    var far = tubers.Count == 1 ? 0 : Rim * 0.55;
                    var size = own.LastOrDefault(e => e.Kind == EntryKinds.BulbSize)?.Amount?.InBase;
                    return new PotTuber(
                        new(far * Math.Sin(around), -far * Math.Cos(around)),
                        Math.Clamp(9 + (size ?? 3), 9, 20),
                        tuber.Label ?? tuber.Id,
                        state
                    );
                }
            )
            .ToList();
        return new(drawn, string.Join(", ", drawn.Select(tuber => $"{tuber.Label}: {tuber.State}")));
    }
}

/// <param name="State">firm, soft, mouldy, sprouting, lost, or not looked at.</param>
public sealed record PotTuber(Point At, double Radius, string Label, string State)
{
    public string Look => State.Replace(' ', '-');
}

using BudClock.Core.Advising;

namespace BudClock.Web.Pages.Plants;

/// <summary>One organ of a plant: what it does, since when, how it ended, what was last measured.</summary>
public sealed record PartView(Organ Organ, string Words, string Does, string? Measured, string? From)
{
    public static IReadOnlyList<PartView> Of(Assessment plant)
    {
        var journal = plant.Book.Journal;
        return
        [
            .. from organ in plant.Plant.Organs
            let lanes = plant.Lanes.Where(lane => lane.Organ == organ.Id && !lane.Expected).ToList()
            let own = journal.Entries.Where(e => e.Organ == organ.Id).ToList()
            orderby lanes.Any(lane => lane.Open) descending, lanes.Select(lane => (DateOnly?)lane.From).Max() descending, organ.Id
            select new PartView(
                organ,
                Capital(organ.Words),
                Says(lanes, own, plant.On),
                Last(own, plant.On),
                plant.Book.Words(organ.Parent)
            ),
        ];
    }

    static string Says(List<Lane> lanes, List<Entry> own, DateOnly today)
    {
        if (own.LastOrDefault(e => e.Kind == EntryKinds.Lost || e.Kind == EntryKinds.Cut) is { } end)
            return $"{end.Kind.Words.ToLowerInvariant()}{(end.Text is null ? "" : $" ({end.Text})")}, {Dates.Near(end.On, today)}";
        var open = lanes.Where(lane => lane.Open).ToList();
        if (open.Count > 0)
            return string.Join(
                ", ",
                open.Select(lane => $"{lane.Kind.ToString().ToLowerInvariant()} since {Dates.Near(lane.From, today)}")
            );
        if (lanes.MaxBy(lane => lane.To) is { To: { } to } last)
            return $"{last.Ending ?? "ended"}, {Dates.Near(to, today)}";
        return own.LastOrDefault(e => e.Kind.States.Length > 0) is { Text: { } state } seen
            ? $"{state}, {Dates.Near(seen.On, today)}"
            : "on record";
    }

    static string? Last(List<Entry> own, DateOnly today) =>
        own.LastOrDefault(e => e.Amount?.Dimension is Dimension.Length) is { Amount: { } amount } last
            ? $"{amount}, {Dates.Near(last.On, today)}"
            : null;

    static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}

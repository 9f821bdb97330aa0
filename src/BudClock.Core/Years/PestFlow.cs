using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Years;

/// <summary>Rule H1: pests on a plant from the sighting to the all-clear, with who stands there too.</summary>
/// <param name="Case">What was found, done and looked at.</param>
/// <param name="Beside">Other plants at its place, of which nothing is known to be on them.</param>
/// <param name="Next">What is said of it today; null for nothing.</param>
public sealed record PestFlow(Assessment Plant, PestCase Case, IReadOnlyList<Assessment> Beside, Advice? Next)
{
    /// <summary>Every case that is open today, the newest sighting first.</summary>
    public static IReadOnlyList<PestFlow> Open(IReadOnlyList<Assessment> plants)
    {
        var here = plants.Where(plant => !plant.Gone).ToList();
        return
        [
            .. here.Where(plant => plant.Situation.Pests is { Open: true })
                .Select(plant => new PestFlow(
                    plant,
                    plant.Situation.Pests!,
                    [.. here.Where(other => Shares(other, plant) && other.Situation.Pests is not { Open: true })],
                    plant.Settled.Where(advice => advice.Topic == Topics.Health && advice.Rule == "H1").MinBy(advice => advice.Verdict)
                ))
                .OrderByDescending(flow => flow.Case.Sign.On),
        ];
    }

    static bool Shares(Assessment other, Assessment plant) =>
        other != plant && other.Plant.Place is { } place && place == plant.Plant.Place;
}

/// <summary>A treatment as this garden used it, and what came of it.</summary>
/// <param name="Treatment">In the words of the log; "treated" where nobody wrote with what.</param>
/// <param name="Cleared">Cases that it was the last treatment of, and that ended with clear looks.</param>
/// <param name="CameBack">Of those, cases that were seen again on the same plant within <see cref="BackDays"/> days.</param>
/// <param name="Open">Cases that go on.</param>
/// <param name="Days">From the sighting to the all-clear, the mean; null where none was cleared.</param>
public sealed record Worked(string Treatment, int Cleared, int CameBack, int Open, double? Days)
{
    /// <summary>Seen again within so many days it was not over.</summary>
    public const int BackDays = 60;

    /// <summary>Every treatment on record, the most used first.</summary>
    public static IReadOnlyList<Worked> Read(IEnumerable<Assessment> plants) =>
        [
            .. plants
                .SelectMany(Cases)
                .GroupBy(one => one.Treatment, StringComparer.OrdinalIgnoreCase)
                .Select(group => new Worked(
                    group.Key,
                    group.Count(one => one.Days is not null),
                    group.Count(one => one.Back),
                    group.Count(one => one.Days is null),
                    group.Average(one => one.Days)
                ))
                .OrderByDescending(one => one.Cleared + one.Open)
                .ThenBy(one => one.Treatment, StringComparer.Ordinal),
        ];

    static IEnumerable<(string Treatment, int? Days, bool Back)> Cases(Assessment plant)
    {
        var spans = plant.Situation.Spans<PestsFound>();
        for (var i = 0; i < spans.Count; i++)
            if (Last(plant, spans[i]) is { } treated)
                yield return (
                    string.IsNullOrWhiteSpace(treated.Text) ? "treated" : treated.Text,
                    spans[i].End is { } end ? end.On.DayNumber - spans[i].Opened.On.DayNumber : null,
                    spans[i].End is { } over && i + 1 < spans.Count && spans[i + 1].Opened.On <= over.On.AddDays(BackDays)
                );
    }

    static Entry? Last(Assessment plant, Span span) =>
        plant
            .Situation.Journal.Of(EntryKinds.Treated)
            .LastOrDefault(e => e.On >= span.Opened.On && !(e.On > span.End?.On) && !PestsFound.Clears(e));
}

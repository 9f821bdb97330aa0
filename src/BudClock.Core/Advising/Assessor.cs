using BudClock.Core.Advising.Feeding;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising;

/// <summary>Entry to journal to lanes to situation to advice: the one way through the job.</summary>
public sealed class Assessor
{
    readonly CultureSheets sheets;

    /// <exception cref="InvalidDataException">A sheet names an unknown rule, or lacks a threshold that one needs.</exception>
    public Assessor(CultureSheets sheets)
    {
        this.sheets = sheets;
        var missing = Advisers.MissingOn(sheets.All);
        if (missing.Count > 0) throw new InvalidDataException(string.Join(Environment.NewLine, missing));
    }

    public static Assessor Shipped { get; } = new(CultureSheets.Shipped);

    /// <summary>Assesses by the shipped sheets with a grower's changes in them.</summary>
    public static Assessor With(IReadOnlyList<SheetChange> changes) => changes.Count == 0 ? Shipped : new(CultureSheets.Shipped.With(changes));

    /// <summary>Assesses one plant of a garden on a day, past, present or to come.</summary>
    public Assessment Assess(Plant plant, GardenRecord garden, DateOnly today) =>
        Assess(plant, Surroundings.Of(plant, garden, today), today);

    /// <summary>Assesses one plant with its surroundings already known.</summary>
    public Assessment Assess(Plant plant, Surroundings around, DateOnly today)
    {
        var sheet = sheets.For(plant);
        var journal = PlantJournal.UpTo(today, plant.Entries);
        var lanes = LaneReader.Read(journal);
        var season = sheet?.Rule("W1") is null ? new Season(null, null, null) : Season.Read(journal);
        var phase = PhaseRead.Read(journal, lanes, season, plant.Acquired, today);
        var ended = journal.Last(EntryKinds.Died, EntryKinds.GivenAway);
        if (sheet is null) return new(plant, today, phase, lanes, [], null) { Ended = ended };

        var now = new Situation
        {
            Plant = plant,
            Sheet = sheet,
            Today = today,
            Journal = journal,
            Lanes = lanes,
            Phase = phase,
            Season = season,
            Series = SeriesReader.Read(journal, lanes, plant.Organs),
            Roots = RootsSeen.Read(journal, season.Woke),
            Bulbs = journal.State(EntryKinds.Bulbs, _ => true),
            Around = around,
            Rest = RestState.Read(journal, lanes, sheet, around.Garden.Southern),
        };
        return new(plant, today, phase, lanes, ended is null ? Ask(now) : [], now) { Ended = ended };
    }

    static IReadOnlyList<Advice> Ask(Situation now) => FeedGoesWithWater.In(Judgement.Settle(
        from adviser in Advisers.All
        where now.Sheet.Rule(adviser.Rule) is not null
        let advice = adviser.Advise(now)
        where advice is not null
        select advice), now.Today);
}

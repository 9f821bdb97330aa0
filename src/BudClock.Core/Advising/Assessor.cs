using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising;

/// <summary>Entry to journal to lanes to evidence to proposals to guards to advice: the one way through the job.</summary>
public sealed class Assessor
{
    readonly CultureSheets sheets;

    /// <summary>The sheets it assesses by.</summary>
    public CultureSheets Sheets => sheets;

    /// <exception cref="InvalidDataException">A sheet names an unknown rule, or lacks a threshold that one needs.</exception>
    public Assessor(CultureSheets sheets)
    {
        this.sheets = sheets;
        var missing = Advisers.MissingOn(sheets.All);
        if (missing.Count > 0)
            throw new InvalidDataException(string.Join(Environment.NewLine, missing));
    }

    /// <summary>Assesses by the shipped sheets.</summary>
    public static Assessor Shipped { get; } = new(CultureSheets.Shipped);

    /// <summary>Assesses by the shipped sheets with a grower's changes in them.</summary>
    public static Assessor With(IReadOnlyList<SheetChange> changes) =>
        changes.Count == 0 ? Shipped : new(CultureSheets.Shipped.With(changes));

    /// <summary>Assesses one plant of a garden on a day, past, present or to come.</summary>
    public Assessment Assess(Plant plant, GardenRecord garden, DateOnly today) =>
        Assess(
            plant.On(today),
            new GardenAround(garden with { Plants = [.. garden.Plants.Select(other => other.On(today))] }, today).Of(plant.On(today)),
            today
        );

    /// <summary>Assesses one plant with its surroundings already known.</summary>
    /// <remarks>A plant that cannot be assessed is that plant's Look with the reason, never everybody's failure.</remarks>
    public Assessment Assess(Plant plant, Surroundings around, DateOnly today)
    {
        var sheet = sheets.For(plant);
        var journal = PlantJournal.UpTo(today, plant.Entries);
        var lanes = LaneReader.Read(journal);
        var ended = journal.Last(EntryKinds.Died, EntryKinds.GivenAway);
        var now = Weigh(plant, sheet, journal, lanes, around, today);
        try
        {
            return new(plant, today, now.Phase, lanes, ended is null ? Ask(now) : [], now) { Ended = ended };
        }
        catch (Exception fault)
            when (fault
                    is ArithmeticException
                        or InvalidOperationException
                        or ArgumentException
                        or KeyNotFoundException
                        or NullReferenceException
            )
        {
            return new(plant, today, new(Phase.Growing, null), lanes, ended is null ? [CannotSay(fault, today)] : [], now)
            {
                Ended = ended,
                Fault = fault,
            };
        }
    }

    static Situation Weigh(
        Plant plant,
        CultureSheet sheet,
        PlantJournal journal,
        IReadOnlyList<Lane> lanes,
        Surroundings around,
        DateOnly today
    )
    {
        var astir = Astir.Read(journal, lanes, sheet);
        // What may be awake is not judged as asleep: whether it rests is asked first.
        var dryRest = sheet.Is(Traits.DryRest) && astir is null ? DryRest.Read(journal) : DryRest.None;
        return new()
        {
            Plant = plant,
            Sheet = sheet,
            Today = today,
            Journal = journal,
            Lanes = lanes,
            DryRest = dryRest,
            Series = SeriesReader.Read(journal, lanes, plant.Organs),
            NewRoots = NewRoots.Read(journal, dryRest.Woke),
            Around = around,
            Astir = astir,
            Rest = astir is null ? RestState.Read(journal, lanes, sheet, around.Garden.Southern) : null,
        };
    }

    static IReadOnlyList<Advice> Ask(Situation now)
    {
        var proposals = new List<Advice>();
        foreach (var adviser in Advisers.All)
            if (now.Sheet.Rule(adviser.Rule) is not null)
                proposals.AddRange(adviser.Advise(now));
        return Judgement.InOrder(GoesWithWater.In(Judgement.Settle(Guards.Over(now, proposals)), now.Today));
    }

    static Advice CannotSay(Exception fault, DateOnly today) =>
        new(
            Topics.Health,
            "V9",
            Care.Look,
            Verdict.Look,
            today,
            $"Bud Clock cannot judge this plant just now ({fault.Message.TrimEnd('.')}): look at it as you would without. Numbers of "
                + $"your own on its sheet are the likeliest cause.",
            []
        );
}

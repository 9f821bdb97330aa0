using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising;

/// <summary>Entry to journal to lanes to evidence to proposals to guards to advice: the one way through the job.</summary>
public sealed class Assessor
{
    readonly CultureSheets sheets;
    readonly Dictionary<string, RuleBook> books;

    /// <summary>The sheets it assesses by.</summary>
    public CultureSheets Sheets => sheets;

    /// <exception cref="InvalidDataException">A sheet names a rule that nobody knows, with its file and line.</exception>
    public Assessor(CultureSheets sheets)
    {
        this.sheets = sheets;
        if (Advisers.UnknownOn(sheets.All) is { Count: > 0 } unknown)
            throw new InvalidDataException(string.Join(Environment.NewLine, unknown));
        books = sheets.All.ToDictionary(sheet => sheet.Name, sheet => new RuleBook(sheet));
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
        var journal = PlantJournal.UpTo(today, plant.Entries);
        var now = new Situation(plant, sheets.For(plant), journal, around, today);
        var ended = journal.Last(EntryKinds.Died, EntryKinds.GivenAway);
        try
        {
            var settled = ended is null ? Settled(now) : [];
            var said = Asking.Sort(now, settled);
            return new(plant, today, now.Phase, now.Lanes, said.Today, now)
            {
                Ended = ended,
                Waiting = said.Waiting,
                Settled = settled,
            };
        }
        catch (Exception fault) when (Boundary.Keeps(fault))
        {
            // What is asked of it later finds an empty log, which every reading can take.
            var unread = new Situation(plant, now.Sheet, PlantJournal.UpTo(today, []), new(around.Garden), today);
            IReadOnlyList<Advice> look = ended is null ? [CannotSay(fault, today)] : [];
            return new(plant, today, new(Phase.Growing, null), [], look, unread)
            {
                Ended = ended,
                Settled = look,
                Fault = fault,
            };
        }
    }

    /// <summary>What stops an act today that no rule proposed, as a cause would ask for it; null where no guard does.</summary>
    public Stop? Against(Situation now, Care care) => Guards.Against(books[now.Sheet.Name], now, care);

    IReadOnlyList<Advice> Settled(Situation now)
    {
        var (book, proposals) = (books[now.Sheet.Name], new List<Advice>());
        foreach (var adviser in book.Advisers)
            proposals.AddRange(adviser.Advise(now));
        var settled = GoesWithWater.In(Judgement.Settle(Guards.Over(book, now, proposals)), now.Today);
        return Judgement.OneVoice(Judgement.InOrder(settled));
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

using BudClock.Core.Planning;

namespace BudClock.Web.Pages.Triggers;

/// <summary>What the garden wants of its grower in the next twelve weeks, week by week.</summary>
public sealed class SeasonModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public IReadOnlyList<(DateOnly Monday, IReadOnlyList<AgendaItem> Items)> Weeks { get; private set; } = [];

    public void OnGet() => Weeks = Agenda.ByWeek(Today.Agenda, Today.Day);

    /// <summary>What kind of thing it is, in a word.</summary>
    public static string Word(AgendaKind kind) =>
        kind switch
        {
            AgendaKind.Start => "Begin",
            AgendaKind.Move => "Move",
            AgendaKind.Turn => "Turn",
            AgendaKind.LastDay => "Last day",
            AgendaKind.Look => "Look",
            AgendaKind.Season => "Season",
            _ => "Bloom",
        };
}

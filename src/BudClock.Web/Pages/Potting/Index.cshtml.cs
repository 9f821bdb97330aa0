using BudClock.Core.Advising.Repotting;
using BudClock.Core.Planning;
using BudClock.Web.Drawing;

namespace BudClock.Web.Pages.Potting;

/// <summary>All repot windows of the garden: open now, next expected, held, missed, and what helps until then.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public RepotBoard Board => Today.Repots;

    public WindowChart? Chart => WindowChart.Of(Board, Today);

    /// <summary>Plants that want nothing, whose roots open and shut a window all the same.</summary>
    public IEnumerable<RepotRow> ByRoots =>
        Board.Others.Where(row => row.Window.Roots is not null || row.Window is { State: WindowState.Shut, From: not null });

    /// <summary>How a window stands, in a word or two.</summary>
    public string Stands(RepotWindow window) =>
        window.State switch
        {
            WindowState.AtOnce => "at once",
            WindowState.Closing => window.DaysLeft(Today.Day) switch
            {
                0 => "open, closes today",
                1 => "open, 1 day left",
                var days => $"open, {days} days left",
            },
            WindowState.Open => window.DaysLeft(Today.Day) is { } days ? $"open, about {days} days left" : "open",
            WindowState.Held => window.AfterCold is { } day ? $"held until {Dates.Short(day)}" : "held",
            WindowState.Missed => window.From is { } next ? $"missed, next from about {Dates.Near(next, Today.Day)}" : "missed",
            _ => window.From is { } next ? $"shut, next from about {Dates.Near(next, Today.Day)}" : "shut",
        };

    public void OnGet() { }
}

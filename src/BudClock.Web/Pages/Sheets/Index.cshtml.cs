using BudClock.Core.Culture;

namespace BudClock.Web.Pages.Sheets;

/// <summary>All culture sheets, those with plants of this garden first.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public IEnumerable<(CultureSheet Sheet, int Plants, bool Changed)> Rows
    {
        get
        {
            var plants = Today.Plants.Where(a => !a.Gone).ToLookup(a => a.Situation?.Sheet.Name);
            return CultureSheets
                .Shipped.All.Select(sheet =>
                    (sheet, plants[sheet.Name].Count(), Today.SheetChanges.Any(change => change.Sheet == sheet.Name))
                )
                .OrderByDescending(row => row.Item2)
                .ThenBy(row => row.sheet.Title, StringComparer.Ordinal);
        }
    }

    public void OnGet() { }
}

using BudClock.Core.Potting;

namespace BudClock.Web.Pages.Young;

/// <summary>A page of the young plants.</summary>
public abstract class YoungPage(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    /// <summary>How a batch is raised.</summary>
    public static RaisingMethod Method(YoungBatch batch) => PottingTable.Shipped.Method(batch.Method)!;

    /// <summary>"Leaf on a wick of Saintpaulia, pink".</summary>
    public static string Called(YoungBatch batch) => batch.Name.Length > 0 ? $"{Method(batch).Title}, {batch.Name}" : Method(batch).Title;

    /// <summary>"9 started, 4 rooted, 1 lost, 4 waiting".</summary>
    public static string Counted(YoungBatch batch) =>
        string.Join(
            ", ",
            BatchCount
                .Kinds.Select(what => (what, batch.Of(what)))
                .Where(pair => pair.Item2 > 0)
                .Select(pair => $"{pair.Item2} {pair.what}")
                .Prepend($"{batch.Number} started")
                .Concat(batch.Waiting > 0 ? [$"{batch.Waiting} waiting"] : [])
        );

    /// <summary>When it is likely to show, as a range.</summary>
    public string Expected(YoungBatch batch) =>
        $"{Method(batch).Shows} {Dates.Range(batch.Set.AddDays(Method(batch).FromDays), batch.Set.AddDays(Method(batch).ToDays))}";
}

using BudClock.Core.Advising;
using Microsoft.AspNetCore.WebUtilities;

namespace BudClock.Web.Pages;

/// <summary>How many ask at a place, or everywhere.</summary>
public sealed record AskingView(RoundView Round, string? Place);

/// <summary>One tap for all plants of a place that want the same plain watering.</summary>
public sealed record WaterAllView(Place? Place, IReadOnlyList<string> Tags, bool IsPart = false);

/// <summary>What one entry changed on the Round: the line's answer, the rows and the counters. The rest of the board stays.</summary>
public sealed record RoundPart(Said Said, RoundView Round, IReadOnlyList<RowView> Rows, Place? Place, IReadOnlyList<string> Watering)
{
    /// <summary>The part for one plant; null where more of the board changes than its row, and it has to be drawn anew.</summary>
    /// <param name="address">The address of the page that the entry was written on.</param>
    public static RoundPart? Of(string? address, GardenDay before, GardenDay now, string tag, Said said)
    {
        if (!Uri.TryCreate(address, UriKind.Absolute, out var page) || page.AbsolutePath != "/" || before.Day != now.Day)
            return null;
        if (before.Find(tag) is not { } was || now.Find(tag) is not { } plant || Moves(was, plant))
            return null;
        var query = QueryHelpers.ParseQuery(page.Query);
        var place = query.TryGetValue("place", out var code) ? (string?)code : null;
        var shown = RoundView.Of(before, place, query.TryGetValue("selected", out var chosen) ? (string?)chosen : null, null, false);
        if (IsUrgent(shown, was) || !shown.Round.AllAsking.Contains(was))
            return null;
        var next = shown.Round.AllAsking.SkipWhile(other => !shown.Shows(other)).Skip(1).FirstOrDefault()?.Plant.Tag;
        var after = RoundView.Of(now, place, shown.ByDefault ? null : shown.Chosen?.Plant.Tag, next, false) with { IsPart = true };
        if (IsUrgent(after, plant) || after.Round.Later.Contains(plant))
            return null;
        var tags = new[] { tag, shown.Chosen?.Plant.Tag, after.Chosen?.Plant.Tag }.OfType<string>().Distinct();
        return new(
            said,
            after,
            [.. tags.Select(now.Find).OfType<Assessment>().Select(row => new RowView(after, row, after.Round.AllAsking.Contains(row)))],
            now.PlaceOf(plant.Plant),
            after.Round.Asking.FirstOrDefault(round => round.Place?.Code == plant.Plant.Place)?.Watering ?? []
        );
    }

    /// <summary>It stands elsewhere now, is gone, or shares its water with others whose rows change too.</summary>
    static bool Moves(Assessment was, Assessment plant) =>
        was.Plant.Place != plant.Plant.Place || plant.Plant.Vessel is not null || was.Plant.Vessel is not null || plant.Gone || was.Gone;

    static bool IsUrgent(RoundView round, Assessment plant) => round.Round.First.Contains(plant);
}

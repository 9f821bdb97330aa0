using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Years;

namespace BudClock.Web.Pages.Health;

/// <summary>Pests from the sighting to the all-clear, what is kept apart and where, and what worked here.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public IReadOnlyList<PestFlow> Flows { get; private set; } = [];

    public IReadOnlyList<Worked> Worked { get; private set; } = [];

    /// <summary>Plants in quarantine or under treatment, by the place where they stand, in walking order.</summary>
    public IReadOnlyList<(string Place, IReadOnlyList<Assessment> Apart, int Others)> Map { get; private set; } = [];

    public static string Caution => Cautions.All.Single(caution => caution.Name == "treatments").Words;

    /// <summary>What was done about it and when, or what is to do.</summary>
    public static string Treatment(PestCase found, DateOnly today) =>
        found.Treated is { } treated
            ? $"{(found.Predators ? "Predators let loose" : "Treated")} {Dates.Near(treated.On, today)}"
                + (treated.Text is null ? "" : $": {treated.Text}")
            : "Rinsed off, dried, treated by the label";

    /// <summary>Why it is kept apart: ", in quarantine until 7 Jun".</summary>
    public string Apart(Assessment plant)
    {
        var until = plant.Situation.Arrival?.QuarantineUntil;
        return (until >= Today.Day ? $", in quarantine until {Dates.Near(until.Value, Today.Day)}" : "")
            + (plant.Situation.Pests is { Open: true } pests ? $", {pests.Words}" : "");
    }

    public void OnGet()
    {
        IReadOnlyList<Assessment> plants = [.. Today.Plants];
        (Flows, Worked) = (PestFlow.Open(plants), Core.Years.Worked.Read(plants));
        var here = plants.Where(plant => !plant.Gone).ToLookup(plant => plant.Plant.Place);
        Map =
        [
            .. Today
                .Places.Select(place => (place.Code, place.Name))
                .Append((Code: null!, Name: "No place"))
                .Select(place => (place.Name, Apart: here[place.Code].Where(IsApart).ToList(), All: here[place.Code].Count()))
                .Where(place => place.Apart.Count > 0)
                .Select(place => (place.Name, (IReadOnlyList<Assessment>)place.Apart, place.All - place.Apart.Count)),
        ];
    }

    /// <summary>Kept apart today, or with pests on it.</summary>
    bool IsApart(Assessment plant) => plant.Situation.Arrival?.QuarantineUntil >= Today.Day || plant.Situation.Pests is { Open: true };
}

using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Web.Drawing;
using BudClock.Web.Photos;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>One plant: its year, its verdict, what it has measured, its pictures, its log.</summary>
[RequestSizeLimit(PictureIntake.RequestLimit)]
public sealed class PlantModel(TodaysGarden todaysGarden, PictureBook pictures, Logbook logbook) : GardenPage(todaysGarden)
{
    /// <summary>Show the whole log instead of its newest part.</summary>
    [BindProperty(SupportsGet = true)]
    public bool All { get; set; }

    public PlantView View { get; private set; } = null!;

    public IActionResult OnGet(string tag)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        View = new(Today, plant, All);
        return IsHtmx ? Partial("_Plant", View) : Page();
    }

    /// <summary>Takes pictures as one act; those that cannot be taken are named, the others are kept.</summary>
    public async Task<IActionResult> OnPostPictureAsync(string tag, List<IFormFile>? files, string? caption, string? on, string? returnUrl)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        var (taken, faults) = (new List<EntryDraft>(), new List<string>());
        var (day, fault) = DayReader.Read(on);
        if (fault is not null || day > Today.Day)
            faults.Add($"The day of the picture: {fault ?? $"{Dates.Long(day!.Value)} is still to come"}.");
        else if (files is not { Count: > 0 })
            faults.Add("Choose a picture first.");
        foreach (var file in faults.Count == 0 ? files! : [])
        {
            var (entry, wrong) = await pictures.TakeAsync(file, Today.Day, caption, day, HttpContext.RequestAborted);
            if (entry is not null)
                taken.Add(entry);
            else
                faults.Add(wrong!);
        }
        if (taken.Count > 0 && await logbook.LogAsync(Act, [plant.Plant.Tag], taken) is { Done: false, Trouble: { } trouble })
            faults.Add(trouble);
        if (faults.Count == 0)
        {
            (TempData["Said"], TempData["Undo"]) = ($"Picture of {plant.Plant.Tag} kept.", true);
            return string.IsNullOrEmpty(returnUrl) ? Redirect($"/plants/{plant.Plant.Tag}#pictures") : Back(returnUrl);
        }
        var now = (await TodaysGarden.TodayAsync())!;
        View = new(now, now.Find(tag)!, All)
        {
            PictureFaults = faults,
            Caption = caption,
            PictureDay = on,
        };
        return Page();
    }
}

/// <summary>What the plant page shows.</summary>
public sealed record PlantView(GardenDay Today, Assessment Assessment, bool All)
{
    const int Newest = 30;

    public Plant Plant => Assessment.Plant;

    /// <summary>What was wrong with pictures that were just sent.</summary>
    public IReadOnlyList<string> PictureFaults { get; init; } = [];

    /// <summary>The words that were sent with a picture that could not be taken.</summary>
    public string? Caption { get; init; }

    /// <summary>The day that was sent with it.</summary>
    public string? PictureDay { get; init; }

    public IReadOnlyList<Entry> Pictures { get; } = PlantPictures.Of(Assessment.Plant);

    public YearDial Dial => YearDial.Of(Assessment, Today.Garden);

    public RootChart? Roots => RootChart.Of(Assessment.Situation, LengthUnit);

    /// <summary>What lengths are drawn in.</summary>
    public Unit LengthUnit => Unit.Default(Dimension.Length, Today.Garden.UsUnits)!;

    /// <summary>How the roots of the root chart move.</summary>
    public Pace? RootPace =>
        AllSeries.FirstOrDefault(s => s.Kind == EntryKinds.RootLength) is { } roots
            ? Pace.Read(roots, roots.YearBefore(AllSeries), roots.Finish(AllSeries))
            : null;

    /// <summary>What was measured in the last two months, besides the roots of the root chart.</summary>
    public IReadOnlyList<SeriesChart> Series =>
        [
            .. AllSeries
                .Where(s =>
                    s.Points.Count > 1 && s.Last.On > Today.Day.AddDays(-60) && !(s.Kind == EntryKinds.RootLength && Roots is not null)
                )
                .Select(s => SeriesChart.Of(s, s.YearBefore(AllSeries), LengthUnit)),
        ];

    public GrowthAgainst? Against => Assessment.Situation is { } now ? GrowthAgainst.Read(AllSeries, now.Journal, Plant.Organs) : null;

    public IReadOnlyList<BloomRecord> Blooms =>
        Assessment.Situation is { } now ? BloomRecord.Read(now.Journal, Assessment.Lanes, Plant.Acquired, Today.Day) : [];

    /// <summary>Kept forecasts that have come true or not, the newest first.</summary>
    public IReadOnlyList<(Forecast Forecast, DateOnly Happened, int DaysLate)> Outcomes =>
        [
            .. from forecast in Plant.Forecasts.Reverse()
            let outcome = Forecasts.Outcome(forecast, Assessment.Lanes, Assessment.Situation.Journal)
            where outcome is not null
            select (forecast, outcome.Value.Happened, outcome.Value.DaysLate),
        ];

    /// <summary>A newcomer, or a plant in quarantine; null for what has settled.</summary>
    public Arrival? Newcomer =>
        Assessment.Situation.Arrival is { } arrival && (arrival.IsNewcomer || arrival.QuarantineUntil >= Today.Day) ? arrival : null;

    /// <summary>What its log says of why it died; null for a plant that lives or was given away.</summary>
    public Hearing? Farewell => Hearing.Of(Assessment.Situation, new LostQuestion());

    public IReadOnlyList<string> PotStays =>
        Assessment.Gone
            ? []
            :
            [
                .. RepotVeto
                    .Reasons(Assessment.Situation)
                    .Select(reason => $"{char.ToUpperInvariant(reason.Words[0])}{reason.Words[1..]}."),
            ];

    /// <summary>The organs that are under way or declared, the newest first.</summary>
    public IReadOnlyList<PartView> Parts => PartView.Of(Assessment);

    public PotFromAbove? Tubers => PotFromAbove.Of(Assessment);

    public LeafFan? Fan => LeafFan.Of(Assessment);

    public FamilyTree? Family => FamilyTree.Of(Plant, Today.Plants.Select(a => a.Plant));

    IReadOnlyList<OrganSeries> AllSeries => Assessment.Situation?.Series ?? [];

    public GrowthsFromAbove? Growths => Tubers is null && Fan is null ? GrowthsFromAbove.Of(Plant, Today.Day) : null;

    /// <summary>"CAL-02 · South bench · 12 cm clay pot, open bark · with you 3 years".</summary>
    public string Facts =>
        string.Join(
            " · ",
            new[] { Plant.Name is null ? null : Plant.Taxon, Today.PlaceOf(Plant)?.Name ?? "Unplaced", Pot, WithYou }.Where(part =>
                !string.IsNullOrEmpty(part)
            )
        );

    /// <summary>The log, newest first, with struck lines.</summary>
    public IReadOnlyList<Entry> Log =>
        [.. Shown.OrderByDescending(e => e.On).ThenByDescending(e => e.Logged).Take(All ? int.MaxValue : Newest)];

    public int Older => Shown.Count() - Log.Count;

    /// <summary>What an entry said before it was corrected; null where it was not.</summary>
    public Entry? Before(Entry entry) => entry.Amends is { } id ? Plant.Entries.FirstOrDefault(old => old.Id == id) : null;

    /// <summary>All but those that stand beside the entry that corrects them.</summary>
    IEnumerable<Entry> Shown
    {
        get
        {
            var corrected = Plant.Entries.Where(entry => !entry.Struck).Select(entry => entry.Amends).OfType<Guid>().ToHashSet();
            return Plant.Entries.Where(entry => !corrected.Contains(entry.Id));
        }
    }

    string Pot =>
        string.Join(
            ", ",
            new[]
            {
                Plant.Pot is { DiameterCm: { } wide } pot
                    ? $"{wide:0.#} cm {pot.Kind} pot".Replace("  ", " ", StringComparison.Ordinal)
                    : null,
                Plant.Medium,
            }.Where(part => part is not null)
        );

    string WithYou
    {
        get
        {
            if (Plant is { Acquired: null, AcquiredAbout: { } about })
                return $"{(Assessment.Gone ? "was with you" : "with you")} since {about}";
            if (Plant.Acquired is not { } since || since > Today.Day)
                return "";
            var days = (Assessment.Ended?.On ?? Today.Day).DayNumber - since.DayNumber;
            var with = Assessment.Gone ? "was with you" : "with you";
            return days < 60 ? $"{with} {days} days"
                : days < 730 ? $"{with} {days / 30} months"
                : $"{with} {days / 365} years";
        }
    }
}

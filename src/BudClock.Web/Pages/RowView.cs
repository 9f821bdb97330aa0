using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using BudClock.Core.Saying;

namespace BudClock.Web.Pages;

/// <summary>One plant in a list of the Round.</summary>
/// <param name="Asking">It asks for something today, so its main act stands in the row.</param>
public sealed record RowView(RoundView Round, Assessment Plant, bool Asking)
{
    public string Tag => Plant.Plant.Tag;

    public bool Chosen => Round.Shows(Plant);

    /// <summary>What is likeliest to be written down for it; worked out once a row.</summary>
    public OneTap? Main => field ??= LikelyEntries.For(Plant, Round.Today.Garden.UsUnits).FirstOrDefault();

    /// <summary>The main act needs a number or a choice first, which the reasons pane asks for.</summary>
    public bool Answers => Main?.Ask is not null || Plant.Main?.Verdict is Verdict.Look;

    /// <summary>What the row says below the name.</summary>
    public string Reason => Plant.Main?.Reason ?? Last;

    /// <summary>For a plant without advice: its last line in the log.</summary>
    string Last
    {
        get
        {
            var phase = Plant.Phase.Phase.Words();
            return PlantJournal.UpTo(Plant.On, Plant.Plant.Entries).Entries is [.., var last]
                ? $"{phase}. Last logged: {last.ToString().ToLowerInvariant()}, {Dates.Ago(last.On, Plant.On)}."
                : "Nothing logged yet.";
        }
    }
}

/// <summary>A folded part of the Round.</summary>
public sealed record FoldView(string Id, string Words, IReadOnlyList<Assessment> Plants, RoundView Round, bool Open);

/// <summary>A button that logs one entry, or asks for its number first.</summary>
public sealed record TapView(string Tag, OneTap Tap, bool Strong, bool Focus = false);

/// <summary>What a plant's advice says, block by block.</summary>
/// <param name="SkipMainReason">The reason of the main advice stands beside it already.</param>
public sealed record AdviceView(Assessment Plant, bool SkipMainReason);

/// <summary>Words for topics and verdicts.</summary>
public static class Say
{
    public static string Setting(string setting) =>
        setting switch
        {
            "glasshouse" => "a glasshouse",
            "indoors" => "a room",
            "cold-frame" => "a cold frame",
            "outdoors" => "out of doors",
            _ => "a store, dark",
        };

    public static string Window(string window) =>
        window switch
        {
            "none" => "no window: dark",
            "roof" => "glass above",
            _ => window,
        };

    public static string Cover(string cover) =>
        cover switch
        {
            "open" => "open sky",
            "rain" => "cover from rain",
            _ => "cover from rain and wind",
        };

    public static string Topic(string topic) =>
        topic switch
        {
            Topics.FirstSoak => "First watering after rest",
            Topics.Water => "Watering",
            Topics.Feed => "Feed",
            Topics.Repot => "Repotting",
            Topics.Divide => "Dividing",
            Topics.Trigger => "Programme",
            Topics.Measure => "Measuring",
            Topics.SecondLook => "Second look",
            Topics.GrowthCheck => "Growth",
            Topics.Rest => "Rest",
            Topics.Wake => "Waking",
            Topics.Tray => "Tray",
            Topics.Health => "Health",
            Topics.Move => "Place",
            _ => topic,
        };

    /// <summary>What a forecast is about.</summary>
    public static string Turn(string of) =>
        of switch
        {
            Forecasts.FirstFlower => "First flower",
            Forecasts.Matured => "Growth finished",
            Forecasts.PlantedToFlower => "First flower from planting",
            Forecasts.ProgrammeDone => "Buds by the programme",
            _ => "In bloom until",
        };

    public static string Class(Verdict verdict) => verdict.ToString().ToLowerInvariant();

    /// <summary>"8.5 / 10 cm", "wrinkled", "not known".</summary>
    public static string Have(Condition condition) =>
        (condition.Have, condition.Need) switch
        {
            ({ Number: { } have }, { Number: { } need }) => $"{have:0.#} / {need:0.#} {condition.Unit}",
            ({ Number: { } have }, null) => $"{have:0.#} {condition.Unit}".TrimEnd(),
            (null, { Number: { } need }) => $"not known / {need:0.#} {condition.Unit}",
            ({ Word: "seen" }, _) => "",
            ({ Word: { } word }, _) => word,
            _ => condition.Met ? "" : "not seen",
        };
}

using System.Text.Json;
using BudClock.Core.Mixing;

namespace BudClock.Core.Formats;

/// <summary>The mixing shelf in a garden file: its member "mixing".</summary>
sealed class ShelfFile(DateOnly latest, List<FileFault> faults)
{
    /// <summary>The shelf at this place of the file; faults are noted there, and what is faulty is left out.</summary>
    public Shelf Read(JsonPlace at)
    {
        at.Known("tools", "waters", "feeds", "recipes", "batches", "trials");
        var shelf = new Shelf
        {
            Tools = at.Object("tools") is { } tools ? Tools(tools) : Mixing.Tools.Usual,
            Waters = [.. at.List("waters").Select(Water)],
            Feeds = [.. at.List("feeds").Select(Feed)],
            Recipes = [.. at.List("recipes").Select(Recipe)],
            Batches = [.. at.List("batches").Select(Batch)],
            Trials = [.. at.List("trials").Select(Trial)],
        };
        Unique(shelf.Waters.Select(w => w.Code), "waters");
        Unique(shelf.Feeds.Select(f => f.Code), "feeds");
        Unique(shelf.Recipes.Select(r => r.Code), "recipes");
        Unique(shelf.Batches.Select(b => b.Code), "batches");
        Unique(shelf.Trials.Select(t => t.Code), "trials");
        foreach (var (index, recipe) in shelf.Recipes.Index())
        foreach (var fault in recipe.In(1, shelf).Faults)
            faults.Add(new($"mixing.recipes[{index}]", fault));
        foreach (var (index, trial) in shelf.Trials.Index())
            if (shelf.Recipe(trial.Recipe) is null)
                faults.Add(new($"mixing.trials[{index}].recipe", $"\"{trial.Recipe}\" is not among the recipes"));
        return shelf;
    }

    void Unique(IEnumerable<string> codes, string list) => FileFault.Twice(codes, $"mixing.{list}", "code", faults);

    static Tools Tools(JsonPlace at)
    {
        at.Known("scaleGrams", "spoonTsp", "syringeMl", "bottleLitres", "reservePercent", "meterScale");
        var usual = Mixing.Tools.Usual;
        var tools = new Tools
        {
            ScaleGrams = at.Number("scaleGrams") ?? usual.ScaleGrams,
            SpoonTsp = at.Number("spoonTsp") ?? usual.SpoonTsp,
            SyringeMl = at.Number("syringeMl") ?? usual.SyringeMl,
            BottleLitres = at.Number("bottleLitres") ?? usual.BottleLitres,
            ReservePercent = at.Number("reservePercent") ?? usual.ReservePercent,
            MeterScale = at.Number("meterScale") ?? usual.MeterScale,
        };
        if (tools.Fault() is { } fault)
            at.Fault("meterScale", fault);
        return tools;
    }

    static Water Water(JsonPlace at)
    {
        at.Known("code", "name", "kind", "tdsPpm", "ph", "hardnessPpm", "measured");
        var code = at.Required("code");
        var water = new Water(at.Text("name") ?? code, at.Number("tdsPpm") ?? 0)
        {
            Code = code,
            Kind = at.OneOf("kind", Mixing.Water.Kinds) ?? Mixing.Water.Pure,
            Ph = at.Number("ph"),
            HardnessPpm = at.Number("hardnessPpm"),
            Measured = at.Date("measured"),
        };
        if (water.Fault() is { } fault)
            at.Fault("tdsPpm", fault);
        return water;
    }

    static Feed Feed(JsonPlace at)
    {
        at.Known(
            "code",
            "name",
            "n",
            "p2o5",
            "k2o",
            "ca",
            "mg",
            "ureaN",
            "form",
            "stimulant",
            "gramsPerTeaspoon",
            "labelGramsPerLitre",
            "densityGPerMl",
            "saltsPercent",
            "pricePerKg"
        );
        var code = at.Required("code");
        var feed = new Feed(
            at.Text("name") ?? code,
            at.Number("n") ?? 0,
            at.Number("p2o5") ?? 0,
            at.Number("k2o") ?? 0,
            at.Number("gramsPerTeaspoon"),
            at.Number("labelGramsPerLitre")
        )
        {
            Code = code,
            Form = at.OneOf("form", Mixing.Feed.Forms) ?? Mixing.Feed.Powder,
            Stimulant = at.Flag("stimulant"),
            CaPercent = at.Number("ca") ?? 0,
            MgPercent = at.Number("mg") ?? 0,
            UreaNPercent = at.Number("ureaN") ?? 0,
            DensityGPerMl = at.Number("densityGPerMl"),
            SaltsPercent = at.Number("saltsPercent"),
            PricePerKg = at.Number("pricePerKg"),
        };
        if (feed.Fault() is { } fault)
            at.Fault("n", fault);
        return feed;
    }

    static Recipe Recipe(JsonPlace at)
    {
        at.Known("code", "name", "bottle", "waters", "feeds");
        var code = at.Required("code");
        return new(code, at.Text("name") ?? code, at.OneOf("bottle", Bottles.All) ?? Bottles.Plain)
        {
            Waters = at.Object("waters") is { } waters
                ? waters.Members().ToDictionary(water => water, water => waters.Number(water) ?? 0)
                : [],
            Feeds = at.Object("feeds") is { } feeds
                ? feeds
                    .Members()
                    .Select(feed => (feed, Strength: Strength(feeds, feed)))
                    .Where(pair => pair.Strength is not null)
                    .ToDictionary(pair => pair.feed, pair => pair.Strength!)
                : [],
        };
    }

    static Strength? Strength(JsonPlace at, string feed)
    {
        var written = at.Text(feed);
        var strength = Mixing.Strength.Read(written);
        if (strength is null && written is not null)
            at.Fault(feed, $"\"{written}\" is no strength; write 25 %, 100 ppm N, or 1/8 tsp in 1 gal");
        return strength;
    }

    Batch Batch(JsonPlace at)
    {
        at.Known(
            "code",
            "made",
            "recipe",
            "name",
            "litres",
            "contents",
            "predictedPpm",
            "nitrogenPpm",
            "measuredPpm",
            "ph",
            "found",
            "thrownAway"
        );
        if (!at.Has("made"))
            at.Fault("made", "missing");
        if (at.Date("made") > latest)
            at.Fault("made", "is still to come");
        var (code, recipe) = (at.Required("code"), at.Required("recipe"));
        var batch = new Batch(
            code,
            at.Date("made") ?? default,
            recipe,
            at.Text("name") ?? recipe,
            at.Number("litres", 0, 10_000) ?? 0,
            at.Text("contents") ?? "",
            at.Number("predictedPpm", 0, 100_000) ?? 0
        )
        {
            NitrogenPpm = at.Number("nitrogenPpm", 0, 100_000) ?? 0,
            MeasuredPpm = at.Number("measuredPpm", 0, 100_000),
            Ph = at.Number("ph", 0, 14),
            Found = at.Text("found"),
            ThrownAway = at.Date("thrownAway"),
        };
        return batch;
    }

    static Trial Trial(JsonPlace at)
    {
        at.Known("code", "recipe", "from", "plants", "ended");
        if (!at.Has("from"))
            at.Fault("from", "missing");
        return new(at.Required("code"), at.Required("recipe"), at.Date("from") ?? default, at.Texts("plants")) { Ended = at.Date("ended") };
    }

    /// <summary>Writes the shelf as <see cref="Read"/> reads it.</summary>
    public static void Write(Utf8JsonWriter json, Shelf shelf)
    {
        json.WriteStartObject("mixing");
        json.WriteStartObject("tools");
        json.WriteNumber("scaleGrams", shelf.Tools.ScaleGrams);
        json.WriteNumber("spoonTsp", shelf.Tools.SpoonTsp);
        json.WriteNumber("syringeMl", shelf.Tools.SyringeMl);
        json.WriteNumber("bottleLitres", shelf.Tools.BottleLitres);
        json.WriteNumber("reservePercent", shelf.Tools.ReservePercent);
        json.WriteNumber("meterScale", shelf.Tools.MeterScale);
        json.WriteEndObject();
        json.Each("waters", shelf.Waters, Write);
        json.Each("feeds", shelf.Feeds, Write);
        json.Each("recipes", shelf.Recipes, Write);
        json.Each("batches", shelf.Batches, Write);
        json.Each("trials", shelf.Trials, Write);
        json.WriteEndObject();
    }

    static void Write(Utf8JsonWriter json, Water water)
    {
        json.WriteString("code", water.Code);
        json.WriteString("name", water.Name);
        json.WriteString("kind", water.Kind);
        json.WriteNumber("tdsPpm", water.TdsPpm);
        json.Optional("ph", water.Ph);
        json.Optional("hardnessPpm", water.HardnessPpm);
        json.Optional("measured", water.Measured);
    }

    static void Write(Utf8JsonWriter json, Feed feed)
    {
        json.WriteString("code", feed.Code);
        json.WriteString("name", feed.Name);
        json.WriteNumber("n", feed.NPercent);
        json.WriteNumber("p2o5", feed.P2O5Percent);
        json.WriteNumber("k2o", feed.K2OPercent);
        json.Optional("ca", NotZero(feed.CaPercent));
        json.Optional("mg", NotZero(feed.MgPercent));
        json.Optional("ureaN", NotZero(feed.UreaNPercent));
        json.WriteString("form", feed.Form);
        if (feed.Stimulant)
            json.WriteBoolean("stimulant", true);
        json.Optional("gramsPerTeaspoon", feed.GramsPerTeaspoon);
        json.Optional("labelGramsPerLitre", feed.LabelGramsPerLitre);
        json.Optional("densityGPerMl", feed.DensityGPerMl);
        json.Optional("saltsPercent", feed.SaltsPercent);
        json.Optional("pricePerKg", feed.PricePerKg);
    }

    static double? NotZero(double percent) => percent == 0 ? null : percent;

    static void Write(Utf8JsonWriter json, Recipe recipe)
    {
        json.WriteString("code", recipe.Code);
        json.WriteString("name", recipe.Name);
        json.WriteString("bottle", recipe.Bottle);
        json.WriteStartObject("waters");
        foreach (var (water, percent) in recipe.Waters)
            json.WriteNumber(water, percent);
        json.WriteEndObject();
        json.WriteStartObject("feeds");
        foreach (var (feed, strength) in recipe.Feeds)
            json.WriteString(feed, strength.ToString());
        json.WriteEndObject();
    }

    static void Write(Utf8JsonWriter json, Batch batch)
    {
        json.WriteString("code", batch.Code);
        json.Optional("made", batch.Made);
        json.WriteString("recipe", batch.Recipe);
        json.WriteString("name", batch.Name);
        json.WriteNumber("litres", batch.Litres);
        json.WriteString("contents", batch.Contents);
        json.WriteNumber("predictedPpm", batch.PredictedPpm);
        json.WriteNumber("nitrogenPpm", batch.NitrogenPpm);
        json.Optional("measuredPpm", batch.MeasuredPpm);
        json.Optional("ph", batch.Ph);
        json.Optional("found", batch.Found);
        json.Optional("thrownAway", batch.ThrownAway);
    }

    static void Write(Utf8JsonWriter json, Trial trial)
    {
        json.WriteString("code", trial.Code);
        json.WriteString("recipe", trial.Recipe);
        json.Optional("from", trial.From);
        json.WriteStartArray("plants");
        foreach (var tag in trial.Plants)
            json.WriteStringValue(tag);
        json.WriteEndArray();
        json.Optional("ended", trial.Ended);
    }
}

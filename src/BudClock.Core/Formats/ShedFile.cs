using System.Text.Json;
using BudClock.Core.Potting;

namespace BudClock.Core.Formats;

/// <summary>Pots, mixes and young batches in a garden file: its member "potting".</summary>
/// <param name="latest">The last day that a count may have.</param>
/// <param name="places">The codes of the places in the same file.</param>
sealed class ShedFile(DateOnly latest, IReadOnlySet<string> places, List<FileFault> faults)
{
    /// <summary>The shed at this place of the file; faults are noted there.</summary>
    public PottingShed Read(JsonPlace at)
    {
        at.Known("pots", "mixes", "batches");
        var shed = new PottingShed
        {
            Pots = [.. at.List("pots").Select(Pot)],
            Mixes = [.. at.List("mixes").Select(Mix)],
            Batches = [.. at.List("batches").Select(Batch)],
        };
        FileFault.Twice(shed.Pots.Select(pot => pot.Code), "potting.pots", "code", faults);
        FileFault.Twice(shed.Mixes.Select(mix => mix.Code), "potting.mixes", "code", faults);
        FileFault.Twice(shed.Batches.Select(batch => batch.Code.ToUpperInvariant()), "potting.batches", "code", faults);
        return shed;
    }

    static OwnedPot Pot(JsonPlace at)
    {
        at.Known("code", "diameterCm", "heightCm", "kind", "count");
        var pot = new OwnedPot(
            at.Required("code"),
            at.Number("diameterCm") ?? 0,
            at.Number("heightCm") ?? at.Number("diameterCm") ?? 0,
            at.Text("kind") ?? "",
            Whole(at, "count")
        );
        if (pot.Fault() is { } fault)
            at.Fault("diameterCm", fault);
        return pot;
    }

    static PottingMix Mix(JsonPlace at)
    {
        at.Known("code", "name", "parts", "settlesPercent", "handling", "first", "pebblesCm");
        var code = at.Required("code");
        var mix = new PottingMix(code, at.Text("name") ?? code)
        {
            Parts = at.Object("parts") is { } parts ? parts.Members().ToDictionary(part => part, part => parts.Number(part) ?? 0) : [],
            SettlesPercent = at.Number("settlesPercent") ?? new PottingMix("", "").SettlesPercent,
            Handling = at.Text("handling") ?? "",
            First = at.Text("first") ?? "",
            PebblesCm = at.Number("pebblesCm") ?? 0,
        };
        if (mix.Fault() is { } fault)
            at.Fault("parts", fault);
        return mix;
    }

    YoungBatch Batch(JsonPlace at)
    {
        at.Known(
            "code",
            "method",
            "started",
            "number",
            "name",
            "parent",
            "taxon",
            "source",
            "place",
            "rescue",
            "driesUntil",
            "note",
            "counts",
            "ended"
        );
        if (!at.Has("started"))
            at.Fault("started", "missing");
        var method = at.OneOf("method", [.. PottingTable.Shipped.Methods.Select(known => known.Name)]);
        if (!at.Has("method"))
            at.Fault("method", "missing");
        var batch = new YoungBatch(at.Required("code"), method ?? "", at.Date("started") ?? default, Whole(at, "number"))
        {
            Name = at.Text("name") ?? "",
            Parent = at.Text("parent"),
            Taxon = at.Text("taxon"),
            Source = at.Text("source"),
            Place = at.KnownPlace(places),
            Rescue = at.Flag("rescue"),
            DriesUntil = at.Date("driesUntil"),
            Note = at.Text("note"),
            Counts = [.. at.List("counts").Select(Count)],
            Ended = at.Date("ended"),
        };
        if (!Tags.Sound(batch.Code))
            at.Fault("code", Tags.Rule(batch.Code));
        if (PottingTable.Shipped.Method(batch.Method) is { } known)
            foreach (var fault in batch.Faults(known, latest))
                at.Fault("number", fault);
        return batch;
    }

    static BatchCount Count(JsonPlace at)
    {
        at.Known("on", "what", "number", "to");
        if (!at.Has("on"))
            at.Fault("on", "missing");
        return new(at.Date("on") ?? default, at.OneOf("what", BatchCount.Kinds) ?? BatchCount.Rooted, Whole(at, "number"), at.Text("to"));
    }

    /// <summary>A whole number; 0, which none of its uses takes, where it is missing.</summary>
    static int Whole(JsonPlace at, string member)
    {
        if (at.Number(member, 0, YoungBatch.MostStarted) is not { } number)
            return 0;
        if (number % 1 != 0)
            at.Fault(member, "expected a whole number");
        return (int)number;
    }

    /// <summary>Writes the shed as <see cref="Read"/> reads it.</summary>
    public static void Write(Utf8JsonWriter json, PottingShed shed)
    {
        json.WriteStartObject("potting");
        json.Each("pots", shed.Pots, Write);
        json.Each("mixes", shed.Mixes, Write);
        json.Each("batches", shed.Batches, Write);
        json.WriteEndObject();
    }

    static void Write(Utf8JsonWriter json, OwnedPot pot)
    {
        json.WriteString("code", pot.Code);
        json.WriteNumber("diameterCm", pot.DiameterCm);
        json.WriteNumber("heightCm", pot.HeightCm);
        json.WriteString("kind", pot.Kind);
        json.WriteNumber("count", pot.Count);
    }

    static void Write(Utf8JsonWriter json, PottingMix mix)
    {
        json.WriteString("code", mix.Code);
        json.WriteString("name", mix.Name);
        json.WriteStartObject("parts");
        foreach (var (part, parts) in mix.Parts)
            json.WriteNumber(part, parts);
        json.WriteEndObject();
        json.WriteNumber("settlesPercent", mix.SettlesPercent);
        json.WriteString("handling", mix.Handling);
        json.WriteString("first", mix.First);
        json.WriteNumber("pebblesCm", mix.PebblesCm);
    }

    static void Write(Utf8JsonWriter json, YoungBatch batch)
    {
        json.WriteString("code", batch.Code);
        json.WriteString("method", batch.Method);
        json.Optional("started", batch.Started);
        json.WriteNumber("number", batch.Number);
        json.WriteString("name", batch.Name);
        json.Optional("parent", batch.Parent);
        json.Optional("taxon", batch.Taxon);
        json.Optional("source", batch.Source);
        json.Optional("place", batch.Place);
        if (batch.Rescue)
            json.WriteBoolean("rescue", true);
        json.Optional("driesUntil", batch.DriesUntil);
        json.Optional("note", batch.Note);
        json.Each("counts", batch.Counts, Write);
        json.Optional("ended", batch.Ended);
    }

    static void Write(Utf8JsonWriter json, BatchCount count)
    {
        json.Optional("on", count.On);
        json.WriteString("what", count.What);
        json.WriteNumber("number", count.Number);
        json.Optional("to", count.To);
    }
}

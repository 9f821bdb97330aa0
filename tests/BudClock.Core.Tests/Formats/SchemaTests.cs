using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using BudClock.Core.Formats;

namespace BudClock.Core.Tests.Formats;

/// <summary>The schema in the folder says of a plant what the code reads and writes.</summary>
public class SchemaTests
{
    static readonly JsonSerializerOptions Printed = new() { WriteIndented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>Where a field was added or changed, it is printed into the file, to be read and committed.</summary>
    [Fact]
    public void Each_field_of_a_plant_is_described_as_it_is_read()
    {
        var schema = JsonNode.Parse(GardenSchema.Text)!;
        var plant = schema["definitions"]!["plant"]!["properties"]!.AsObject();
        var fields = JsonNode.Parse(GardenSchema.PlantFields)!.AsObject();
        var others = plant.Where(member => !fields.ContainsKey(member.Key)).ToList();
        if (fields.All(field => JsonNode.DeepEquals(field.Value, plant[field.Key])) && others.Count == 3)
            return;
        var printed = new JsonObject();
        foreach (
            var (member, described) in fields.Concat(others.Where(other => other.Key is "organs" or "forecasts" or "entries")).ToList()
        )
            printed[member] = described?.DeepClone();
        schema["definitions"]!["plant"]!["properties"] = printed;
        var file = Path.Combine(Reference.Repository(), "src", "BudClock.Core", "Formats", "bud-clock-garden-1.schema.json");
        File.WriteAllText(file, schema.ToJsonString(Printed) + "\n");
        Assert.Fail($"{Path.GetFileName(file)} was out of date and has been printed anew: read it, then commit it.");
    }
}

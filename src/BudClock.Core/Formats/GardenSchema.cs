namespace BudClock.Core.Formats;

/// <summary>The JSON Schema of the garden file, for other programs.</summary>
public static class GardenSchema
{
    /// <summary>The JSON schema of a garden file.</summary>
    public static string Text { get; } = Read();

    /// <summary>
    /// The fields of a plant as the code that reads and writes them describes them: a JSON object of member to schema, without organs,
    /// forecasts and entries. The schema file has the same; a test prints it there.
    /// </summary>
    public static string PlantFields { get; } =
        $"{{ {string.Join(",\n", Formats.PlantFields.All.Select(field => $"\"{field.Member}\": {field.Schema}"))} }}";

    static string Read()
    {
        using var text = new StreamReader(typeof(GardenSchema).Assembly.GetManifestResourceStream("schema/bud-clock-garden-1")!);
        return text.ReadToEnd();
    }
}

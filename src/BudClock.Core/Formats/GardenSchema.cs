namespace BudClock.Core.Formats;

/// <summary>The JSON Schema of the garden file, for other programs.</summary>
public static class GardenSchema
{
    /// <summary>The JSON schema of a garden file.</summary>
    public static string Text { get; } = Read();

    static string Read()
    {
        using var text = new StreamReader(typeof(GardenSchema).Assembly.GetManifestResourceStream("schema/bud-clock-garden-1")!);
        return text.ReadToEnd();
    }
}

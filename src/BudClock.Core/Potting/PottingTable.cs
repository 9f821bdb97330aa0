using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace BudClock.Core.Potting;

/// <summary>Stock mixes, how deep plants are set, and how more are made, as potting.yaml declares them.</summary>
public sealed record PottingTable
{
    /// <summary>The table that ships with the program.</summary>
    public static PottingTable Shipped { get; } = Read();

    /// <summary>Mixes that growers use, the more special ones first.</summary>
    public IReadOnlyList<PottingMix> Mixes { get; private init; } = [];

    /// <summary>How deep plants are set, the more special ones first.</summary>
    public IReadOnlyList<SettingDepth> Depths { get; private init; } = [];

    /// <summary>How more plants are made.</summary>
    public IReadOnlyList<RaisingMethod> Methods { get; private init; } = [];

    /// <summary>The method of a name; null where there is none.</summary>
    public RaisingMethod? Method(string? name) => Methods.FirstOrDefault(method => method.Name == name);

    static PottingTable Read()
    {
        using var text = new StreamReader(typeof(PottingTable).Assembly.GetManifestResourceStream("potting")!);
        var file = new DeserializerBuilder().WithNamingConvention(HyphenatedNamingConvention.Instance).Build().Deserialize<File>(text);
        return new()
        {
            Mixes =
            [
                .. file.Mixes.Select(mix => new PottingMix(mix.Code, mix.Name)
                {
                    Parts = mix.Parts,
                    SettlesPercent = mix.Settles,
                    Handling = mix.Handling,
                    First = mix.First,
                    PebblesCm = mix.Pebbles,
                    Suits = mix.Suits,
                }),
            ],
            Depths = file.Depths,
            Methods = file.Methods,
        };
    }

    sealed class File
    {
        public List<MixRow> Mixes { get; set; } = [];
        public List<SettingDepth> Depths { get; set; } = [];
        public List<RaisingMethod> Methods { get; set; } = [];
    }

    sealed class MixRow
    {
        public string Code { get; set; } = "";
        public string Name { get; set; } = "";
        public Dictionary<string, double> Parts { get; set; } = [];
        public double Settles { get; set; }
        public string Handling { get; set; } = "";
        public string First { get; set; } = "";
        public double Pebbles { get; set; }
        public List<string> Suits { get; set; } = [];
    }
}

/// <summary>How deep a kind of plant is set (rules R6, D6, P4).</summary>
public sealed record SettingDepth
{
    /// <summary>Names of sheets and of traits that it holds for; "any" for all others.</summary>
    public string[] For { get; init; } = [];

    /// <summary>The top of its base lies so far below the surface, cm; below 0 it stands out.</summary>
    public double BelowCm { get; init; }

    /// <summary>How thick the base is where nobody measured, cm.</summary>
    public double BaseCm { get; init; }

    /// <summary>How it is set, as a sentence.</summary>
    public string Words { get; init; } = "";
}

using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.StandIns;

namespace BudClock.Web.Demo;

/// <summary>The lighthouse garden: the volunteers' glasshouse of a decommissioned lighthouse on an estuary. All of it is made up.</summary>
public static class DemoGarden
{
    /// <summary>What it is called at first.</summary>
    public const string Name = "Lighthouse glass";

    /// <summary>Lies in a folder that the demo was made in, whatever its garden is called by then.</summary>
    public const string Marker = "demo.made";

    /// <summary>The day the demo pretends it is.</summary>
    public static readonly DateOnly Day = new(2031, 5, 24);

    /// <summary>Tags of the plants that have pictures.</summary>
    public static readonly IReadOnlyList<string> Pictured = ["ONC-02", "MIL-01", "CAT-01"];

    /// <summary>The garden with its made-up pictures, which are put into the folder.</summary>
    public static GardenRecord With(PictureFolder pictures) => new SimulatedCamera(pictures).Take(Read(), Pictured);

    public static GardenRecord Read()
    {
        using var text = new StreamReader(typeof(DemoGarden).Assembly.GetManifestResourceStream("demo/lighthouse.json")!);
        var read = GardenFileReader.Read(text.ReadToEnd(), CultureSheets.Shipped);
        return read.Garden ?? throw new InvalidDataException(string.Join(Environment.NewLine, read.Faults));
    }
}

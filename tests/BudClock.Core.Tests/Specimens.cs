using BudClock.Core.Advising;
using BudClock.Core.Evidence;

namespace BudClock.Core.Tests;

/// <summary>Plants for tests: a leafless pseudobulb and its journal in few words.</summary>
static class Specimens
{
    /// <summary>Whether scripts/mutation.sh runs the tests: they then write no file and sample fewer journals.</summary>
    public static bool Mutating => Environment.GetEnvironmentVariable("BUDCLOCK_MUTATION") is not null;

    public static readonly DateOnly Today = new(2031, 5, 24);
    public static readonly DateOnly Woke = new(2031, 4, 12);
    public static readonly Seen<double> Mild = new(14, Today.AddDays(-1));

    public static Plant Lycaste(params Entry[] entries) =>
        new()
        {
            Tag = "LYC-01",
            Taxon = "Lycaste aromatica",
            Place = "south",
            Pot = new(11, 10, "plastic"),
            Entries = entries,
        };

    /// <summary>Asleep since November, with a new growth since 12 April, and whatever else.</summary>
    public static Plant Waking(params Entry[] entries) =>
        Lycaste([At("2030-11-20", EntryKinds.LeavesGone), At(Woke, EntryKinds.GrowthStarted), .. entries]);

    /// <summary>Waking, with one root length two days ago.</summary>
    public static Plant WithRoots(double cm, params Entry[] entries) => Waking([Roots(Today.AddDays(-2), cm), .. entries]);

    public static Entry Roots(DateOnly on, double cm) => At(on, EntryKinds.RootLength, new Quantity(cm, Unit.Cm));

    public static Entry Bulbs(DateOnly on, string state) => At(on, EntryKinds.Bulbs, text: state);

    public static Entry At(string on, EntryKind kind, Quantity? amount = null, string? text = null) =>
        At(DateOnly.ParseExact(on, "yyyy-MM-dd", null), kind, amount, text);

    /// <summary>The same entry, about an organ.</summary>
    public static Entry Of(this Entry entry, string organ) => entry with { Organ = organ };

    public static Quantity Cm(double value) => new(value, Unit.Cm);

    public static Entry At(DateOnly on, EntryKind kind, Quantity? amount = null, string? text = null) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            On = on,
            Kind = kind,
            Amount = amount,
            Text = text,
            Logged = new(on, TimeOnly.MinValue, TimeSpan.Zero),
        };

    public static Assessment Assess(Plant plant, DateOnly? on = null, Seen<double>? night = null, bool coldUnknown = false) =>
        Assessor.Shipped.Assess(
            plant,
            Around with
            {
                Weather = coldUnknown ? Weather.Unknown : Night(night ?? new(Mild.Value, (on ?? Today).AddDays(-1))),
            },
            on ?? Today
        );

    /// <summary>A place of which one night is known.</summary>
    public static Weather Night(Seen<double> night) => new([night], [], [], []);

    /// <summary>The same, °C, measured last night.</summary>
    public static Weather Night(double celsius) => Night(new Seen<double>(celsius, Today.AddDays(-1)));

    public static readonly Surroundings Around = new(new Garden("Glass", 51.5, 0.7, "Europe/London"));

    /// <summary>The advice of one rule, or null when it is silent.</summary>
    public static Advice? Rule(this Assessment assessment, string rule) => assessment.Settled.FirstOrDefault(a => a.Rule == rule);
}

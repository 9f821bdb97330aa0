using BudClock.Core.Culture;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>
/// Journals dense in danger, for any shipped sheet: limp, wet, rotten, rootless, cold, asleep, newly come, ill, and in any order.
/// </summary>
static class Journals
{
    /// <summary>A plant of every shipped sheet, by a genus and a medium that lead to it.</summary>
    public static readonly IReadOnlyList<(string Taxon, string? Medium, string Sheet)> Kinds =
    [
        .. CultureSheets.Shipped.All.Select(sheet =>
            sheet.Name == CultureSheets.General
                ? ("Unknownia mystica", null, sheet.Name)
                : (Taxon: sheet.Genera[0], Medium: sheet.Media.Count > 0 ? sheet.Media[0] : (string?)"bark", sheet.Name)
        ),
    ];

    static readonly (EntryKind Kind, string? Text, Quantity? Amount)[] Dangers =
    [
        (EntryKinds.Medium, "wet", null),
        (EntryKinds.Medium, "damp", null),
        (EntryKinds.Medium, "dry", null),
        (EntryKinds.Medium, "dry", null),
        (EntryKinds.Leaves, "limp", null),
        (EntryKinds.Leaves, "pliable", null),
        (EntryKinds.Leaves, "firm", null),
        (EntryKinds.Leaves, "yellowing", null),
        (EntryKinds.Leaves, "scorched", null),
        (EntryKinds.Rot, "at the base", null),
        (EntryKinds.Base, "soft", null),
        (EntryKinds.Base, "smelling", null),
        (EntryKinds.Base, "firm", null),
        (EntryKinds.Tuber, "soft", null),
        (EntryKinds.Tuber, "mouldy", null),
        (EntryKinds.Tuber, "sprouting", null),
        (EntryKinds.RootCount, null, new Quantity(0)),
        (EntryKinds.RootCount, null, new Quantity(2)),
        (EntryKinds.RootCount, null, new Quantity(9)),
        (EntryKinds.RootLength, null, Cm(0)),
        (EntryKinds.RootLength, null, Cm(12)),
        (EntryKinds.RootsLost, null, null),
        (EntryKinds.RootsStarted, null, null),
        (EntryKinds.Watered, null, new Quantity(200, Unit.Ml)),
        (EntryKinds.Soaked, null, null),
        (EntryKinds.ToppedUp, null, null),
        (EntryKinds.Fed, null, null),
        (EntryKinds.Reservoir, "empty", null),
        (EntryKinds.Reservoir, null, Cm(4)),
        (EntryKinds.Tray, "empty", null),
        (EntryKinds.Tray, null, Cm(3)),
        (EntryKinds.Bulbs, "shrivelled", null),
        (EntryKinds.Bulbs, "wrinkled", null),
        (EntryKinds.Bulbs, "plump", null),
        (EntryKinds.LeavesGone, null, null),
        (EntryKinds.LeafDropped, null, null),
        (EntryKinds.WinterRosette, null, null),
        (EntryKinds.SummerLeaves, null, null),
        (EntryKinds.Lifted, null, null),
        (EntryKinds.Stored, null, null),
        (EntryKinds.Planted, null, null),
        (EntryKinds.GrowthStarted, null, null),
        (EntryKinds.LeafStarted, null, null),
        (EntryKinds.SpikeStarted, null, null),
        (EntryKinds.BloomOpened, null, null),
        (EntryKinds.Acquired, null, null),
        (EntryKinds.Acquired, "without roots", null),
        (EntryKinds.Pest, "mealy bug", null),
        (EntryKinds.Pest, "none", null),
        (EntryKinds.Treated, null, null),
        (EntryKinds.Treated, "cut clean", null),
        (EntryKinds.Repotted, null, null),
        (EntryKinds.Moved, "out", null),
        (EntryKinds.RunOff, null, new Quantity(2500, Unit.Ppm)),
        (EntryKinds.Looked, "better", null),
        (EntryKinds.Meter, null, new Quantity(1)),
    ];

    /// <summary>Most of what matters happened in the last days; some of it long ago.</summary>
    static readonly Gen<int> DaysAgo = Gen.OneOf(Gen.Int[0, 3], Gen.Int[0, 3], Gen.Int[4, 30], Gen.Int[31, 400]);

    static readonly Gen<Entry> Entry =
        from danger in Of(Dangers)
        from ago in DaysAgo
        from second in Gen.Int[0, 86_000]
        from struck in Gen.Int[0, 19]
        select At(Today.AddDays(-ago), danger.Kind, danger.Amount, danger.Text) with
        {
            Logged = new DateTimeOffset(Today.AddDays(-ago), TimeOnly.MinValue, TimeSpan.Zero).AddSeconds(second),
            Struck = struck == 0,
        };

    /// <summary>A plant of any sheet with any such journal.</summary>
    public static readonly Gen<Plant> Any =
        from kind in Of([.. Kinds])
        from entries in Entry.Array[0, 9]
        from origin in Of<string?>(null, null, null, "cutting", "corm", "division")
        from came in Of<int?>(null, 5, 40, 900)
        select new Plant
        {
            Tag = "A-1",
            Taxon = kind.Taxon,
            Medium = kind.Medium,
            Origin = origin,
            Place = "here",
            Acquired = came is { } days ? Today.AddDays(-days) : null,
            Pot = new(12, 11, "plastic"),
            Entries = entries,
        };

    /// <summary>A night from frost to a hot one, measured last night; or none known.</summary>
    public static readonly Gen<double?> Night = Gen.OneOf(Of<double?>(null, 18, 18), Gen.Int[-5, 27].Select(celsius => (double?)celsius));

    static Gen<T> Of<T>(params T[] values) => Gen.Int[0, values.Length - 1].Select(index => values[index]);
}

using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Journal;

/// <summary>What an act of care, or an entry in the log, does to a plant, whatever it is called. One can do several things.</summary>
/// <remarks>Guards stand before effects, and evidence looks for effects; neither keeps a list of acts (rule L8).</remarks>
[Flags]
public enum Effects
{
    /// <summary>None of these.</summary>
    None = 0,

    /// <summary>Water comes into the pot, from above or from below.</summary>
    WetsMedium = 1,

    /// <summary>The pot is wet through after it: more than rest and cold allow, and no standing level.</summary>
    Drenches = 1 << 1,

    /// <summary>Leaves or crown get wet.</summary>
    WetsLeaf = 1 << 2,

    /// <summary>It brings feed.</summary>
    Feeds = 1 << 3,

    /// <summary>Salts are washed out of the medium.</summary>
    RinsesSalt = 1 << 4,

    /// <summary>Roots are moved about.</summary>
    DisturbsRoots = 1 << 5,

    /// <summary>It leaves an open wound.</summary>
    Wounds = 1 << 6,

    /// <summary>It stands elsewhere after it.</summary>
    Moves = 1 << 7,

    /// <summary>Rain and sun are kept off it.</summary>
    Covers = 1 << 8,

    /// <summary>It has less light after it.</summary>
    Darkens = 1 << 9,

    /// <summary>It has more light after it.</summary>
    Lights = 1 << 10,

    /// <summary>It stands warmer after it.</summary>
    Warms = 1 << 11,

    /// <summary>It is woken.</summary>
    Wakes = 1 << 12,

    /// <summary>Standing water is taken from it.</summary>
    TakesWater = 1 << 13,
}

/// <summary>The one table of what entries do. What is not in it was seen, and does nothing.</summary>
public static class EntryEffects
{
    const Effects Soaks = Effects.WetsMedium | Effects.Drenches;
    const Effects Flushes = Soaks | Effects.RinsesSalt;

    static readonly Effects[] Table = Made();

    /// <summary>What an entry did. Feed wets where an amount was given; a rinse without words may be of leaves or of the medium.</summary>
    public static Effects Of(Entry entry) =>
        entry.Kind == Fed
            ? entry.Amount is { InBase: > 0 }
                ? Effects.Feeds | Effects.WetsMedium
                : Effects.Feeds
            : entry.Kind == Rinsed && entry.Said.Has(SaidFacts.MediumRinse) && !entry.Said.Has(SaidFacts.LeafRinse)
                ? Flushes
                : entry.Kind == Treated && entry.Said.Has(SaidFacts.Clean)
                    ? Effects.Wounds
                    : Table[entry.Kind.Index];

    /// <summary>The kinds of entries that have an effect, always or by their words or amount.</summary>
    public static IEnumerable<EntryKind> KindsThat(Effects does)
    {
        foreach (var kind in EntryKinds.All)
            if (
                Table[kind.Index].HasFlag(does)
                || (kind == Fed && Effects.WetsMedium.HasFlag(does))
                || (kind == Rinsed && Flushes.HasFlag(does))
                || (kind == Treated && Effects.Wounds.HasFlag(does))
            )
                yield return kind;
    }

    static Effects[] Made()
    {
        var table = new Effects[EntryKind.Made];
        foreach (
            var (kind, does) in new (EntryKind, Effects)[]
            {
                (Watered, Effects.WetsMedium),
                (Soaked, Soaks),
                (ToppedUp, Effects.WetsMedium),
                (Flushed, Flushes),
                (Rinsed, Effects.WetsLeaf),
                (Repotted, Effects.DisturbsRoots | Effects.Wounds | Effects.RinsesSalt),
                (Divided, Effects.DisturbsRoots | Effects.Wounds),
                (RootsLost, Effects.Wounds),
                (Cut, Effects.Wounds),
                (Moved, Effects.Moves),
                (Lifted, Effects.DisturbsRoots | Effects.TakesWater),
                (Stored, Effects.Darkens | Effects.Covers),
                (Planted, Effects.Wakes),
                (NightLit, Effects.Lights),
            }
        )
            table[kind.Index] |= does;
        return table;
    }
}

namespace BudClock.SimulatedPlants;

/// <summary>Where a plant stands in its year.</summary>
public enum Stage
{
    /// <summary>Asleep.</summary>
    Resting,

    /// <summary>A shoot, and no roots that drink yet.</summary>
    Waking,

    /// <summary>In growth.</summary>
    Growing,

    /// <summary>Leaves go.</summary>
    Retreating,
}

/// <summary>All that is true of a simulated plant and that no grower sees as such. It can be kept and read again.</summary>
public sealed class PlantState
{
    /// <summary>Water in the medium, 0 dry to 1 soaked.</summary>
    public double Moisture { get; set; } = 0.6;

    /// <summary>Water in the plant, 0 to 1.</summary>
    public double Reserve { get; set; } = 0.95;

    /// <summary>Live roots, 0 to 1.</summary>
    public double Roots { get; set; } = 1;

    /// <summary>New roots, cm.</summary>
    public double RootCm { get; set; }

    /// <summary>How far it has rotted, 0 to 1; dead at 1.</summary>
    public double Rot { get; set; }

    /// <summary>Harm by cold, 0 to 1; dead at 1.</summary>
    public double Chill { get; set; }

    /// <summary>Pests, 0 to 1; dead at 1.</summary>
    public double Pests { get; set; }

    /// <summary>Salts in the medium, 0 to 1.</summary>
    public double Salt { get; set; }

    /// <summary>Days the medium has been wet.</summary>
    public double WetDays { get; set; }

    /// <summary>Days it has had no water left.</summary>
    public int EmptyDays { get; set; }

    /// <summary>Where it stands in its year.</summary>
    public Stage Stage { get; set; } = Stage.Growing;

    /// <summary>Days in that stage.</summary>
    public int StageDays { get; set; }

    /// <summary>Degree-days in that stage.</summary>
    public double Heat { get; set; }

    /// <summary>The shoot, cm.</summary>
    public double ShootCm { get; set; }

    /// <summary>Shoots so far.</summary>
    public int Shoots { get; set; } = 1;

    /// <summary>What held the shoot back so far; it begins anew with each.</summary>
    public Shortfall Short { get; set; } = new();

    /// <summary>The shoot is finished.</summary>
    public bool Ripe { get; set; }

    /// <summary>Days since then.</summary>
    public int RipeDays { get; set; }

    /// <summary>Leaves that are left while they go.</summary>
    public int LeavesLeft { get; set; } = 5;

    /// <summary>Nights or days counted towards bloom, and dry days after them.</summary>
    public int CueCount { get; set; }

    /// <summary>Dry days after them.</summary>
    public int DryCount { get; set; }

    /// <summary>The cue is complete; degree-days since then.</summary>
    public double? BloomHeat { get; set; }

    /// <summary>How much warmth this spike wants, against its kind: about 1.</summary>
    public double BloomPace { get; set; } = 1;

    /// <summary>The first sign of the spike shows.</summary>
    public bool Spike { get; set; }

    /// <summary>Spikes so far.</summary>
    public int Spikes { get; set; }

    /// <summary>Days its flowers still last; null while none is open.</summary>
    public int? InBloom { get; set; }

    /// <summary>Days until it may bloom again.</summary>
    public int Spent { get; set; }

    /// <summary>Out of its pot.</summary>
    public bool Lifted { get; set; }

    /// <summary>It was planted and not lifted since.</summary>
    public bool Planted { get; set; } = true;

    /// <summary>Why it died; null while it lives.</summary>
    public string? DiedOf { get; set; }

    /// <summary>How many times it bloomed.</summary>
    public int Blooms { get; set; }

    /// <summary>How quick this one is, against its kind: about 1.</summary>
    public double Pace { get; set; } = 1;

    /// <summary>Where its own chances stand.</summary>
    public ulong Chance { get; set; } = 1;
}

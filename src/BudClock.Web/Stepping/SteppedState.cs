using System.Text.Json;
using BudClock.Data;
using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Web.Stepping;

/// <summary>What is kept of a garden whose clock is stepped: its day, what is true of its plants, and what was done.</summary>
/// <param name="Day">The day it has been stepped to.</param>
/// <param name="Plants">What is true of each plant that is simulated, by tag.</param>
/// <param name="Acts">Acts of the visitor, told by the advice of their day.</param>
/// <param name="Situation">The set situation that is practised; null for the open garden.</param>
public sealed record SteppedState(DateOnly Day, Dictionary<string, PlantState> Plants, List<Told> Acts, string? Situation)
{
    const string Name = "stepped";

    /// <summary>The first day of this run.</summary>
    public DateOnly Began { get; init; } = Day;

    /// <summary>Entries that were taken in already, by when they were written down (UTC ticks).</summary>
    public long TakenIn { get; set; }

    /// <summary>The days on which plants bloomed, by tag.</summary>
    public Dictionary<string, DateOnly> Bloomed { get; init; } = [];

    /// <summary>Orders that were left undone at the end of their day.</summary>
    public int LeftUndone { get; set; }

    /// <summary>How it ended; null while it goes on.</summary>
    public PracticeEnd? End { get; set; }

    /// <summary>What is kept; null for a garden that was never stepped.</summary>
    public static async Task<SteppedState?> ReadAsync(GardenStore store)
    {
        try
        {
            return await store.SettingAsync(Name) is { } json ? JsonSerializer.Deserialize<SteppedState>(json) : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>Keeps it.</summary>
    public Change Keep() => Changes.Setting(Name, JsonSerializer.Serialize(this));
}

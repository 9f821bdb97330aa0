using System.Text.Json;
using BudClock.Data;
using Microsoft.AspNetCore.DataProtection;

namespace BudClock.Web.Outside;

/// <summary>The broker that home sensors speak to.</summary>
/// <param name="Host">Its name or address.</param>
/// <param name="Password">As it is kept: unreadable without this machine's keys.</param>
public sealed record BrokerSettings(string Host, int Port = 1883, string? User = null, string? Password = null);

/// <summary>A service that says the weather to come, and where in its answer each thing stands (JSONPath).</summary>
/// <param name="Address">With {latitude}, {longitude} and {days} in it.</param>
/// <param name="Days">The list of days, as 2031-05-24.</param>
/// <param name="Min">The list of lowest temperatures, °C.</param>
/// <param name="Max">The list of highest temperatures, °C.</param>
/// <param name="Sun">The list of sunshine; null for none.</param>
/// <param name="SunSeconds">Sunshine is in seconds, else in hours.</param>
/// <param name="Humidity">The list of mean relative humidities, percent; null for none.</param>
public sealed record ForecastSettings(
    string Address,
    string Days = "daily.time",
    string Min = "daily.temperature_2m_min",
    string Max = "daily.temperature_2m_max",
    string? Sun = "daily.sunshine_duration",
    bool SunSeconds = true,
    string? Humidity = "daily.relative_humidity_2m_mean"
);

/// <summary>What the garden knows of the world outside: its broker and its forecast.</summary>
public sealed class OutsideSettings(GardenStore store, IDataProtectionProvider protection)
{
    const string Broker = "broker";
    const string Forecast = "forecast";

    readonly IDataProtector protector = protection.CreateProtector("broker password");

    /// <summary>Raised when a setting or a device was changed.</summary>
    public event Action? Changed;

    /// <summary>The broker; null where none is set.</summary>
    public Task<BrokerSettings?> BrokerAsync() => ReadAsync<BrokerSettings>(Broker);

    /// <summary>The forecast service; null where none is set.</summary>
    public Task<ForecastSettings?> ForecastAsync() => ReadAsync<ForecastSettings>(Forecast);

    /// <summary>Keeps the broker; null for none.</summary>
    public static Change Keep(BrokerSettings? broker) => Changes.Setting(Broker, JsonSerializer.Serialize(broker));

    /// <summary>Keeps the forecast service; null for none.</summary>
    public static Change Keep(ForecastSettings? forecast) => Changes.Setting(Forecast, JsonSerializer.Serialize(forecast));

    /// <summary>A password as it is kept.</summary>
    public string Seal(string password) => protector.Protect(password);

    /// <summary>A kept password as it was; null where this machine's keys do not open it.</summary>
    public string? Open(string? kept)
    {
        try
        {
            return kept is null ? null : protector.Unprotect(kept);
        }
        catch (System.Security.Cryptography.CryptographicException)
        {
            return null;
        }
    }

    /// <summary>Tells whoever listens outside to look again.</summary>
    public void Tell() => Changed?.Invoke();

    async Task<T?> ReadAsync<T>(string name)
        where T : class
    {
        try
        {
            return await store.SettingAsync(name) is { } json ? JsonSerializer.Deserialize<T>(json) : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}

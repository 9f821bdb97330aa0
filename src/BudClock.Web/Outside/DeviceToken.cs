using System.Security.Cryptography;
using System.Text;
using BudClock.Data;

namespace BudClock.Web.Outside;

/// <summary>What a device shows to be let in; only its hash is kept.</summary>
public static class DeviceToken
{
    const int Bytes = 24;

    /// <summary>A new token, and what is kept of it.</summary>
    public static (string Token, string Hash) New()
    {
        var token = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(Bytes));
        return (token, HashOf(token));
    }

    /// <summary>What is kept of a token.</summary>
    public static string HashOf(string token) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}

/// <summary>Which device a token is of. Kept in memory, and looked up again once the garden has changed.</summary>
public sealed class DeviceDoor(GardenStore store, TodaysGarden todaysGarden)
{
    volatile Known known = new(-1, []);

    sealed record Known(int At, Dictionary<string, Device> ByHash);

    /// <summary>The device of a token; null where it is none's.</summary>
    public async Task<Device?> FindAsync(string token)
    {
        var (now, door) = (todaysGarden.GardenChanged, known);
        if (door.At != now)
        {
            var devices = (await store.DevicesAsync()).Where(kept => kept.TokenHash is not null);
            known = door = new(now, devices.ToDictionary(kept => kept.TokenHash!, kept => kept.Device));
        }
        return door.ByHash.GetValueOrDefault(DeviceToken.HashOf(token));
    }
}

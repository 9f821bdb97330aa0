using System.Security.Cryptography;
using System.Text;

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

using System.Buffers.Text;
using System.Security.Cryptography;

namespace BudClock.Web.Outside;

/// <summary>A garden's own pair of keys for web notifications (VAPID, RFC 8292): P-256, in base64url.</summary>
public static class PushKeys
{
    /// <summary>A new pair.</summary>
    public static (string Public, string Private) New()
    {
        using var pair = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var key = pair.ExportParameters(includePrivateParameters: true);
        return (Base64Url.EncodeToString([4, .. key.Q.X!, .. key.Q.Y!]), Base64Url.EncodeToString(key.D!));
    }
}

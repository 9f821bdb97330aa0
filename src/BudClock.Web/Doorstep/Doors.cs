namespace BudClock.Web.Doorstep;

/// <summary>
/// Who may come in, and what every answer says: nothing comes from elsewhere, and nothing runs that is not a file of ours.
/// </summary>
public sealed class Doors(RequestDelegate next)
{
    const string Policy =
        "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public async Task InvokeAsync(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers["Permissions-Policy"] = "camera=(), geolocation=(), microphone=(), payment=(), usb=()";
        context.Response.OnStarting(() =>
        {
            // One address is answered by a page or by a piece of it: what is kept of one never stands for the other.
            headers.Append("Vary", "HX-Request, HX-History-Restore-Request");
            if (headers.CacheControl.Count == 0)
                headers.CacheControl = "no-store";
            return Task.CompletedTask;
        });
        // A page elsewhere that resolves to this machine must not read the garden.
        if (context.Request.Host.Host is not ("127.0.0.1" or "localhost"))
            await RefuseAsync(context, StatusCodes.Status400BadRequest, "Bud Clock answers at 127.0.0.1 and localhost only.");
        else if (IsForeign(context.Request))
            await RefuseAsync(context, StatusCodes.Status403Forbidden, "Another site cannot write into this garden.");
        else
            await next(context);
    }

    /// <summary>A browser says which page a writing request comes from; a program that is no browser says nothing.</summary>
    static bool IsForeign(HttpRequest request) =>
        !HttpMethods.IsGet(request.Method)
        && !HttpMethods.IsHead(request.Method)
        && request.Headers.Origin is [{ } origin, ..]
        && !origin.Equals($"{request.Scheme}://{request.Host}", StringComparison.OrdinalIgnoreCase);

    static Task RefuseAsync(HttpContext context, int status, string words) => Problems.Say(status, words).ExecuteAsync(context);
}

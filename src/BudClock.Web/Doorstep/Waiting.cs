using Microsoft.Net.Http.Headers;

namespace BudClock.Web.Doorstep;

/// <summary>
/// Until the garden is open a page says what is being done, and goes on by itself (waiting.js); programs and forms wait for their answer.
/// </summary>
public sealed class Waiting(RequestDelegate next, Opened opened)
{
    /// <summary>Most starts are over by then, and a page that comes a moment later is better than one that says to wait.</summary>
    static readonly TimeSpan Moment = TimeSpan.FromSeconds(0.5);

    public async Task InvokeAsync(HttpContext context)
    {
        var person = HttpMethods.IsGet(context.Request.Method) && context.Request.Headers.Accept.ToString().Contains("text/html");
        if (await ComesAsync(person ? opened.Read : opened.Ready, person ? Moment : Timeout.InfiniteTimeSpan, context.RequestAborted))
            await next(context);
        else
            await SayAsync(context.Response);
    }

    static async ValueTask<bool> ComesAsync(Task what, TimeSpan within, CancellationToken cancel)
    {
        if (what.IsCompletedSuccessfully)
            return true;
        var comes = what.WaitAsync(within, cancel);
        await comes.ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
        return comes.IsCompletedSuccessfully;
    }

    Task SayAsync(HttpResponse response)
    {
        response.StatusCode = StatusCodes.Status503ServiceUnavailable;
        response.Headers[HeaderNames.RetryAfter] = "1";
        response.ContentType = "text/html; charset=utf-8";
        return response.WriteAsync(
            $"""
            <!DOCTYPE html>
            <html lang="en">
            <head>
              <meta charset="utf-8" />
              <meta name="viewport" content="width=device-width, initial-scale=1" />
              <title>Opening · Bud Clock</title>
              <link rel="stylesheet" href="/site.css" />
              <script src="/site.js" defer></script>
            </head>
            <body>
              <header class="top">
                <span class="brand"><svg width="28" height="28" viewBox="-14 -14 28 28" aria-hidden="true"><circle r="12" /><path
                  d="M0 0V-9M0 0C6-1 8-5 8-8C3-8 0-5 0 0Z" /></svg>Bud Clock</span>
              </header>
              <main id="main">
                <div class="sheet-page" data-waits>
                  <h1>The garden is being opened</h1>
                  <p role="status">{opened.Doing} This page goes on by itself in a moment.</p>
                  <p><a class="btn btn-line" href="">Look again</a></p>
                </div>
              </main>
            </body>
            </html>
            """
        );
    }
}

using BudClock.Data;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages;

/// <summary>What to do when a page is not there or something went wrong. It asks nothing of the garden, which may be the trouble.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class TroubleModel : PageModel
{
    [BindProperty(SupportsGet = true)]
    public int Code { get; set; }

    /// <summary>What the disk or the file says, as sentences; null for any other trouble.</summary>
    public string? Storage { get; private set; }

    /// <summary>What was typed, so that it is not lost.</summary>
    public IReadOnlyList<(string Field, string Value)> Typed { get; private set; } = [];

    public IActionResult OnGet() => Answer();

    public IActionResult OnPost()
    {
        if (Request.HasFormContentType)
            try
            {
                Typed =
                [
                    .. Request
                        .Form.Where(field => field.Key is not ("__RequestVerificationToken" or ActTagHelper.Field or "returnUrl"))
                        .Select(field => (field.Key.Split('.')[^1], string.Join(", ", field.Value.Select(value => value))))
                        .Where(field => field.Item2.Length is > 0 and < 4000)
                        .Take(60),
                ];
            }
            catch (Exception fault) when (fault is BadHttpRequestException or InvalidDataException or IOException)
            {
                Typed = []; // it never arrived whole
            }
        return Answer();
    }

    IActionResult Answer()
    {
        var thrown = HttpContext.Features.Get<IExceptionHandlerPathFeature>();
        Storage = StorageTrouble.Say(thrown?.Error);
        if (Code == 0)
            Code = thrown is null ? StatusCodes.Status404NotFound : Response.StatusCode;
        if (Storage is not null)
            Response.Headers["X-Trouble"] = new string([.. Storage.Where(char.IsAscii).Where(sign => !char.IsControl(sign))]);
        var path = thrown?.Path ?? HttpContext.Features.Get<IStatusCodeReExecuteFeature>()?.OriginalPath;
        if (path?.StartsWith("/api", StringComparison.Ordinal) == true)
            return new ProblemPage(Code, Storage ?? Words);
        return Page();
    }

    string Words =>
        Code switch
        {
            StatusCodes.Status404NotFound => "There is nothing at this address.",
            StatusCodes.Status405MethodNotAllowed => "This address is not asked in that way.",
            StatusCodes.Status413PayloadTooLarge => "That was too large; up to 20 MB are taken.",
            StatusCodes.Status415UnsupportedMediaType => "Send JSON, with Content-Type application/json.",
            StatusCodes.Status400BadRequest => "The request could not be read.",
            _ => "Something went wrong here. What was acknowledged before is safe; the same act may be sent again under its id.",
        };

    /// <summary>The same for a program.</summary>
    sealed class ProblemPage(int status, string words) : IActionResult
    {
        public Task ExecuteResultAsync(ActionContext context) => Problems.Say(status, words).ExecuteAsync(context.HttpContext);
    }
}

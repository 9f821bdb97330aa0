using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages;

/// <summary>What to do when a page is not there or something went wrong.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class TroubleModel : PageModel
{
    [BindProperty(SupportsGet = true)]
    public int Code { get; set; } = StatusCodes.Status500InternalServerError;

    public void OnGet() { }

    public void OnPost() { }
}

using Htmx;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages;

/// <summary>A page about the garden as it stands today. Before there is a garden, it leads to the start.</summary>
public abstract class GardenPage(TodaysGarden todaysGarden) : PageModel
{
    public GardenDay Today { get; private set; } = null!;

    protected TodaysGarden TodaysGarden => todaysGarden;

    /// <summary>The id that the form gives its act; null where it gives none.</summary>
    [BindProperty(Name = ActTagHelper.Field)]
    public Guid? Act { get; set; }

    /// <summary>A fragment is asked for. Whoever comes back to a page gets the whole of it.</summary>
    protected bool IsHtmx => Request.IsHtmx() && !Request.Headers.ContainsKey(HtmxRequestHeaders.Keys.HistoryRestoreRequest);

    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        // What a form of ours never sends, such as a tick that is a word, was made by hand.
        if (HttpMethods.IsPost(Request.Method) && ModelState.Values.Any(field => field.Errors.Any(IsNoValue)))
            context.Result = new BadRequestResult();
        else if (await todaysGarden.TodayAsync() is { } today)
        {
            Today = today;
            await next();
        }
        else
        {
            context.Result = new RedirectResult("/start");
        }
    }

    static bool IsNoValue(ModelError error) =>
        error.Exception is not null || error.ErrorMessage.StartsWith("The value '", StringComparison.Ordinal);

    /// <summary>Where a form without script goes back to: a page of ours, or the Round.</summary>
    protected IActionResult Back(string? returnUrl) =>
        LocalRedirect(Url.IsLocalUrl(returnUrl) && returnUrl!.All(c => c is > ' ' and < '\u007f') ? returnUrl! : "/");
}

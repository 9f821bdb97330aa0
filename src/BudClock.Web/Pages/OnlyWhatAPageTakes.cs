using Microsoft.AspNetCore.Mvc.Filters;

namespace BudClock.Web.Pages;

/// <summary>
/// What a page has no handler for, such as an act sent to a page that takes none, is refused. The framework would draw the page
/// without asking its model first, and the page has nothing to draw from then.
/// </summary>
sealed class OnlyWhatAPageTakes : IPageFilter
{
    public void OnPageHandlerSelected(PageHandlerSelectedContext context)
    {
        if (context.HandlerMethod is not null || context.HandlerInstance is TroubleModel)
            return;
        var asked = HttpMethods.IsGet(context.HttpContext.Request.Method);
        throw new BadHttpRequestException(
            "This page has no such act.",
            asked ? StatusCodes.Status404NotFound : StatusCodes.Status405MethodNotAllowed
        );
    }

    public void OnPageHandlerExecuting(PageHandlerExecutingContext context) { }

    public void OnPageHandlerExecuted(PageHandlerExecutedContext context) { }
}

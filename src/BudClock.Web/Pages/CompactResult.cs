using System.Text;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>A fragment without the blanks that only make its source readable: a note's answer is mostly indentation otherwise.</summary>
/// <remarks>Only for fragments in which blanks say nothing: no preformatted text, no text area.</remarks>
public sealed partial class CompactResult(PartialViewResult fragment) : IActionResult
{
    /// <inheritdoc/>
    public async Task ExecuteResultAsync(ActionContext context)
    {
        var response = context.HttpContext.Response;
        var (body, written) = (response.Body, new MemoryStream());
        response.Body = written;
        try
        {
            await fragment.ExecuteResultAsync(context);
        }
        finally
        {
            response.Body = body;
        }
        await response.WriteAsync(Blanks().Replace(Encoding.UTF8.GetString(written.ToArray()), " "), context.HttpContext.RequestAborted);
    }

    [GeneratedRegex(@"\s+")]
    private static partial Regex Blanks();
}

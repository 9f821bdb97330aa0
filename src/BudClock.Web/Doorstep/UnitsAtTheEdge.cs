using System.Text;
using System.Text.RegularExpressions;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Doorstep;

/// <summary>
/// The one place that speaks US units: every page of a garden with US units has its quantities converted as it leaves. What people
/// typed into a field stays as they typed it, and what programs are told stays metric.
/// </summary>
public sealed partial class UnitsAtTheEdge(RequestDelegate next)
{
    public async Task InvokeAsync(HttpContext context, TodaysGarden todaysGarden)
    {
        if (context.GetEndpoint()?.Metadata.GetMetadata<PageActionDescriptor>() is null || !await SpeaksUsAsync(todaysGarden))
        {
            await next(context);
            return;
        }
        var body = context.Response.Body;
        using var page = new MemoryStream();
        context.Response.Body = page;
        try
        {
            await next(context);
        }
        finally
        {
            context.Response.Body = body;
        }
        page.Position = 0;
        if (context.Response.ContentType?.StartsWith("text/html", StringComparison.OrdinalIgnoreCase) != true)
        {
            await page.CopyToAsync(body, context.RequestAborted);
            return;
        }
        var said = Encoding.UTF8.GetBytes(Of(Encoding.UTF8.GetString(page.GetBuffer(), 0, (int)page.Length)));
        if (context.Response.ContentLength is not null)
            context.Response.ContentLength = said.Length;
        await body.WriteAsync(said, context.RequestAborted);
    }

    /// <summary>Where the garden cannot be read, the page that says so is as it is.</summary>
    static async Task<bool> SpeaksUsAsync(TodaysGarden todaysGarden)
    {
        try
        {
            return (await todaysGarden.TodayAsync())?.Garden.UsUnits == true;
        }
        catch (Exception fault) when (StorageTrouble.Say(fault) is not null)
        {
            return false;
        }
    }

    /// <summary>A page with the quantities of its text converted; fields, scripts and attributes stay.</summary>
    public static string Of(string html) =>
        Pieces().Replace(html, piece => piece.Groups["text"].Success ? UsProse.Of(piece.Value.Replace("&#xB0;C", "°C")) : piece.Value);

    [GeneratedRegex(
        @"<(?:textarea|script|style)\b.*?</(?:textarea|script|style)>|<[^>]*>|(?<text>[^<]+)",
        RegexOptions.Singleline | RegexOptions.IgnoreCase
    )]
    private static partial Regex Pieces();
}

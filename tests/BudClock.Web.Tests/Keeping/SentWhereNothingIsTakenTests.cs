using System.Net;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Keeping;

/// <summary>What is sent to a page that takes no such act is refused in words, on every page there is; none of them falls over.</summary>
public class SentWhereNothingIsTakenTests
{
    /// <summary>Addresses of the demo for pages whose own address names a plant, a sheet, a batch or a rule.</summary>
    static readonly string[] Named = ["/plants/L01", "/plants/L01/edit", "/sheets/leafless-pseudobulb", "/rules/rules"];

    [Fact]
    public async Task A_page_refuses_what_it_has_no_act_for()
    {
        await using var site = await Site.DemoAsync();
        string[] paths = [.. Plain(site).Concat(Named).Distinct()];
        Assert.True(paths.Length > 20, $"Only {paths.Length} pages were found.");
        var fallen = new List<string>();
        foreach (var path in paths)
        {
            // An act that no page has, by a form, by an address, and in ways that no form sends.
            await SendAsync(HttpMethod.Get, $"{path}?handler=NoSuchAct");
            await SendAsync(HttpMethod.Put, path);
            await SendAsync(HttpMethod.Delete, path);
            foreach (var htmx in (bool[])[false, true])
                Note("POST", path, (await site.SendAsync($"{path}?handler=NoSuchAct", htmx, ("returnUrl", "/"))).StatusCode);
        }
        Assert.Empty(fallen);

        async Task SendAsync(HttpMethod method, string address)
        {
            using var request = new HttpRequestMessage(method, address);
            using var answer = await site.Http.SendAsync(request);
            Note(method.Method, address, answer.StatusCode);
        }

        void Note(string method, string address, HttpStatusCode status)
        {
            if ((int)status >= 500)
                fallen.Add($"{method} {address}: {(int)status}");
        }
    }

    [Fact]
    public async Task The_refusal_says_so_in_words()
    {
        await using var site = await Site.DemoAsync();
        var answer = await site.SendAsync("/sheets/leafless-pseudobulb", htmx: false, ("returnUrl", "/"));
        Assert.Equal(HttpStatusCode.MethodNotAllowed, answer.StatusCode);
        Assert.Contains("Nothing was saved", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    /// <summary>Every page whose address has no part to fill in.</summary>
    static IEnumerable<string> Plain(Site site) =>
        site
            .Services.GetRequiredService<EndpointDataSource>()
            .Endpoints.OfType<RouteEndpoint>()
            .Where(end => end.Metadata.GetMetadata<PageActionDescriptor>() is not null)
            .Where(end => end.RoutePattern.Parameters.Count == 0)
            .Select(end => "/" + end.RoutePattern.RawText?.TrimStart('/').ToLowerInvariant());
}

using BudClock.Web.Doorstep;
using Microsoft.AspNetCore.Http;

namespace BudClock.Web.Tests;

/// <summary>Until the garden is open: a person is told what is being done, a program waits, and nothing gets past.</summary>
public class WaitingTests
{
    readonly Opened opened = new();
    bool passed;

    Waiting Door =>
        new(
            _ =>
            {
                passed = true;
                return Task.CompletedTask;
            },
            opened
        );

    static DefaultHttpContext Asking(string method, string accept)
    {
        var context = new DefaultHttpContext { Response = { Body = new MemoryStream() } };
        context.Request.Method = method;
        context.Request.Headers.Accept = accept;
        return context;
    }

    [Fact]
    public async Task A_page_says_what_is_being_done()
    {
        opened.Say("The demo garden is planted.");
        var context = Asking("GET", "text/html");
        await Door.InvokeAsync(context);
        context.Response.Body.Position = 0;
        var page = await new StreamReader(context.Response.Body).ReadToEndAsync(TestContext.Current.CancellationToken);
        Assert.False(passed);
        Assert.Equal((503, "1"), (context.Response.StatusCode, context.Response.Headers.RetryAfter.ToString()));
        Assert.Contains("The demo garden is planted. This page goes on by itself", page);
    }

    [Theory]
    [InlineData("GET", "*/*")]
    [InlineData("POST", "text/html")]
    public async Task A_program_and_a_form_wait_until_it_can_be_written(string method, string accept)
    {
        var asked = Door.InvokeAsync(Asking(method, accept));
        Assert.False(asked.IsCompleted);
        opened.SayReady();
        await asked;
        Assert.True(passed);
    }

    [Fact]
    public async Task Once_it_has_been_read_nobody_waits()
    {
        opened.SayReady();
        opened.SayRead();
        var asked = Door.InvokeAsync(Asking("GET", "text/html"));
        Assert.True(asked.IsCompletedSuccessfully);
        await asked;
        Assert.True(passed);
    }
}

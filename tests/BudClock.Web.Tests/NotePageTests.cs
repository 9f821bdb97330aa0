using System.Net;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

/// <summary>What happens to a typed line: logged whole, or given back whole with a sentence.</summary>
public class NotePageTests
{
    [Fact]
    public async Task A_note_is_logged_and_the_page_told_that_the_journal_changed()
    {
        await using var site = await Site.DemoAsync();
        using var response = await site.SendAsync("/notes", htmx: true, ("text", "cal-02 roots 10,5cm"));
        Assert.Contains("journal-changed", string.Join(' ', response.Headers.GetValues("HX-Trigger")));
        Assert.Contains(
            "Logged on CAL-02: Roots 10.5 cm.",
            await response.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );
        Assert.StartsWith("Do", (await site.PageAsync("/")).QuerySelector("#row-CAL-02 .row-words").Words());
    }

    [Theory]
    [InlineData("lyc-99 roots 8cm", "No plant here is tagged \"lyc-99\". Nearest: LYC-01.")]
    [InlineData("cal-02 roots -3cm", "Roots can be 0 to 200 cm; −3 cm is outside that.")]
    [InlineData("cal-02 roots 300cm", "Roots can be 0 to 200 cm; 300 cm is outside that.")]
    [InlineData("cal-02 soaked 2031-06-01", "1 Jun 2031 is still to come")]
    [InlineData("cal-02 roots 9 cm, frobs blue", "\"frobs blue\" is not a word of the log.")]
    [InlineData("", "Write a plant's tag and what you saw")]
    public async Task What_cannot_be_read_comes_back_as_typed_and_nothing_is_saved(string text, string sentence)
    {
        await using var site = await Site.DemoAsync();
        var before = await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken);
        var page = await site.PostAsync("/notes", ("text", text));
        Assert.Contains(sentence, page.QuerySelector("main").Words());
        if (text.Length > 0)
            Assert.Equal(text, page.QuerySelector("#note-text")!.GetAttribute("value"));
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task A_megabyte_is_answered_with_a_sentence()
    {
        await using var site = await Site.DemoAsync();
        using var response = await site.SendAsync("/notes", htmx: true, ("text", "cal-02 " + new string('x', 1 << 20)));
        Assert.Equal(HttpStatusCode.OK, response.StatusCode);
        Assert.Contains(
            "A note holds at most 2000 characters",
            await response.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );
        Assert.False(response.Headers.Contains("HX-Trigger"));
    }

    [Fact]
    public async Task Undo_takes_back_one_act_whole_and_restore_brings_it_again()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "cal-02 roots 10.5 cm, bulbs plump"));
        await site.PostAsync("/notes?handler=Undo");
        var page = await site.PageAsync("/plants/CAL-02");
        Assert.Equal(
            ["Bulbs plump", "Roots 10.5 cm growth 2031"],
            page.QuerySelectorAll(".log .struck .words").Select(e => e.Words()).Order()
        );
        Assert.Contains("Roots 8.5 of 10 cm", page.QuerySelector(".advice").Words());

        var id = page.QuerySelectorAll(".log .struck")
            .Single(e => e.Words().Contains("Roots"))
            .QuerySelector("input[name=entry]")!
            .GetAttribute("value")!;
        await site.PostAsync("/notes?handler=Strike", ("tag", "CAL-02"), ("entry", id), ("struck", "false"));
        Assert.Contains("Roots 10.5 cm", (await site.PageAsync("/plants/CAL-02")).QuerySelector(".advice").Words());
    }

    [Theory]
    [InlineData("text", "cal-02 roots 8.9 cm")]
    [InlineData("text", "lyc-01 growth 9 cm")]
    public async Task A_note_on_the_round_is_answered_with_what_it_changes_and_not_the_board(string field, string text)
    {
        await using var site = await Site.DemoAsync();
        site.Http.DefaultRequestHeaders.Add("HX-Current-URL", site.Address + "/?selected=LYC-01");
        var answer = await site.SendAsync("/notes", true, (field, text));
        var html = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.DoesNotContain("id=\"board\"", html);
        if (text.StartsWith("lyc", StringComparison.Ordinal))
        {
            Assert.InRange(html.Length, 500, 10_000);
            Assert.Contains("id=\"row-LYC-01\"", html);
            Assert.Contains("id=\"round-counts\" hx-swap-oob=\"true\"", html);
            Assert.False(answer.Headers.TryGetValues("HX-Trigger", out var triggers) && triggers.Any(t => t.Contains("journal-changed")));
        }
        else
        {
            // It was held, so more of the board may change: it is fetched anew.
            Assert.InRange(html.Length, 20, 2000);
        }
    }

    [Fact]
    public async Task There_is_nothing_to_undo_in_what_came_with_a_file()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains("There is nothing left to undo.", (await site.PostAsync("/notes?handler=Undo")).QuerySelector("main").Words());
    }

    [Theory]
    [InlineData("-3", "Roots can be 0 to 200 cm")]
    [InlineData("long", "\"long\" is not a number with a unit")]
    [InlineData("", "Roots needs a number")]
    public async Task A_number_that_is_none_is_refused(string amount, string sentence)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/notes?handler=Entry", ("tag", "CAL-02"), ("kind", "root-length"), ("amount", amount));
        Assert.Contains(sentence, page.QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_form_without_its_token_changes_nothing()
    {
        await using var site = await Site.DemoAsync();
        using var response = await site.Http.PostAsync(
            "/notes",
            new FormUrlEncodedContent([new("text", "cal-02 soaked")]),
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        Assert.Contains("Nothing was saved", await response.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }
}

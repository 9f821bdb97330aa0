using BudClock.Core.Advising;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>The whole plant on record, in a real browser.</summary>
public class RecordTests
{
    [Fact]
    public async Task Roots_are_measured_on_a_phone_in_two_taps_and_a_number()
    {
        await using var site = await Site.DemoAsync(new(2031, 5, 25));
        using var browser = new Chromium(site.Address, 390, 844).Open("/");
        browser.Click("#row-CYC-01 .row-act a");
        browser.Sees(".chosen .choose", "Swan orchid");
        browser.Press("6" + Keys.Enter);
        browser.Sees("#said", "Logged on CYC-01:");
        Assert.Contains("cm", browser.Words("#said"));
    }

    [Fact]
    public async Task A_flag_is_set_its_day_comes_and_the_answer_stands_beside_what_was_before()
    {
        await using var site = await Site.DemoAsync();
        using (var browser = new Chromium(site.Address).Open("/plants/CER-01"))
        {
            browser.Click(".flag summary");
            browser.Find(".flag input[name=words]").SendKeys("has the top filled in?");
            browser.Click(".flag button");
            browser.Sees("#said", "Logged on CER-01");
            browser.Sees(".advice", "look again 3 Jun");
        }
        await using var later = await site.AgainAsync(new(2031, 6, 3));
        using var again = new Chromium(later.Address).Open("/");
        again.Sees("#row-CER-01 .reason", "Flagged 10 days ago: has the top filled in?");
        again.Open("/plants/CER-01/look");
        again.Sees(".before-now", "Growth room side 58 cm 18 May");
        again.Find(".before-now input.number").SendKeys("61");
        again.Click("#answer-better");
        again.Click("form button.btn-ink");
        again.Sees(".log", "Second look better");
        again.Sees(".log", "61 cm");
        Assert.Empty(again.ConsoleErrors);
    }

    [Fact]
    public async Task Two_pictures_are_compared_by_drawing_one_over_the_other()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/ONC-02");
        var pictures = browser.All(".strip [data-picture]");
        browser.Drag(pictures[^1], pictures[0]);
        browser.Sees("h1", "Two dates");
        Assert.Contains("/compare?a=", browser.Path);
        browser.Run(
            "const s = document.querySelector('.two-wipe input'); s.value = 80; s.dispatchEvent(new Event('input', { bubbles: true }))"
        );
        Assert.Equal("inset(0px 0px 0px 20%)", browser.Run("return getComputedStyle(document.querySelector('.two .over')).clipPath"));
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_note_asks_which_of_two_spikes_and_one_tap_answers()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/ONC-02");
        browser.Find("#note-text").SendKeys("onc-02 spike 33 cm" + Keys.Enter);
        browser.Sees("#said .question", "Which one?");
        browser.Click("#said .question form:last-of-type button");
        browser.Sees("#said", "Logged on ONC-02: Spike 33 cm.");
        browser.Sees(".log", "Spike 33 cm");
    }

    [Fact]
    public async Task The_form_follows_the_kind_that_is_chosen()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address, 390, 844).Open("/plants/CLD-01/log");
        browser.Run(
            "const s = document.querySelector('input[name=kind]'); s.value = 'Tuber'; s.dispatchEvent(new Event('change', { bubbles: "
                + "true }))"
        );
        browser.Sees("#entry-fields h2", "Tuber");
        browser.Click("#state-soft");
        browser.Run("document.querySelector('#entry-organ').value = 't2'");
        browser.Click("#entry-fields .btn-ink");
        browser.Sees(".log", "Tuber soft tuber small");
    }
}

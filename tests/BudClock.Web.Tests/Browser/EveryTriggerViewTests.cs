namespace BudClock.Web.Tests.Browser;

/// <summary>The views of triggers and of practice, as <see cref="EveryViewTests"/> looks at the others.</summary>
public class EveryTriggerViewTests
{
    static readonly string[] Views =
    [
        "/triggers",
        "/triggers/programmes",
        "/triggers/programmes/cool-nights",
        "/triggers/programmes/cool-nights/edit",
        "/triggers/bulbs?Dates=2031-12-24&Bulbs=24&Every=28&Store=store",
        "/triggers/season",
        "/triggers/calendar",
        "/practice",
        "/practice/end",
    ];

    [Fact, Long]
    public async Task Axe_finds_nothing_and_nothing_overflows()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "cal-02 watered 400 ml"), ("returnUrl", "/"));
        await site.PostAsync("/practice/step", ("step", "day"), ("returnUrl", "/"));
        EveryViewTests.AreClean(site, Views);
    }

    [Fact, Long]
    public async Task On_a_phone_and_in_the_evening_too() => EveryViewTests.AreCleanOtherwise(await Site.ReadAsync(), Views);
}

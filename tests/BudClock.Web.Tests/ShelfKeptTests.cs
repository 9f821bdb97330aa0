using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Core.Mixing;
using BudClock.Data;
using BudClock.Web.Demo;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>The mixing shelf on disk and in files.</summary>
public sealed class ShelfKeptTests : IAsyncLifetime
{
    readonly DirectoryInfo folder = Directory.CreateTempSubdirectory("bud-clock-");
    ServiceProvider services = null!;

    public async ValueTask InitializeAsync()
    {
        services = new ServiceCollection().AddGarden(folder.FullName).BuildServiceProvider();
        await GardenFolder.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), folder.FullName, _ => { });
    }

    public async ValueTask DisposeAsync()
    {
        await services.DisposeAsync();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        folder.Delete(recursive: true);
    }

    async Task<Shelf> ReadAsync() => (await services.GetRequiredService<GardenStore>().ReadAsync())!.Shelf;

    async Task ImportAsync(GardenRecord garden)
    {
        var here = await services.GetRequiredService<GardenStore>().ReadAsync() ?? new(Garden.Unnamed, [], [], [], []);
        await WriteAsync(ImportRows.Take(new ImportPlan(here, garden, ImportWay.Merge, GardenToo: false)));
    }

    Task WriteAsync(Change change) =>
        services
            .GetRequiredService<GardenWriter>()
            .WriteAsync(new(Guid.CreateVersion7(), "test", DateTimeOffset.UnixEpoch, "a change"), change);

    [Fact]
    public async Task The_demo_s_shelf_comes_out_of_the_database_as_it_went_in_also_twice()
    {
        var demo = DemoGarden.Read();
        await ImportAsync(demo);
        await ImportAsync(demo);
        var shelf = await ReadAsync();
        Assert.Equal(
            (demo.Shelf.Waters.Count, demo.Shelf.Feeds.Count, demo.Shelf.Recipes.Count, demo.Shelf.Batches.Count, demo.Shelf.Trials.Count),
            (shelf.Waters.Count, shelf.Feeds.Count, shelf.Recipes.Count, shelf.Batches.Count, shelf.Trials.Count)
        );
        Assert.Equal(demo.Shelf.Waters.OrderBy(w => w.Name), shelf.Waters);
        Assert.Equal(demo.Shelf.Feeds.OrderBy(f => f.Name), shelf.Feeds);
        Assert.Equal(demo.Shelf.Batches, shelf.Batches);
        Assert.Equal(demo.Shelf.Tools, shelf.Tools);
        foreach (var recipe in demo.Shelf.Recipes)
            Assert.Equal(
                (recipe.Name, recipe.Bottle, string.Join(" ", recipe.Waters), string.Join(" ", recipe.Feeds)),
                Words(shelf.Recipe(recipe.Code)!)
            );
        Assert.Equal(["ALO-05"], shelf.Trials.Single().Plants);
        Assert.Contains((await services.GetRequiredService<GardenStore>().ReadPlantAsync("CAT-01"))!.Entries, entry =>
            entry.Mix == "G310520"
        );

        static (string, string, string, string) Words(Recipe recipe) =>
            (recipe.Name, recipe.Bottle, string.Join(" ", recipe.Waters), string.Join(" ", recipe.Feeds));
    }

    [Fact]
    public async Task What_is_exported_is_read_again_with_its_shelf()
    {
        await ImportAsync(DemoGarden.Read());
        var written = GardenFileWriter.Write((await services.GetRequiredService<GardenStore>().ReadAsync())!);
        var read = GardenFileReader.Read(written, CultureSheets.Shipped);
        Assert.Empty(read.Faults);
        Assert.Equal(written, GardenFileWriter.Write(read.Garden!));
    }

    [Fact]
    public async Task Saving_again_changes_and_taking_off_removes()
    {
        await ImportAsync(DemoGarden.Read());
        var shelf = await ReadAsync();
        await WriteAsync(Changes.Shelf(shelf.Water("tap")! with { TdsPpm = 280, Measured = new(2031, 5, 24) }));
        await WriteAsync(Changes.Shelf(shelf.Batch("G310520")! with { ThrownAway = new(2031, 5, 24) }));
        await WriteAsync(Changes.Tools(shelf.Tools with { MeterScale = 700 }));
        await WriteAsync(Changes.Tools(shelf.Tools with { MeterScale = 700, ReservePercent = 20 }));
        await WriteAsync(Changes.OffShelf<Feed>(feed => feed.Code == "pellets"));
        var after = await ReadAsync();
        Assert.Equal(
            (280, new DateOnly(2031, 5, 24), 700, 20, shelf.Waters.Count, shelf.Feeds.Count - 1),
            (
                after.Water("tap")!.TdsPpm,
                after.Batch("G310520")!.ThrownAway,
                after.Tools.MeterScale,
                after.Tools.ReservePercent,
                after.Waters.Count,
                after.Feeds.Count
            )
        );
    }

    [Fact]
    public async Task A_batch_that_was_acknowledged_is_there_after_a_restart()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync(
            "/mixing/today",
            ("Form.Bottle", "growth"),
            ("Form.Recipe", "growth"),
            ("Form.Litres", "2 L"),
            ("Form.Measured", "250"),
            ("Form.Ph", "6"),
            ("Form.Tags", "SAI-04")
        );
        Assert.Contains("G310524", page.QuerySelector("h1").Words());
        await using var again = await site.AgainAsync(new(2031, 5, 25));
        Assert.Contains(
            "Mixed 24 May, 2 L: 1.76 L Rain from the butt, 240 mL Tap in the potting room; 0.5 g Balanced powder.",
            (await again.PageAsync("/mixing/batches/G310524")).QuerySelector("main").Words()
        );
    }

    [Fact]
    public async Task The_machine_s_view_names_the_bottle_and_the_strength()
    {
        var site = await Site.ReadAsync();
        using var json = System.Text.Json.JsonDocument.Parse(
            await site.Http.GetStringAsync("/api/plants/HOY-02/advice", TestContext.Current.CancellationToken)
        );
        var feed = json
            .RootElement.GetProperty("advice")
            .EnumerateArray()
            .Single(advice => advice.GetProperty("topic").GetString() == "feed");
        Assert.Equal(
            ("do", "F4", "bloom", "50 % of the label"),
            (
                feed.GetProperty("verdict").GetString(),
                feed.GetProperty("rule").GetString(),
                feed.GetProperty("bottle").GetString(),
                feed.GetProperty("amount").GetString()
            )
        );
    }

    [Fact]
    public async Task A_note_gives_a_batch_by_its_code_and_the_log_leads_to_it()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "sai-04: watered 50 ml #g310520, fed #g310520"));
        var log = (await site.PageAsync("/plants/SAI-04")).QuerySelector(".log")!;
        Assert.Contains("Watered 50 mL G310520", log.Words());
        Assert.NotNull(log.QuerySelector("a[href='/mixing/batches/G310520']"));
    }
}

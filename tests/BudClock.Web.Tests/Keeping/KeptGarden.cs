using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Keeping;

/// <summary>A small garden on disk with the one door to write into it, without a server.</summary>
sealed class KeptGarden : IAsyncDisposable
{
    public static readonly DateOnly Day = new(2031, 5, 24);

    public const string Small = """
        { "format": "bud-clock-garden", "version": 1, "garden": { "name": "Kept", "latitude": 51.5, "longitude": 0.7 },
          "places": [ { "code": "south", "name": "South bench" }, { "code": "north", "name": "North bench" } ],
          "plants": [ { "tag": "A-1", "taxon": "Lycaste aromatica", "place": "south", "medium": "bark" },
                      { "tag": "A-2", "taxon": "Hoya carnosa", "place": "south" },
                      { "tag": "A-3", "taxon": "Clivia miniata", "place": "north" } ] }
        """;

    readonly DirectoryInfo folder = Directory.CreateTempSubdirectory("bud-clock-");
    readonly ServiceProvider services;

    KeptGarden(IInterceptor[] between)
    {
        services = new ServiceCollection().AddGarden(folder.FullName, between).BuildServiceProvider();
        (Store, Writer) = (services.GetRequiredService<GardenStore>(), services.GetRequiredService<GardenWriter>());
        Clock = new(TimeProvider.System, Day);
        Today = new(Store, new(Store), Clock);
        Logbook = new(Writer, Today, Clock);
    }

    public string Folder => folder.FullName;
    public GardenStore Store { get; }
    public GardenWriter Writer { get; }
    public Clock Clock { get; }
    public TodaysGarden Today { get; }
    public Logbook Logbook { get; }
    public IDbContextFactory<GardenDb> Databases => services.GetRequiredService<IDbContextFactory<GardenDb>>();

    public static async Task<KeptGarden> StartAsync(params IInterceptor[] between)
    {
        var kept = new KeptGarden(between);
        await GardenFolder.PrepareAsync(kept.Databases, kept.Folder, _ => { });
        await kept.Logbook.BeginAsync("A small garden", ImportRows.Take(Plan(new(Garden.Unnamed, [], [], [], []), Small)));
        return kept;
    }

    public static ImportPlan Plan(GardenRecord here, string file, ImportWay way = ImportWay.Merge) =>
        new(here, GardenFileReader.Read(file, CultureSheets.Shipped).Garden!, way, GardenToo: false);

    public Task<Outcome> LogAsync(string tag, EntryKind kind, string? text = null, Guid? act = null) =>
        Logbook.LogAsync(act, [tag], [new EntryDraft(kind, Day, null, text)]);

    /// <summary>All that stands, without ids, acts and the moments of writing: two gardens that say the same are the same.</summary>
    public async Task<string> SaysAsync() => Says((await Store.ReadAsync())!);

    /// <summary>The same of the garden in memory.</summary>
    public async Task<string> SaysTodayAsync()
    {
        var today = (await Today.TodayAsync())!;
        return Says(
            new GardenRecord(today.Garden, today.Places, [.. today.Plants.Select(a => a.Plant)], [], [])
            {
                Vessels = today.Vessels,
                SheetChanges = today.SheetChanges,
                Shelf = today.Shelf,
            }
        );
    }

    public static string Says(GardenRecord garden) =>
        GardenFileWriter.Write(
            garden with
            {
                Readings = [],
                Plants =
                [
                    .. garden
                        .Plants.OrderBy(plant => plant.Tag, StringComparer.Ordinal)
                        .Select(plant =>
                            plant.On(DateOnly.MaxValue) with
                            {
                                Forecasts = [],
                                Entries =
                                [
                                    .. plant.Entries.Where(e => !e.Struck).Select(Bare).OrderBy(e => e.ToString(), StringComparer.Ordinal),
                                ],
                            }
                        ),
                ],
            }
        );

    static Entry Bare(Entry entry) => entry with { Id = Guid.Empty, Act = Guid.Empty, Logged = DateTimeOffset.UnixEpoch, Amends = null };

    public async ValueTask DisposeAsync()
    {
        await services.DisposeAsync();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        folder.Delete(recursive: true);
    }
}

using System.Net;
using System.Net.Http.Json;
using BudClock.Data;
using BudClock.Web.CommandLine;
using BudClock.Web.Files;
using BudClock.Web.Hosting;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Keeping;

/// <summary>A start that always comes back, copies that are only believed when they are whole, and rows that nobody can read.</summary>
public class DataTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static string Fresh() => Directory.CreateTempSubdirectory("bud-clock-").FullName;

    static string Db(string folder) => Path.Combine(folder, GardenDatabase.FileName);

    static void Run(string file, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False;Foreign Keys=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    static Task<string> PrepareAsync(string folder)
    {
        var said = "";
        return Do();

        async Task<string> Do()
        {
            await using var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
            await GardenFolder.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), folder, words => said += words);
            SqliteConnection.ClearAllPools();
            return said;
        }
    }

    public static TheoryData<int> Versions => [.. Enumerable.Range(0, 4)];

    [Theory]
    [MemberData(nameof(Versions))]
    public async Task A_database_of_every_earlier_version_opens_with_its_past(int version)
    {
        var folder = Fresh();
        await using (var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider())
        await using (var db = await services.GetRequiredService<IDbContextFactory<GardenDb>>().CreateDbContextAsync(Stop))
            await db.GetService<IMigrator>().MigrateAsync(db.Database.GetMigrations().ElementAt(version), Stop);
        Run(
            Db(folder),
            """
            INSERT INTO Gardens (Name, UsUnits) VALUES ('Old', 0);
            INSERT INTO Places (Id, Code, Name, Position) VALUES (1, 'south', 'South bench', 0), (2, 'frame', 'Cold frame', 1);
            INSERT INTO Plants (Id, Tag, Taxon, Doubtful, Schools, PlaceId) VALUES (1, 'LYC-01', 'Lycaste aromatica', 0, '{}', 1);
            INSERT INTO Entries (Id, PlantId, "On", Kind, Text, Logged, Act, Struck) VALUES
              ('01A21B97-3B8D-775A-AFBC-F5F8AFAA0001', 1, '2031-05-12', 'moved', 'from the cold frame to the South bench', 5, '01A21B97-3B8D-775A-AFBC-F5F8AFAA0009', 0);
            """
        );
        await PrepareAsync(folder);
        await using var kept = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        var plant = (await kept.GetRequiredService<GardenStore>().ReadPlantAsync("LYC-01"))!;
        Assert.Equal(("frame", "south"), (plant.On(new(2031, 5, 11)).Place, plant.On(new(2031, 5, 12)).Place));
        Assert.Equal("frame", (plant with { Entries = [] }).Place); // on record is how it was first
    }

    [Fact]
    public async Task Words_of_an_older_folder_are_facts_and_what_is_written_now_is_kept_as_such()
    {
        var folder = Fresh();
        await OldGarden.WriteAsync(folder, "LYC-01", "20261201115850_RoughDates");
        Run(
            Db(folder),
            """
            INSERT INTO Entries (Id, PlantId, "On", Kind, Text, Logged, Act, Struck) VALUES
              ('01A21B97-3B8D-775A-AFBC-F5F8AFAA0001', 1, '2031-05-12', 'treated', 'released predatory mites', 5, '01A21B97-3B8D-775A-AFBC-F5F8AFAA0009', 0);
            INSERT INTO SheetChanges (Sheet, Name, Value) VALUES
              ('leafless-pseudobulb-thirsty', 'W1.root-length-thirsty', 5), ('leafless-pseudobulb', 'W1.root-length-thirsty', 4);
            """
        );
        await PrepareAsync(folder);
        // A later version may say what this one does not know: then the words are read, so that no danger hides behind it.
        Run(
            Db(folder),
            """
            INSERT INTO Entries (Id, PlantId, "On", Kind, Text, Said, Logged, Act, Struck) VALUES
              ('01A21B97-3B8D-775A-AFBC-F5F8AFAA0002', 1, '2031-05-13', 'rot', 'at the base', 'purple', 6, '01A21B97-3B8D-775A-AFBC-F5F8AFAA0008', 0);
            """
        );
        await using var kept = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        var store = kept.GetRequiredService<GardenStore>();
        var entries = (await store.ReadPlantAsync("LYC-01"))!.Entries;
        Assert.True(entries[^1].Said.Has(SaidFacts.Rotten));
        var old = entries[0];
        Assert.Equal(("released predatory mites", "predators"), (old.Text, string.Join(' ', old.Said.Words)));
        Assert.Equal(
            ["W1.root-length-large 5", "W1.root-length-small 5"],
            (await store.ReadAsync())!.SheetChanges.Select(c => $"{c.Name} {c.Value}").Order(StringComparer.Ordinal)
        );
    }

    [Fact]
    public async Task What_words_say_is_in_the_database_beside_them()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "hoy-02 fed slow release"));
        await using var connection = new SqliteConnection($"Data Source={Db(site.Folder)};Mode=ReadOnly");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT Text || ': ' || Said FROM Entries WHERE Kind = 'fed' ORDER BY Logged DESC LIMIT 1";
        Assert.Equal("slow release: slow-release", command.ExecuteScalar());
    }

    [Fact]
    public async Task A_start_that_was_killed_while_it_migrated_comes_back_and_says_so()
    {
        var folder = Fresh();
        await OldGarden.WriteAsync(folder, "LYC-01");
        SqliteConnection.ClearAllPools();
        Run(
            Db(folder),
            """
            CREATE TABLE IF NOT EXISTS "__EFMigrationsLock" (Id INTEGER NOT NULL CONSTRAINT PK PRIMARY KEY, Timestamp TEXT NOT NULL);
            INSERT INTO "__EFMigrationsLock" VALUES (1, '2031-05-24');
            """
        );
        Assert.Contains("broken off", await PrepareAsync(folder).WaitAsync(TimeSpan.FromSeconds(20), Stop));
        Assert.Equal("", await PrepareAsync(folder));
    }

    [Fact]
    public async Task One_server_holds_a_folder()
    {
        await using var site = await Site.DemoAsync();
        var refused = await Assert.ThrowsAsync<FolderTroubleException>(() =>
            Server.BuildAsync(new() { DataFolder = site.Folder, Port = 0 })
        );
        Assert.Contains("Another Bud Clock is running", refused.Message);
        Assert.Equal(Exit.WrongInput, await CommandAsync("import", site.Folder, KeptGarden.Small));
    }

    static async Task<int> CommandAsync(string command, string folder, string content)
    {
        var file = Path.Combine(Fresh(), "in.json");
        await File.WriteAllTextAsync(file, content, Stop);
        return await ImportCommand.Create().Parse([file, "--data", folder]).InvokeAsync(cancellationToken: Stop);
    }

    [Theory]
    [InlineData("newer", "written by a newer Bud Clock")]
    [InlineData("empty", "is empty, although a garden was kept")]
    [InlineData("gone", "is gone, although a garden was kept")]
    [InlineData("short", "is cut short")]
    [InlineData("head", "its beginning is lost")]
    public async Task A_folder_that_is_not_as_it_should_be_is_left_alone_with_what_to_do(string how, string says)
    {
        await using var site = await Site.DemoAsync();
        var folder = Fresh();
        File.Delete(Db(folder));
        await using (var services = new ServiceCollection().AddGarden(site.Folder).BuildServiceProvider())
            await GardenDatabase.BackupAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), Db(folder));
        await PrepareAsync(folder);
        var file = Db(folder);
        File.Delete(file + "-wal");
        if (how == "newer")
            Run(file, "INSERT INTO __EFMigrationsHistory VALUES ('29990101000000_Later', '99')");
        else if (how == "empty")
            await File.WriteAllBytesAsync(file, [], Stop);
        else if (how == "gone")
            File.Delete(file);
        else if (how == "short")
            await File.WriteAllBytesAsync(file, (await File.ReadAllBytesAsync(file, Stop))[..^9000], Stop);
        else
            await File.WriteAllBytesAsync(file, [.. new byte[4096], .. (await File.ReadAllBytesAsync(file, Stop))[4096..]], Stop);
        var trouble = await Assert.ThrowsAsync<FolderTroubleException>(() => PrepareAsync(folder));
        Assert.Contains(says, trouble.Message);
        Assert.Contains("Nothing was changed", trouble.Message);
        Assert.Matches("[Rr]estore a backup", trouble.Message);
    }

    [Theory]
    [InlineData("UPDATE Entries SET Kind = 'levitated' WHERE rowid = (SELECT min(rowid) FROM Entries)")]
    [InlineData("""UPDATE Entries SET "On" = 'some day' WHERE rowid = (SELECT min(rowid) FROM Entries)""")]
    [InlineData("UPDATE Entries SET Id = 'x' WHERE rowid = (SELECT min(rowid) FROM Entries)")]
    [InlineData("UPDATE Entries SET Sets = '[{' WHERE rowid = (SELECT min(rowid) FROM Entries)")]
    [InlineData("UPDATE Plants SET Acquired = 'once' WHERE Tag = 'HOY-02'")]
    [InlineData("UPDATE Plants SET Schools = 'none' WHERE Tag = 'HOY-02'")]
    [InlineData("UPDATE Waters SET Measured = 'x' WHERE Code = 'tap'")]
    [InlineData("""UPDATE Recipes SET Feeds = '{"x":"much"}' WHERE Code = 'growth'""")]
    public async Task One_row_that_cannot_be_read_is_kept_and_named_and_stops_nobody(string damage)
    {
        await using var site = await Site.DemoAsync();
        Run(Db(site.Folder), damage);
        await using var again = await site.AgainAsync(new(2031, 5, 24));
        foreach (var path in (string[])["/", "/bench", "/mixing", "/store", "/places", "/garden", "/plants/CAL-02", "/api/garden"])
            Assert.Equal(HttpStatusCode.OK, (await again.Http.GetAsync(path, Stop)).StatusCode);
        Assert.Contains("Not all that is stored can be read", (await again.PageAsync("/garden")).QuerySelector("[role=alert]").Words());
        (await again.Http.PostAsJsonAsync("/api/notes", new { text = "cal-02 roots 9 cm" }, Stop)).EnsureSuccessStatusCode();
        Assert.Contains("\"value\": 9,", await again.Http.GetStringAsync("/api/garden", Stop));
    }

    [Fact]
    public async Task Of_two_hundred_backups_with_one_wrong_bit_none_is_restored()
    {
        await using var garden = await KeptGarden.StartAsync();
        new PictureFolder(garden.Folder).Save("a1.jpg", [0xFF, 0xD8, .. new byte[900], 0xFF, 0xD9], [0xFF, 0xD8, 0xFF, 0xD9]);
        var copy = new FileInfo(Path.Combine(Fresh(), "copy.zip"));
        Assert.Equal(1, await Backup.WriteAsync(copy, garden.Databases, new PictureFolder(garden.Folder)));
        var whole = await File.ReadAllBytesAsync(copy.FullName, Stop);
        var random = new Random(7);
        for (var n = 0; n < 200; n++)
        {
            var bytes = n % 10 == 9 ? whole[..random.Next(whole.Length)] : [.. whole];
            if (n % 10 != 9)
                bytes[random.Next(bytes.Length)] ^= (byte)(1 << random.Next(8));
            await File.WriteAllBytesAsync(copy.FullName, bytes, Stop);
            using var unpacked = await Backup.UnpackAsync(copy, Path.GetTempPath());
            Assert.NotEmpty(unpacked.Faults);
        }
        await File.WriteAllBytesAsync(copy.FullName, whole, Stop);
        using var sound = await Backup.UnpackAsync(copy, Path.GetTempPath());
        Assert.Empty(sound.Faults);
    }

    [Fact]
    public async Task Repair_saves_what_can_be_read_and_keeps_the_old_file()
    {
        await using var site = await Site.DemoAsync();
        var folder = Fresh();
        await using (var services = new ServiceCollection().AddGarden(site.Folder).BuildServiceProvider())
            await GardenDatabase.BackupAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), Db(folder));
        Run(Db(folder), "UPDATE Entries SET Kind = NULL WHERE 0; UPDATE Plants SET Acquired = 'once' WHERE Tag = 'HOY-02'");
        var bytes = await File.ReadAllBytesAsync(Db(folder), Stop);
        bytes.AsSpan(bytes.Length / 2, 6000).Clear(); // some pages of entries
        await File.WriteAllBytesAsync(Db(folder), bytes, Stop);
        Assert.NotNull(SqliteFile.CheckWhole(Db(folder)));
        var (saved, _, kept) = Salvage.Run(Db(folder));
        Assert.True(saved > 1000, $"{saved}");
        Assert.True(File.Exists(kept));
        Assert.Null(SqliteFile.CheckWhole(Db(folder)));
        await PrepareAsync(folder);
    }

    [Fact]
    public async Task The_folder_is_private_and_foreign_pages_cannot_write()
    {
        await using var site = await Site.DemoAsync();
        if (!OperatingSystem.IsWindows())
            Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute, File.GetUnixFileMode(site.Folder));
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/notes")
        {
            Content = JsonContent.Create(new { text = "cal-02 watered" }),
        };
        request.Headers.Add("Origin", "http://elsewhere.example");
        Assert.Equal(HttpStatusCode.Forbidden, (await site.Http.SendAsync(request, Stop)).StatusCode);
        var answer = await site.Http.GetAsync("/", Stop);
        Assert.Equal(
            ["no-store, no-cache", "same-origin", "same-origin"],
            ((string[])["Cache-Control", "Cross-Origin-Opener-Policy", "Cross-Origin-Resource-Policy"]).Select(name =>
                answer.Headers.GetValues(name).Single()
            )
        );
        Assert.False(answer.Headers.Contains("Server"));
        var missing = await site.Http.GetAsync("/api/plants/none/advice", Stop);
        Assert.Equal("application/problem+json", missing.Content.Headers.ContentType!.MediaType);
    }

    [Fact]
    public async Task What_was_typed_comes_back_with_the_reason_when_the_disk_cannot_be_written()
    {
        await using var site = await Site.DemoAsync();
        using var held = new SqliteConnection($"Data Source={Db(site.Folder)};Pooling=False");
        held.Open();
        using var locked = held.BeginTransaction(); // another program holds the garden
        var answer = await site.SendAsync(
            "/plants/new",
            false,
            ("Form.Tag", "NEW-01"),
            ("Form.Taxon", "Lycaste"),
            ("Form.Name", "My long words")
        );
        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
        var page = await answer.Content.ReadAsStringAsync(Stop);
        Assert.Contains("Another program holds the garden", page);
        Assert.Contains("My long words", page);
        Assert.Equal(HttpStatusCode.ServiceUnavailable, (await site.Http.GetAsync("/readyz", Stop)).StatusCode);
        locked.Rollback();
        Assert.Equal(HttpStatusCode.OK, (await site.Http.GetAsync("/readyz", Stop)).StatusCode);
    }
}

using BudClock.Data;
using BudClock.Web.Demo;

namespace BudClock.Web.Tests.Keeping;

/// <summary>The demo garden that was made at the build begins a new folder, and never lies down over anything.</summary>
public sealed class PlantedDemoTests : IDisposable
{
    readonly string root = Directory.CreateTempSubdirectory("bud-clock-planted-").FullName;
    readonly string planted;
    readonly string folder;

    public PlantedDemoTests()
    {
        (planted, folder) = (Path.Combine(root, "planted"), Path.Combine(root, "data"));
        Write(planted, "garden.db", "the lighthouse");
        Write(planted, "demo.made", "made");
        Write(planted, "pictures/a.jpg", "a picture");
        Write(planted, "keys/key.xml", "a key of the folder it was made in");
        Directory.CreateDirectory(folder);
    }

    [Fact]
    public void A_new_folder_gets_the_garden_and_its_pictures_and_no_key()
    {
        PlantedDemo.Copy(planted, folder);
        Assert.Equal(["demo.made", "garden.db", "pictures/a.jpg"], Files());
        Assert.True(Directory.Exists(planted));
    }

    [Theory]
    [InlineData("garden.made")] // the mark of a folder in which a garden was kept
    [InlineData("pictures/mine.jpg")]
    [InlineData("garden.db")]
    [InlineData("garden.db-wal")]
    public void A_folder_that_was_used_is_left_as_it_is(string trace)
    {
        Write(folder, trace, "mine");
        PlantedDemo.Copy(planted, folder);
        Assert.Equal([trace], Files());
        Assert.Equal("mine", File.ReadAllText(Path.Combine(folder, trace)));
    }

    [Fact]
    public void A_copy_that_was_broken_off_is_made_again()
    {
        Write(folder, ".planting/garden.db", "the light"); // killed while it was copied beside
        PlantedDemo.Copy(planted, folder);
        Assert.Equal(["demo.made", "garden.db", "pictures/a.jpg"], Files());
        Assert.Equal("the lighthouse", File.ReadAllText(Path.Combine(folder, GardenDatabase.FileName)));
    }

    [Fact]
    public void One_that_was_broken_off_while_it_was_put_in_place_goes_on()
    {
        Write(folder, "garden.db", "the lighthouse, and a note");
        Write(folder, ".planting/pictures/a.jpg", "a picture");
        PlantedDemo.Copy(planted, folder);
        Assert.Equal(["garden.db", "pictures/a.jpg"], Files());
        Assert.Equal("the lighthouse, and a note", File.ReadAllText(Path.Combine(folder, GardenDatabase.FileName)));
    }

    string[] Files() =>
        [
            .. Directory
                .EnumerateFiles(folder, "*", SearchOption.AllDirectories)
                .Select(file => Path.GetRelativePath(folder, file))
                .Order(StringComparer.Ordinal),
        ];

    static void Write(string folder, string name, string text)
    {
        var file = Path.Combine(folder, name);
        Directory.CreateDirectory(Path.GetDirectoryName(file)!);
        File.WriteAllText(file, text);
    }

    public void Dispose() => Directory.Delete(root, recursive: true);
}

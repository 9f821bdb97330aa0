using System.IO.Compression;
using System.Text;
using BudClock.Core.Advising;
using BudClock.Data;
using BudClock.Web.Photos;
using MetadataExtractor;
using SkiaSharp;

namespace BudClock.Web.Tests;

/// <summary>Pictures: upright, dated, without the place they were taken at; refused with a sentence; carried in exports.</summary>
public class PicturesTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Theory]
    [InlineData(1, 60, 40, "left")]
    [InlineData(3, 60, 40, "right")]
    [InlineData(6, 40, 60, "top")] // a phone held upright: Exif 2.3, orientation 6
    [InlineData(8, 40, 60, "bottom")]
    public void A_picture_is_turned_upright(ushort orientation, int width, int height, string red)
    {
        var (picture, _) = PictureIntake.Read(Photographs.Jpeg(orientation, "2031:05:20 09:30:00"), "x.jpg");
        using var shown = SKBitmap.Decode(picture!.Full);
        Assert.Equal((width, height), (shown.Width, shown.Height));
        var (x, y) = red switch
        {
            "left" => (5, height / 2),
            "right" => (width - 5, height / 2),
            "top" => (width / 2, 5),
            _ => (width / 2, height - 5),
        };
        Assert.True(shown.GetPixel(x, y) is { Red: > 180, Blue: < 90 }, shown.GetPixel(x, y).ToString());
    }

    [Fact]
    public void It_is_dated_by_its_camera_and_the_place_it_was_taken_at_is_not_kept()
    {
        var sent = Photographs.Jpeg(1, "2031:05:20 09:30:00");
        // Metadata-extractor, which did not write it
        Assert.Contains(ImageMetadataReader.ReadMetadata(new MemoryStream(sent)), directory => directory.Name == "GPS");
        var (picture, _) = PictureIntake.Read(sent, "x.jpg");
        Assert.Equal(new DateOnly(2031, 5, 20), picture!.Taken);
        foreach (var kept in (byte[][])[picture.Full, picture.Small])
            Assert.DoesNotContain(ImageMetadataReader.ReadMetadata(new MemoryStream(kept)), directory =>
                directory.Name is "GPS" or "Exif IFD0" or "Exif SubIFD"
            );
    }

    [Fact]
    public void Large_pictures_are_made_smaller_and_each_has_a_small_one()
    {
        var (picture, _) = PictureIntake.Read(Photographs.Jpeg(3000, 1500), "x.jpg");
        using var full = SKBitmap.Decode(picture!.Full);
        using var small = SKBitmap.Decode(picture.Small);
        Assert.Equal((2000, 1000, 360, 180), (full.Width, full.Height, small.Width, small.Height));
    }

    /// <summary>Made here by name: what a theory is given travels through the runner, and forty megabytes should not.</summary>
    static byte[] Content(string name) =>
        name switch
        {
            "notes.jpg" => Encoding.UTF8.GetBytes("roots 8 cm"),
            "phone.heic" => [0, 0, 0, 24, .. "ftypheic"u8, 0, 0, 0, 0, 1, 2, 3, 4],
            "half.jpg" => [0xFF, 0xD8, 0xFF, 0xE0, 1, 2, 3],
            _ => [0xFF, 0xD8, 0xFF, .. new byte[40 * 1024 * 1024]],
        };

    [Theory]
    [InlineData("notes.jpg", "notes.jpg is not a picture that can be read here. JPEG, PNG and WebP can.")]
    [InlineData("phone.heic", "phone.heic is a HEIC picture, which cannot be read here. Send it as JPEG")]
    [InlineData("half.jpg", "half.jpg cannot be read as a picture; it may be damaged.")]
    [InlineData("huge.jpg", "huge.jpg has 40 MB; a picture can have up to 20 MB.")]
    public async Task What_cannot_be_taken_is_said_in_a_sentence_and_nothing_is_kept(string name, string sentence)
    {
        await using var site = await Site.DemoAsync();
        var before = await site.Http.GetStringAsync("/api/garden", Stop);
        var page = await site.UploadAsync("/plants/CAL-02?handler=Picture", "files", (name, Content(name)));
        Assert.Contains(sentence, page.QuerySelector("#pictures [role=alert]").Words());
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", Stop));
    }

    [Fact]
    public async Task A_picture_stands_in_the_strip_on_its_day_and_is_undone_like_any_entry()
    {
        await using var site = await Site.DemoAsync();
        await site.UploadAsync(
            "/plants/CAL-02?handler=Picture",
            "files",
            ("a.jpg", Photographs.Jpeg(1, "2031:05:02 09:30:00")),
            ("b.png", Photographs.Png()),
            ("c.webp", Photographs.Webp())
        );
        var strip = (await site.PageAsync("/plants/CAL-02")).QuerySelectorAll(".strip li");
        Assert.Equal(["2 May", "24 May", "24 May"], strip.Select(li => li.QuerySelector(".num").Words()));
        var bytes = await site.Http.GetByteArrayAsync(strip[0].QuerySelector("a")!.GetAttribute("href"), Stop);
        Assert.True(bytes.AsSpan().StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8]));
        await site.PostAsync("/notes?handler=Undo");
        Assert.Empty((await site.PageAsync("/plants/CAL-02")).QuerySelectorAll(".strip li"));
    }

    [Fact]
    public async Task A_second_look_and_its_picture_are_one_act()
    {
        await using var site = await Site.DemoAsync();
        using var form = new MultipartFormDataContent
        {
            { new StringContent("better"), "Answer" },
            { new ByteArrayContent(Photographs.Jpeg()), "file", "now.jpg" },
        };
        await site.SendAsync("/plants/CAL-06/look", false, form);
        var page = await site.PageAsync("/plants/CAL-06");
        Assert.Equal(("Second look better", 1), (page.QuerySelector(".log .words").Words(), page.QuerySelectorAll(".strip li").Length));
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal(
            ["Photo second look", "Second look better"],
            (await site.PageAsync("/plants/CAL-06")).QuerySelectorAll(".log .struck .words").Select(e => e.Words()).Order()
        );
    }

    [Fact]
    public async Task A_missing_file_is_shown_as_missing_and_no_name_climbs_out_of_the_folder()
    {
        await using var site = await Site.DemoAsync();
        var folder = Path.Combine(site.Folder, PictureFolder.Name);
        var file = (await site.PageAsync("/plants/ONC-02")).QuerySelector(".strip a")!.GetAttribute("data-picture")!;
        File.Delete(Path.Combine(folder, file));
        Assert.Equal("The file is missing", (await site.PageAsync("/plants/ONC-02")).QuerySelector(".strip .missing").Words());
        foreach (var name in (string[])["..%2Fgarden.db", "..%2f..%2fgarden.jpg", "garden.db"])
            Assert.Equal(System.Net.HttpStatusCode.NotFound, (await site.Http.GetAsync($"/pictures/{name}", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_garden_with_its_pictures_goes_out_and_in_as_a_zip()
    {
        await using var site = await Site.DemoAsync();
        var zip = await site.Http.GetByteArrayAsync("/api/garden.zip", Stop);
        await using var other = await Site.EmptyAsync(new(2031, 5, 24));
        await other.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        Assert.Contains("40 new plants", (await other.ImportAsync("garden.zip", zip)).QuerySelector(".done").Words());
        Assert.Contains("0 new plants, 0 new entries", (await other.ImportAsync("garden.zip", zip)).QuerySelector(".done").Words());
        var link = (await other.PageAsync("/plants/ONC-02")).QuerySelector(".strip a")!.GetAttribute("href");
        Assert.NotEmpty(await other.Http.GetByteArrayAsync(link, Stop));
    }

    [Theory]
    [InlineData("../escaped.jpg", "../escaped.jpg: has no place in a garden's zip")]
    [InlineData("pictures/../../escaped.jpg", "pictures/../../escaped.jpg: has no place in a garden's zip")]
    [InlineData("pictures/script.html", "pictures/script.html: has no place in a garden's zip")]
    public async Task A_zip_with_a_path_that_climbs_out_is_refused_whole(string path, string fault)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.UploadAsync(
            "/garden?handler=Import",
            "file",
            (
                "garden.zip",
                Zip(
                    (
                        "garden.json",
                        """{ "format": "bud-clock-garden", "version": 1, "plants": [ { "tag": "NEW-01", "taxon": "Lycaste" } ] }"""
                    ),
                    (path, "x")
                )
            )
        );
        Assert.Contains(fault, page.QuerySelector(".faults").Words());
        Assert.Null((await site.PageAsync("/bench?q=new-01")).QuerySelector(".tile"));
        Assert.False(File.Exists(Path.Combine(site.Folder, "..", "escaped.jpg")));
    }

    [Fact]
    public async Task A_zip_without_a_garden_and_a_broken_one_are_refused()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains(
            "there is no garden.json in it",
            (await site.UploadAsync("/garden?handler=Import", "file", ("x.zip", Zip(("pictures/a.jpg", "x")))))
                .QuerySelector(".faults")
                .Words()
        );
        Assert.Contains(
            "cannot be",
            (await site.UploadAsync("/garden?handler=Import", "file", ("x.zip", [.. "PK"u8, 3, 4, 5]))).QuerySelector(".faults").Words()
        );
    }

    static byte[] Zip(params (string Name, string Text)[] files)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (name, text) in files)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(Encoding.UTF8.GetBytes(text));
            }
        return stream.ToArray();
    }
}

using BudClock.Data;

namespace BudClock.Web.Photos;

/// <summary>Puts pictures into a plant's journal: the file first, then the entry that names it.</summary>
public sealed class PictureBook(PictureFolder folder, Logbook logbook, Clock clock)
{
    /// <summary>Logs a picture on the day its camera says, else today.</summary>
    /// <returns>The entry, or a sentence that says what is wrong.</returns>
    public async Task<(Entry? Entry, string? Fault)> TakeAsync(
        string tag,
        byte[] content,
        string name,
        DateOnly today,
        string? caption = null,
        Guid? act = null
    )
    {
        var (picture, fault) = PictureIntake.Read(content, name);
        if (picture is null)
            return (null, fault);
        var id = Guid.CreateVersion7();
        var entry = new Entry
        {
            Id = id,
            On = picture.Taken is { } taken && taken <= today && taken.Year > 1990 ? taken : today,
            Kind = EntryKinds.Photo,
            Text = string.IsNullOrWhiteSpace(caption) ? null : caption.Trim()[..Math.Min(200, caption.Trim().Length)],
            File = $"{id:N}.jpg",
            Logged = clock.GetUtcNow(),
            Act = act ?? Guid.CreateVersion7(),
        };
        await folder.SaveAsync(entry.File, picture.Full, picture.Small);
        return await logbook.LogAsync(tag, entry) ? (entry, null) : (null, "That plant is not here any more.");
    }
}

/// <summary>The pictures of a plant, as pages show them.</summary>
public static class PlantPictures
{
    /// <summary>Pictures in force, oldest first.</summary>
    public static IReadOnlyList<Entry> Of(Plant plant) =>
        [.. plant.Entries.Where(e => e is { Struck: false, File: not null }).OrderBy(e => e.On).ThenBy(e => e.Logged)];

    public static string Link(Entry picture, bool small = false) => $"/pictures/{picture.File}{(small ? "?small=true" : "")}";

    public static void MapPictures(this WebApplication app) =>
        app.MapGet(
            "/pictures/{file}",
            (string file, bool? small, PictureFolder folder, HttpResponse response) =>
            {
                if (!Pictures.Sound(file) || folder.Find(file, small == true) is not { } path)
                    return Results.NotFound();
                response.Headers.CacheControl = "private, max-age=31536000, immutable"; // a name stands for one picture for good
                return Results.File(path, "image/jpeg");
            }
        );
}

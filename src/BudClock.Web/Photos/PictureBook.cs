using BudClock.Data;

namespace BudClock.Web.Photos;

/// <summary>Makes an entry of a picture: its file is on disk before the entry that names it is written.</summary>
public sealed class PictureBook(PictureFolder folder)
{
    const int LongestCaption = 200;

    /// <summary>A picture as an entry of the day that was chosen, else the day its camera says, else today.</summary>
    /// <returns>The entry, or a sentence that says what is wrong.</returns>
    public async Task<(EntryDraft? Entry, string? Fault)> TakeAsync(
        IFormFile file,
        DateOnly today,
        string? caption = null,
        DateOnly? on = null,
        CancellationToken cancel = default
    )
    {
        var (picture, fault) = await PictureIntake.ReadAsync(file.OpenReadStream(), file.Length, file.FileName, cancel);
        if (picture is null)
            return (null, fault);
        var name = $"{Guid.CreateVersion7():N}.jpg";
        folder.Save(name, picture.Full, picture.Small);
        var taken = picture.Taken is { } day && day <= today && day.Year > 1990 ? day : today;
        return (new(EntryKinds.Photo, on ?? taken, Text: Words(caption)) { File = name }, null);
    }

    static string? Words(string? caption) =>
        string.IsNullOrWhiteSpace(caption) ? null : caption.Trim()[..Math.Min(LongestCaption, caption.Trim().Length)];
}

/// <summary>The pictures of a plant, as pages show them.</summary>
public static class PlantPictures
{
    /// <summary>Pictures in force, oldest first.</summary>
    public static IReadOnlyList<Entry> Of(Plant plant) =>
        [.. plant.Entries.Where(e => e is { Struck: false, File: not null }).OrderBy(e => e.On).ThenBy(e => e.Logged)];

    public static string Link(Entry picture, bool small = false) => $"/pictures/{picture.File}{(small ? "?small=true" : "")}";

    public static void MapPictures(this WebApplication app) =>
        app.MapGet("/pictures/{file}", (string file, bool? small, PictureFolder folder, HttpResponse response) =>
        {
            if (!Pictures.Sound(file) || folder.Find(file, small == true) is not { } path)
                return Results.NotFound();
            response.Headers.CacheControl = "private, max-age=31536000, immutable"; // a name stands for one picture for good
            return Results.File(path, "image/jpeg");
        });
}

using BudClock.Data;
using BudClock.Web.Photos;
using SkiaSharp;

namespace BudClock.Web.StandIns;

/// <summary>
/// Stands in for the volunteers' camera: draws what the log of a plant measured, so that the demo has pictures to look at
/// and to compare. The drawings are made up and the same each time.
/// </summary>
public sealed class SimulatedCamera(PictureFolder folder)
{
    const int Width = 900;
    const int Height = 675;
    const int PicturesEach = 3;

    /// <summary>These plants with a few pictures in their journals, whose files are in the folder.</summary>
    public GardenRecord Take(GardenRecord garden, IReadOnlyList<string> tags) =>
        garden with
        {
            Plants = [.. garden.Plants.Select(plant => tags.Contains(plant.Tag) ? WithPictures(plant) : plant)],
        };

    Plant WithPictures(Plant plant)
    {
        var measured = plant
            .Entries.Where(e => e.Kind == EntryKinds.SpikeLength || e.Kind == EntryKinds.GrowthHeight)
            .OrderBy(e => e.On)
            .TakeLast(9)
            .ToList();
        var shown = measured
            .Where((_, index) => index % Math.Max(1, measured.Count / PicturesEach) == 0)
            .Append(measured[^1])
            .DistinctBy(e => e.On);
        return plant with { Entries = [.. plant.Entries, .. shown.Select(e => Picture(plant, e))] };
    }

    Entry Picture(Plant plant, Entry measured)
    {
        var (id, length) = (Guid.CreateVersion7(), measured.Amount!.Value.InBase);
        var (picture, fault) = PictureIntake.Read(Draw(length, measured.Kind == EntryKinds.SpikeLength), $"{plant.Tag}.png");
        if (picture is null)
            throw new InvalidOperationException(fault);
        var file = $"{id:N}.jpg";
        folder.Save(file, picture.Full, picture.Small);
        return new()
        {
            Id = id,
            On = measured.On,
            Kind = EntryKinds.Photo,
            Text = $"{measured.Kind.Words.ToLowerInvariant()} at {measured.Amount}",
            File = file,
            Logged = new(measured.On, new(18, 0), TimeSpan.Zero),
        };
    }

    /// <summary>A pot on a shelf with a fan of leaves and, as tall as it was measured, a spike or a shoot.</summary>
    static byte[] Draw(double cm, bool spike)
    {
        using var surface = SKSurface.Create(new SKImageInfo(Width, Height));
        var canvas = surface.Canvas;
        using var paint = new SKPaint { IsAntialias = true };
        Fill(0, 0, Width, Height, "#dfe9e4");
        for (var x = 60; x < Width; x += 210)
            Fill(x, 0, 10, 520, "#12372f");
        Fill(0, 520, Width, 155, "#b9a98a");
        using (var pot = new SKPathBuilder())
        {
            pot.MoveTo(340, 400);
            pot.LineTo(560, 400);
            pot.LineTo(530, 590);
            pot.LineTo(370, 590);
            pot.Close();
            using var path = pot.Detach();
            paint.Color = SKColor.Parse("#b06a46");
            canvas.DrawPath(path, paint);
        }
        var top = (float)(395 - Math.Min(330, cm * 8));
        Stroke(450, 400, 450, top, "#4b8b3b", 12);
        for (var leaf = 0; leaf < 6; leaf++)
            Stroke(450, 395, 450 + ((leaf % 2 == 0 ? -1 : 1) * (60 + (leaf * 26))), 300 - (leaf * 14), "#6fa45e", 22);
        for (var bud = 0; spike && bud < Math.Min(9, (int)(cm / 4)); bud++)
        {
            paint.Color = SKColor.Parse("#b8336a");
            canvas.DrawCircle(450 + (bud % 2 == 0 ? -22 : 22), top + (bud * 24), 15, paint);
        }
        using var picture = surface.Snapshot();
        using var png = picture.Encode(SKEncodedImageFormat.Png, 90);
        return png.ToArray();

        void Fill(float x, float y, float w, float h, string colour)
        {
            paint.Style = SKPaintStyle.Fill;
            paint.Color = SKColor.Parse(colour);
            canvas.DrawRect(x, y, w, h, paint);
        }

        void Stroke(float x1, float y1, float x2, float y2, string colour, float width)
        {
            using var line = new SKPaint
            {
                IsAntialias = true,
                Style = SKPaintStyle.Stroke,
                StrokeWidth = width,
                StrokeCap = SKStrokeCap.Round,
                Color = SKColor.Parse(colour),
            };
            canvas.DrawLine(x1, y1, x2, y2, line);
        }
    }
}

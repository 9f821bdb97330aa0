using System.Globalization;
using MetadataExtractor;
using MetadataExtractor.Formats.Exif;
using SkiaSharp;

namespace BudClock.Web.Photos;

/// <summary>A picture made ready: upright, re-encoded without anything but its pixels, with a small copy.</summary>
/// <param name="Taken">The day its camera wrote into it; null when it did not.</param>
public sealed record ReadyPicture(byte[] Full, byte[] Small, DateOnly? Taken);

/// <summary>Takes a picture as it was sent. Nothing of the file itself is kept, so no place on earth and no script travels along.</summary>
public static class PictureIntake
{
    public const int LargestMb = 20;

    /// <summary>The most a request may hold: above the largest picture, so that one slightly too large is told so.</summary>
    public const int RequestLimit = 64 * 1024 * 1024;

    const int LongestSide = 2000;
    const int SmallSide = 360;
    const long MostPixels = 80_000_000;
    const int Quality = 85;

    /// <summary>The picture, or a sentence that says what is wrong with the file.</summary>
    public static (ReadyPicture? Picture, string? Fault) Read(byte[] file, string name)
    {
        if (file.Length == 0)
            return (null, "Choose a picture first.");
        if (file.Length > LargestMb * 1024 * 1024)
            return (null, $"{name} has {file.Length / 1048576} MB; a picture can have up to {LargestMb} MB. Send a smaller copy.");
        if (IsHeic(file))
            return (
                null,
                $"{name} is a HEIC picture, which cannot be read here. Send it as JPEG; phones have a setting for that in their camera."
            );
        if (!IsKnown(file))
            return (null, $"{name} is not a picture that can be read here. JPEG, PNG and WebP can.");

        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null)
            return (null, $"{name} cannot be read as a picture; it may be damaged.");
        if ((long)codec.Info.Width * codec.Info.Height > MostPixels)
            return (
                null,
                $"{name} has {codec.Info.Width} by {codec.Info.Height} pixels, which is more than can be taken here. Send a smaller copy."
            );
        using var pixels = SKBitmap.Decode(codec);
        if (pixels is null)
            return (null, $"{name} cannot be read as a picture; it may be damaged.");
        using var upright = Upright(pixels, codec.EncodedOrigin);
        return (new(Encode(upright, LongestSide), Encode(upright, SmallSide), Taken(file)), null);
    }

    static bool IsHeic(ReadOnlySpan<byte> file) => file.Length > 12 && file[4..8].SequenceEqual("ftyp"u8);

    static bool IsKnown(ReadOnlySpan<byte> file) =>
        file.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF])
        || file.StartsWith((ReadOnlySpan<byte>)[0x89, (byte)'P', (byte)'N', (byte)'G'])
        || (file.Length > 12 && file.StartsWith("RIFF"u8) && file[8..12].SequenceEqual("WEBP"u8));

    /// <summary>Turns and mirrors the pixels as the camera's mark says (Exif 2.3, tag 0x0112).</summary>
    static SKBitmap Upright(SKBitmap pixels, SKEncodedOrigin origin)
    {
        var (w, h) = (pixels.Width, pixels.Height);
        var lying = (int)origin >= 5;
        var turned = new SKBitmap(lying ? h : w, lying ? w : h);
        using var canvas = new SKCanvas(turned);
        canvas.SetMatrix(
            origin switch
            {
                SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
                SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
                SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
                SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
                SKEncodedOrigin.RightTop => new SKMatrix(0, -1, h, 1, 0, 0, 0, 0, 1),
                SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, h, -1, 0, w, 0, 0, 1),
                SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, w, 0, 0, 1),
                _ => SKMatrix.Identity,
            }
        );
        canvas.Clear(SKColors.White);
        canvas.DrawBitmap(pixels, 0, 0, new SKSamplingOptions(SKFilterMode.Nearest));
        return turned;
    }

    static byte[] Encode(SKBitmap picture, int longest)
    {
        var scale = Math.Min(1.0, (double)longest / Math.Max(picture.Width, picture.Height));
        var size = new SKImageInfo(Math.Max(1, (int)(picture.Width * scale)), Math.Max(1, (int)(picture.Height * scale)));
        using var sized = picture.Resize(size, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var jpeg = sized.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return jpeg.ToArray();
    }

    static DateOnly? Taken(byte[] file)
    {
        try
        {
            var written = ImageMetadataReader
                .ReadMetadata(new MemoryStream(file))
                .OfType<ExifSubIfdDirectory>()
                .Select(directory => directory.GetDescription(ExifDirectoryBase.TagDateTimeOriginal))
                .FirstOrDefault(text => text is not null);
            return DateTime.TryParseExact(written, "yyyy:MM:dd HH:mm:ss", CultureInfo.InvariantCulture, DateTimeStyles.None, out var at)
                ? DateOnly.FromDateTime(at)
                : null;
        }
        catch (ImageProcessingException)
        {
            return null; // the pixels could be read; what is written beside them is a bonus
        }
    }
}

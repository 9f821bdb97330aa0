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
    const int Quality = 85;

    /// <summary>A JPEG is made smaller while it is read; the others are held whole for a moment, at four bytes a pixel.</summary>
    const long MostPixelsOfJpeg = 50_000_000;
    const long MostPixels = 25_000_000;

    /// <summary>One picture is opened at a time, so that several at once do not fill the memory.</summary>
    static readonly SemaphoreSlim One = new(1, 1);

    /// <summary>The picture, or a sentence that says what is wrong with the file. No more is read than a picture can have.</summary>
    public static async Task<(ReadyPicture? Picture, string? Fault)> ReadAsync(
        Stream file,
        long length,
        string name,
        CancellationToken cancel = default
    )
    {
        const int most = LargestMb * 1024 * 1024;
        if (length > most)
            return (null, $"{name} has {length / 1048576} MB; a picture can have up to {LargestMb} MB. Send a smaller copy.");
        await One.WaitAsync(cancel);
        try
        {
            var content = await Streams.ReadAsync(file, most, cancel);
            return content is null ? (null, $"{name} is larger than {LargestMb} MB. Send a smaller copy.") : Read(content, name);
        }
        finally
        {
            One.Release();
        }
    }

    /// <summary>The same from memory.</summary>
    public static (ReadyPicture? Picture, string? Fault) Read(byte[] file, string name)
    {
        if (file.Length == 0)
            return (null, "Choose a picture first.");
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
        var (width, height) = (codec.Info.Width, codec.Info.Height);
        if ((long)width * height > (IsJpeg(file) ? MostPixelsOfJpeg : MostPixels))
            return (null, $"{name} has {width} by {height} pixels, which is more than can be taken here. Send a smaller copy.");
        using var full = Upright(codec);
        if (full is null)
            return (null, $"{name} cannot be read as a picture; it may be damaged.");
        using var small = Sized(full, SmallSide);
        return (new(Encode(full), Encode(small), IsJpeg(file) ? Taken(file) : null), null);
    }

    static bool IsJpeg(ReadOnlySpan<byte> file) => file.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF]);

    /// <summary>The pixels at the size that is kept, the right way up; null where they cannot be read.</summary>
    static SKBitmap? Upright(SKCodec codec)
    {
        // A JPEG can be read at eighths of its size: the smallest that is not below what is kept.
        var near = Enumerable
            .Range(1, 8)
            .Select(eighth => codec.GetScaledDimensions(eighth / 8f))
            .FirstOrDefault(size => Math.Max(size.Width, size.Height) >= LongestSide, codec.Info.Size);
        using var pixels = new SKBitmap(new SKImageInfo(near.Width, near.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(pixels.Info, pixels.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput))
            return null;
        using var sized = Sized(pixels, LongestSide);
        return Turned(sized, codec.EncodedOrigin);
    }

    static bool IsHeic(ReadOnlySpan<byte> file) => file.Length > 12 && file[4..8].SequenceEqual("ftyp"u8);

    static bool IsKnown(ReadOnlySpan<byte> file) =>
        IsJpeg(file)
        || file.StartsWith((ReadOnlySpan<byte>)[0x89, (byte)'P', (byte)'N', (byte)'G'])
        || (file.Length > 12 && file.StartsWith("RIFF"u8) && file[8..12].SequenceEqual("WEBP"u8));

    /// <summary>Turns and mirrors the pixels as the camera's mark says (Exif 2.3, tag 0x0112).</summary>
    static SKBitmap Turned(SKBitmap pixels, SKEncodedOrigin origin)
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

    static SKBitmap Sized(SKBitmap picture, int longest)
    {
        var scale = Math.Min(1.0, (double)longest / Math.Max(picture.Width, picture.Height));
        var size = new SKImageInfo(Math.Max(1, (int)(picture.Width * scale)), Math.Max(1, (int)(picture.Height * scale)));
        return picture.Resize(size, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
    }

    static byte[] Encode(SKBitmap picture)
    {
        using var jpeg = picture.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return jpeg.ToArray();
    }

    static DateOnly? Taken(byte[] file)
    {
        try
        {
            var written = ImageMetadataReader
                .ReadMetadata(new MemoryStream(file, writable: false))
                .OfType<ExifSubIfdDirectory>()
                .Select(directory => directory.GetDescription(ExifDirectoryBase.TagDateTimeOriginal))
                .FirstOrDefault(text => text is not null);
            return DateTime.TryParseExact(written, "yyyy:MM:dd HH:mm:ss", CultureInfo.InvariantCulture, DateTimeStyles.None, out var at)
                ? DateOnly.FromDateTime(at)
                : null;
        }
        catch (Exception fault) when (fault is not OutOfMemoryException)
        {
            return null; // the pixels could be read; what is written beside them is a bonus
        }
    }
}

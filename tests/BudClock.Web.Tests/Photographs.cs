using System.Buffers.Binary;
using System.Text;
using SkiaSharp;

namespace BudClock.Web.Tests;

/// <summary>
/// Pictures as cameras send them, made here: a red left half and a blue right half, with what Exif writes beside the pixels.
/// </summary>
static class Photographs
{
    public static byte[] Jpeg(int width = 60, int height = 40) => Encode(SKEncodedImageFormat.Jpeg, width, height);

    public static byte[] Png() => Encode(SKEncodedImageFormat.Png, 60, 40);

    public static byte[] Webp() => Encode(SKEncodedImageFormat.Webp, 60, 40);

    /// <summary>
    /// A JPEG with an Exif segment (Exif 2.3: TIFF header, IFD0 with orientation, sub-IFD with the time, GPS IFD with a latitude).
    /// </summary>
    public static byte[] Jpeg(ushort orientation, string taken)
    {
        var jpeg = Jpeg();
        var tiff = new byte[8 + (2 + (3 * 12) + 4) + (2 + 12 + 4) + (2 + (2 * 12) + 4) + 20 + 24];
        var (sub, gps) = (8 + 42, 8 + 42 + 18);
        var (time, place) = (gps + 30, gps + 30 + 20);
        "II*\0"u8.CopyTo(tiff);
        Write32(4, 8);
        Directory(8, (0x0112, 3, 1, orientation), (0x8769, 4, 1, (uint)sub), (0x8825, 4, 1, (uint)gps));
        Directory(sub, (0x9003, 2, 20, (uint)time));
        Directory(gps, (0x0001, 2, 2, 'N'), (0x0002, 5, 3, (uint)place));
        Encoding.ASCII.GetBytes(taken + "\0").CopyTo(tiff, time);
        foreach (var (n, value) in new uint[] { 51, 1, 30, 1, 0, 1 }.Index())
            Write32(place + (n * 4), value);

        byte[] segment = [0xFF, 0xE1, (byte)((tiff.Length + 8) >> 8), (byte)(tiff.Length + 8), .. "Exif\0\0"u8, .. tiff];
        return [.. jpeg[..2], .. segment, .. jpeg[2..]];

        void Write32(int at, uint value) => BinaryPrimitives.WriteUInt32LittleEndian(tiff.AsSpan(at), value);

        void Directory(int at, params (ushort Tag, ushort Type, uint Count, uint Value)[] fields)
        {
            BinaryPrimitives.WriteUInt16LittleEndian(tiff.AsSpan(at), (ushort)fields.Length);
            foreach (var (n, (tag, type, count, value)) in fields.Index())
            {
                BinaryPrimitives.WriteUInt16LittleEndian(tiff.AsSpan(at + 2 + (n * 12)), tag);
                BinaryPrimitives.WriteUInt16LittleEndian(tiff.AsSpan(at + 4 + (n * 12)), type);
                Write32(at + 6 + (n * 12), count);
                Write32(at + 10 + (n * 12), value);
            }
        }
    }

    static byte[] Encode(SKEncodedImageFormat format, int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        bitmap.Erase(SKColors.Red);
        for (var x = width / 2; x < width; x++)
        for (var y = 0; y < height; y++)
            bitmap.SetPixel(x, y, SKColors.Blue);
        using var data = bitmap.Encode(format, 95);
        return data.ToArray();
    }
}

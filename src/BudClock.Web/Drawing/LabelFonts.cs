using SkiaSharp;

namespace BudClock.Web.Drawing;

/// <summary>A face for labels, which ships with the program: no font of the machine is asked for.</summary>
public sealed class LabelFonts
{
    readonly SKTypeface face;

    LabelFonts(int weight)
    {
        using var file = typeof(LabelFonts).Assembly.GetManifestResourceStream($"fonts/atkinson-hyperlegible-next-{weight}.ttf")!;
        using var bytes = SKData.Create(file);
        face = SKTypeface.FromData(bytes);
    }

    /// <summary>For all but tags.</summary>
    public static LabelFonts Plain { get; } = new(400);

    /// <summary>For tags.</summary>
    public static LabelFonts Bold { get; } = new(700);

    /// <summary>The face at a size; the caller disposes of it.</summary>
    public SKFont At(double size) => new(face, (float)size) { Subpixel = true, Hinting = SKFontHinting.None };

    /// <summary>How wide words are in the unit of the size.</summary>
    public double Width(string words, double size)
    {
        using var font = At(100); // measured large, since small sizes are rounded
        return font.MeasureText(words) * size / 100;
    }

    /// <summary>The words, cut with an ellipsis where they are wider than there is room.</summary>
    public string Fitted(string words, double size, double room)
    {
        if (Width(words, size) <= room)
            return words;
        var text = new System.Globalization.StringInfo(words);
        var length = text.LengthInTextElements;
        while (length > 0 && Width(text.SubstringByTextElements(0, length).TrimEnd() + "…", size) > room)
            length--;
        return length == 0 ? "" : text.SubstringByTextElements(0, length).TrimEnd() + "…";
    }
}

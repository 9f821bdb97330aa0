using System.Text;
using QRCoder;
using SkiaSharp;

namespace BudClock.Web.Drawing;

/// <summary>One label laid out in millimetres: words on the left, a QR on the right. SVG and PDF are drawn from the same.</summary>
public sealed class PlantLabel
{
    /// <summary>Paper is fed and cut with so much play, mm.</summary>
    const double Edge = 1.6;

    /// <summary>A QR larger than this is read no better, mm.</summary>
    const double LargestQr = 26;

    /// <summary>White around a QR, modules (ISO/IEC 18004).</summary>
    const int Quiet = 4;

    readonly LabelSheet sheet;

    PlantLabel(LabelSheet sheet, IReadOnlyList<LabelText> texts, bool[,] modules, double qr) =>
        (this.sheet, Texts, Modules, Qr) = (sheet, texts, modules, qr);

    /// <summary>The lines, with the baseline of each.</summary>
    public IReadOnlyList<LabelText> Texts { get; }

    /// <summary>The QR's dark modules, without the white around it.</summary>
    bool[,] Modules { get; }

    /// <summary>The side of the QR with its white, mm.</summary>
    public double Qr { get; }

    double Module => Qr / (Modules.GetLength(0) + (2 * Quiet));

    /// <summary>Lays a label out; words that are too long are cut, the tag never is.</summary>
    public static PlantLabel Of(LabelSheet sheet, LabelWords words)
    {
        var qr = Math.Min(LargestQr, sheet.Height - 1);
        var room = sheet.Width - qr - (2 * Edge);
        var large = sheet.Height / 4.2;
        // A tag of twenty letters still fits.
        while (LabelFonts.Bold.Width(words.Tag, large) > room)
            large *= 0.95;
        var small = Math.Clamp(sheet.Height / 8, 2.2, 3.4);
        var top = (sheet.Height - large - (small * 2.7)) / 2;
        return new(
            sheet,
            [
                new(Edge, top + (large * 0.8), large, true, words.Tag),
                new(Edge, top + large + (small * 1.1), small, false, LabelFonts.Plain.Fitted(words.Name, small, room)),
                new(Edge, top + large + (small * 2.4), small, false, LabelFonts.Plain.Fitted(words.Line, small, room)),
            ],
            ReadModules(words.Address),
            qr
        );
    }

    /// <summary>The label as an SVG of its true size.</summary>
    public string ToSvg()
    {
        var svg = new StringBuilder();
        svg.Append(
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{Svg.N(sheet.Width)}mm\" height=\"{Svg.N(sheet.Height)}mm\" "
                + $"viewBox=\"0 0 {Svg.N(sheet.Width)} {Svg.N(sheet.Height)}\" role=\"img\" aria-label=\"Label {Escaped(Texts[0].Words)}\">"
        );
        svg.Append($"<rect width=\"{Svg.N(sheet.Width)}\" height=\"{Svg.N(sheet.Height)}\" fill=\"#fff\"/>");
        foreach (var text in Texts)
            svg.Append(
                $"<text x=\"{Svg.N(text.X)}\" y=\"{Svg.N(text.Y)}\" font-size=\"{Svg.N(text.Size)}\" fill=\"#000\" "
                    + $"font-family=\"Atkinson Hyperlegible Next, sans-serif\" font-weight=\"{(text.Bold ? 700 : 400)}\">"
                    + $"{Escaped(text.Words)}</text>"
            );
        svg.Append("<path fill=\"#000\" d=\"");
        foreach (var (x, y, wide) in Runs())
            svg.Append(FormattableString.Invariant($"M{x:0.###} {y:0.###}h{wide:0.###}v{Module:0.###}h{-wide:0.###}z"));
        return svg.Append("\"/></svg>").ToString();
    }

    /// <summary>Draws it onto a page that is scaled to millimetres.</summary>
    public void Draw(SKCanvas page)
    {
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        foreach (var text in Texts)
        {
            using var font = (text.Bold ? LabelFonts.Bold : LabelFonts.Plain).At(text.Size);
            page.DrawText(text.Words, (float)text.X, (float)text.Y, SKTextAlign.Left, font, ink);
        }
        foreach (var (x, y, wide) in Runs())
            page.DrawRect((float)x, (float)y, (float)wide, (float)Module, ink);
    }

    /// <summary>Dark modules, those beside each other in one go, mm.</summary>
    IEnumerable<(double X, double Y, double Width)> Runs()
    {
        var side = Modules.GetLength(0);
        var (left, top) = (sheet.Width - Qr - 0.5 + (Quiet * Module), ((sheet.Height - Qr) / 2) + (Quiet * Module));
        for (var row = 0; row < side; row++)
        for (var column = 0; column < side; column++)
        {
            var begin = column;
            while (column < side && Modules[row, column])
                column++;
            if (column > begin)
                yield return (left + (begin * Module), top + (row * Module), (column - begin) * Module);
        }
    }

    static bool[,] ReadModules(string address)
    {
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        // The generator puts the white around it; what is drawn here has its own.
        var (rows, all) = (data.ModuleMatrix, data.ModuleMatrix.Count);
        var modules = new bool[all - (2 * Quiet), all - (2 * Quiet)];
        for (var row = 0; row < modules.GetLength(0); row++)
        for (var column = 0; column < modules.GetLength(1); column++)
            modules[row, column] = rows[row + Quiet][column + Quiet];
        return modules;
    }

    static string Escaped(string text) => System.Net.WebUtility.HtmlEncode(text);
}

/// <summary>A line of a label.</summary>
/// <param name="Y">Its baseline, mm.</param>
/// <param name="Size">Of its letters, mm.</param>
public sealed record LabelText(double X, double Y, double Size, bool Bold, string Words);

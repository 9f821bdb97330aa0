using SkiaSharp;

namespace BudClock.Web.Drawing;

/// <summary>Labels as a PDF of true size, page after page.</summary>
public static class LabelPdf
{
    const float PointsPerMm = 72f / 25.4f;

    /// <summary>The file; one empty page where there is no label. One without a tag is left free.</summary>
    public static byte[] Of(LabelSheet sheet, IReadOnlyList<LabelWords> labels)
    {
        using var file = new MemoryStream();
        using (var pdf = SKDocument.CreatePdf(file, new SKDocumentPdfMetadata { Title = "Labels", Producer = "Bud Clock" }))
        {
            foreach (
                var page in labels.Count == 0
                    ?
                    [
                        [],
                    ]
                    : labels.Chunk(sheet.OnPage)
            )
            {
                var canvas = pdf.BeginPage((float)sheet.PageWidth * PointsPerMm, (float)sheet.PageHeight * PointsPerMm);
                canvas.Scale(PointsPerMm);
                foreach (var (index, words) in page.Index().Where(label => label.Item.Tag.Length > 0))
                {
                    var (x, y) = sheet.At(index);
                    canvas.Save();
                    canvas.Translate((float)x, (float)y);
                    PlantLabel.Of(sheet, words).Draw(canvas);
                    canvas.Restore();
                }
                pdf.EndPage();
            }
            pdf.Close();
        }
        return file.ToArray();
    }
}

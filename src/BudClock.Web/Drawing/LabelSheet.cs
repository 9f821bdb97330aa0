namespace BudClock.Web.Drawing;

/// <summary>A sheet or strip of labels, in millimetres.</summary>
/// <param name="Name">Used in addresses.</param>
/// <param name="Words">For the list: "A4, 3 × 8 of 70 × 36 mm".</param>
/// <param name="Left">Free before the first column.</param>
/// <param name="Top">Free above the first row.</param>
public sealed record LabelSheet(
    string Name,
    string Words,
    double PageWidth,
    double PageHeight,
    int Columns,
    int Rows,
    double Width,
    double Height,
    double Left,
    double Top
)
{
    /// <summary>Sheets and strips that stationers sell; the first is proposed.</summary>
    public static readonly IReadOnlyList<LabelSheet> All =
    [
        new("a4-24", "A4, 3 × 8 labels of 70 × 36 mm", 210, 297, 3, 8, 70, 36, 0, 4.5),
        new("a4-65", "A4, 5 × 13 labels of 38 × 21 mm", 210, 297, 5, 13, 38.1, 21.2, 9.75, 10.7),
        new("letter-30", "US letter, 3 × 10 labels of 67 × 25 mm", 215.9, 279.4, 3, 10, 66.7, 25.4, 7.9, 12.7),
        new("strip-20", "A strip, 10 labels of 100 × 20 mm to cut", 100, 200, 1, 10, 100, 20, 0, 0),
    ];

    /// <summary>The sheet of a name; the first where there is none such.</summary>
    public static LabelSheet Find(string? name) => All.FirstOrDefault(sheet => sheet.Name == name) ?? All[0];

    /// <summary>Labels on a page.</summary>
    public int OnPage => Columns * Rows;

    /// <summary>The upper left corner of a label on its page, mm.</summary>
    public (double X, double Y) At(int index) => (Left + (index % Columns * Width), Top + (index % OnPage / Columns * Height));
}

/// <summary>What stands on a label (rule K1).</summary>
/// <param name="Tag">What never changes.</param>
/// <param name="Name">What it is called today.</param>
/// <param name="Line">A line below: its botanical name, and when it was potted.</param>
/// <param name="Address">Where its QR leads.</param>
public sealed record LabelWords(string Tag, string Name, string Line, string Address);

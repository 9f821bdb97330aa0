using BudClock.Core.Mixing;

namespace BudClock.Web.Drawing;

/// <summary>Measured over meant, batch by batch in their order: a flat line says that spoon, scale and feed can be trusted.</summary>
/// <param name="Points">A dot for each measured batch, oldest first.</param>
/// <param name="Top">Where 25 % above lies.</param>
/// <param name="Bottom">Where 25 % below lies.</param>
public sealed record BatchHistory(IReadOnlyList<BatchDot> Points, double Meant, double Top, double Bottom)
{
    public const double Width = 640;
    public const double Height = 150;
    const double Left = 82;
    const double MostOff = 0.6;

    /// <summary>The last measured batches; null under two.</summary>
    public static BatchHistory? Of(IReadOnlyList<Batch> batches, int most = 24)
    {
        var measured = batches.Where(batch => batch.Off is not null).TakeLast(most).ToList();
        if (measured.Count < 2)
            return null;
        var step = (Width - Left - 20) / (measured.Count - 1);
        return new(
            [.. measured.Select((batch, i) => new BatchDot(batch, Left + (i * step), Y(batch.Off!.Value)))],
            Y(0),
            Y(Mix.QuestionedShare),
            Y(-Mix.QuestionedShare)
        );
    }

    static double Y(double off) => (Height / 2) - (Math.Clamp(off, -MostOff, MostOff) / MostOff * ((Height / 2) - 14));
}

public sealed record BatchDot(Batch Batch, double X, double Y)
{
    public bool Far => Math.Abs(Batch.Off!.Value) > Mix.QuestionedShare;
}

using System.Globalization;

namespace BudClock.Core.Notes;

/// <summary>Questions that a number raises by itself.</summary>
static class ClauseAsks
{
    /// <summary>"watered 1/2": the first of February, or half of something.</summary>
    /// <param name="open">What it stands behind; null for nothing.</param>
    public static void DayOrShare(ClauseScope scope, Item item, OpenEntry? open)
    {
        var written = scope.Raw(item, item);
        var day = NoteDates.Read([.. Tokens.Of(written, 0)], scope.Context.Today, scope.Context.UsUnits)?.Day;
        var answers = new List<(string, string)>();
        if (day is { } on)
            answers.Add((Dates.Long(on), on.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)));
        if (open?.Act is { } act && act.Kind == EntryKinds.Fed)
            answers.Add(($"{written} strength", $"{written} strength"));
        else if (open?.Act?.Kind.Measure?.Dimension is Dimension.Volume)
            answers.AddRange([($"{written} cup", $"{written} cup"), ($"{written} L", $"{written} L")]);
        scope.Clause.Doubts.Add(new(written, $"Is {written} a day or a share?", item.Start, item.End, answers));
    }

    /// <summary>"0.7 mS" is 350 or 490 ppm, by the meter's scale.</summary>
    /// <param name="named">The thing it is of, where the line does not name it.</param>
    public static void Scale(ClauseScope scope, Item item, string named) =>
        scope.Clause.Doubts.Add(
            new(
                $"{item.Amount} mS/cm",
                "Which scale does the meter show?",
                item.Start,
                item.End,
                [
                    .. Mixing
                        .MeterScale.All.Select(scale => (scale.Name, Ppm: Ppm(item, scale)))
                        .Select(a => ($"{a.Ppm}, scale {a.Name}", $"{named}{a.Ppm}")),
                ]
            )
        );

    static string Ppm(Item item, Mixing.MeterScale scale) =>
        string.Create(CultureInfo.InvariantCulture, $"{item.Amount!.Value.Value * scale.PpmPerMilliSiemens:0} ppm");
}

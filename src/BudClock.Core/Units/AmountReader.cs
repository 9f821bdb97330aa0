namespace BudClock.Core.Units;

/// <summary>Reads the number of a form field as the note line would: "8,5", "4 1/2 in", "400 ml".</summary>
public static class AmountReader
{
    /// <summary>The quantity, in <paramref name="bare"/> when no unit is written; null when it is not one number with a unit.</summary>
    public static Quantity? Read(string? text, Unit? bare)
    {
        if (string.IsNullOrWhiteSpace(text) || text.Length > 40)
            return null;
        var tokens = Tokens.Of(text, 0);
        if (tokens[0].Kind is not TokenKind.Number)
            return null;
        if (tokens.Count == 1)
            return new(tokens[0].Number, bare);
        return Unit.Find(string.Join(' ', tokens.Skip(1).Select(token => token.Text))) is { } unit ? new(tokens[0].Number, unit) : null;
    }
}

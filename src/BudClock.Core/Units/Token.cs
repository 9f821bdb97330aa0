using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Units;

enum TokenKind
{
    Word,
    Number,
    Date,
    Break,
    Reference,

    /// <summary>Words between quotation marks, taken as they are.</summary>
    Quoted,

    /// <summary>"21/5/31": its text tells the parts; which is the day depends on the garden.</summary>
    SlashDate,
}

/// <summary>
/// A word, a number, a date, the name of an organ behind a #, quoted words, or a break between observations, with its place in the
/// line.
/// </summary>
sealed record Token(TokenKind Kind, int Start, int End, string Text, double Number = 0, DateOnly Date = default)
{
    /// <summary>Whether it is exactly that word, in lower case.</summary>
    public bool Is(string word) => Kind is TokenKind.Word && Text == word;
}

static partial class Tokens
{
    static readonly Dictionary<string, double> Signs = new()
    {
        ["½"] = 1.0 / 2,
        ["¼"] = 1.0 / 4,
        ["¾"] = 3.0 / 4,
        ["⅓"] = 1.0 / 3,
        ["⅔"] = 2.0 / 3,
        ["⅛"] = 1.0 / 8,
        ["⅜"] = 3.0 / 8,
        ["⅝"] = 5.0 / 8,
        ["⅞"] = 7.0 / 8,
    };

    /// <summary>The tokens of a line from a position on; what is no word, number or sign is passed over.</summary>
    public static List<Token> Of(string line, int from) => [.. Pattern().Matches(line, from).Select(Read)];

    static Token Read(Match match)
    {
        var (start, end) = (match.Index, match.Index + match.Length);
        if (
            match.Groups["iso"].Success
            && DateOnly.TryParseExact(match.Value, "yyyy-M-d", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date)
        )
            return new(TokenKind.Date, start, end, match.Value, Date: date);
        if (match.Groups["number"].Success)
            return new(TokenKind.Number, start, end, match.Value, Number(match));
        if (match.Groups["quoted"].Success)
            return new(TokenKind.Quoted, start, end, match.Groups["quoted"].Value);
        if (match.Groups["slash"].Success)
            return new(TokenKind.SlashDate, start, end, match.Value);
        if (match.Groups["reference"].Success)
            return new(TokenKind.Reference, start, end, match.Groups["reference"].Value);
        if (match.Groups["break"].Success)
            return new(TokenKind.Break, start, end, match.Value);
        return new(TokenKind.Word, start, end, match.Value.ToLowerInvariant().Replace('’', '\''));
    }

    /// <summary>"8.5", "8,5", "−3", "4 1/2", "4½", "½", "3/4".</summary>
    static double Number(Match match)
    {
        var whole =
            match.Groups["thousands"].Success ? double.Parse(match.Groups["thousands"].Value.Replace(",", ""), CultureInfo.InvariantCulture)
            : match.Groups["whole"].Success
                ? double.Parse(match.Groups["whole"].ValueSpan.ToString().Replace(',', '.'), CultureInfo.InvariantCulture)
            : 0;
        var part =
            match.Groups["sign"].Success ? Signs[match.Groups["sign"].Value]
            : match.Groups["over"].Success ? Over(match.Groups["over"].Value.Split('/'))
            : 0;
        return match.Groups["minus"].Success ? -(whole + part) : whole + part;
    }

    static double Over(string[] fraction) =>
        double.Parse(fraction[0], CultureInfo.InvariantCulture) / Math.Max(1, double.Parse(fraction[1], CultureInfo.InvariantCulture));

    // A comma between digits is a decimal comma, but before exactly three of them, where it parts thousands; any other is a break.
    [GeneratedRegex(
        """
            (?<iso>[0-9]{4}-[0-9]{1,2}-[0-9]{1,2}(?![0-9]))
            |(?<slash>(?<![\w/])[0-9]{1,2}/[0-9]{1,2}/(?:[0-9]{4}|[0-9]{2})(?![0-9/]))
            |(?<slash>(?<![\w.,/])[0-9]{1,2}\.[0-9]{1,2}\.(?:[0-9]{4}|[0-9]{2})?(?![\w.]))
            |(?<word>(?<![\w-])[0-9]{1,2}-[0-9]{1,2}-[0-9]{1,2}(?![\w-]))
            |(?<![\w½¼¾⅓⅔⅛⅜⅝⅞"″])["“](?<quoted>[^"”\n]{1,2000})["”](?![\w])
            |(?<number>(?<minus>(?<![\w])[-−])?
                (?:(?<over>[0-9]{1,3}/[0-9]{1,3})(?![0-9/])
                  |(?<thousands>[1-9][0-9]{0,2}(?:,[0-9]{3})+)(?![0-9.,]*[0-9])
                  |(?<whole>[0-9]{1,9}(?:[.,][0-9]{1,9})?)
                    (?:\s?(?<sign>[½¼¾⅓⅔⅛⅜⅝⅞])|\s+(?<over>[0-9]{1,3}/[0-9]{1,3})(?![0-9/]))?
                  |(?<sign>[½¼¾⅓⅔⅛⅜⅝⅞])))
            |\#(?<reference>[A-Za-z0-9][A-Za-z0-9-]*)
            |(?<break>[,;\n]|\.(?=\s|$))
            |(?:mg/l|w/(?=[\s0-9])|["″%?!()]
                |[^\s0-9,;:½¼¾⅓⅔⅛⅜⅝⅞"“”″%.?!()\#]+\.?(?=\s|$|[,;])
                |[^\s0-9,;:½¼¾⅓⅔⅛⅜⅝⅞"“”″%.?!()\#]+|\S)
            """,
        RegexOptions.IgnorePatternWhitespace | RegexOptions.CultureInvariant | RegexOptions.IgnoreCase,
        matchTimeoutMilliseconds: 1000
    )]
    private static partial Regex Pattern();
}

namespace BudClock.Core.Notes;

/// <summary>Numbers as they are spoken: "eleven", "nine point five", "two and a half", "three hundred and fifty", "half a cup".</summary>
static class SpokenNumbers
{
    static readonly string[] Ones =
    [
        "zero",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen",
    ];

    static readonly string[] Tens = ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];

    /// <summary>The value of one number word; null for any other word.</summary>
    public static int? Value(string word)
    {
        if (Array.IndexOf(Ones, word) is >= 0 and var one)
            return one;
        return Array.IndexOf(Tens, word) is >= 0 and var ten ? (ten + 2) * 10 : null;
    }

    /// <summary>The tokens with number words as numbers; each keeps its place in the line.</summary>
    public static List<Token> Heard(IReadOnlyList<Token> tokens)
    {
        var heard = new List<Token>(tokens.Count);
        for (var at = 0; at < tokens.Count; )
        {
            var (value, taken) = Number(tokens, at);
            if (taken == 0)
                heard.Add(tokens[at]);
            else
                heard.Add(new(TokenKind.Number, tokens[at].Start, tokens[at + taken - 1].End, tokens[at].Text, value));
            at += Math.Max(1, taken);
        }
        return heard;
    }

    static (double Value, int Taken) Number(IReadOnlyList<Token> tokens, int at)
    {
        var (value, next) = tokens[at].Kind is TokenKind.Number ? (tokens[at].Number, at + 1) : Whole(tokens, at);
        if (next == at)
            return Part(tokens, at);
        if (Is(tokens, next, "point") && Digits(tokens, next + 1) is { Taken: > 0 } digits)
            return (value + digits.Value, next + 1 + digits.Taken - at);
        if (Is(tokens, next, "and") && (Is(tokens, next + 1, "a") || Is(tokens, next + 1, "one")) && Share(tokens, next + 2) is { } share)
            return (value + share, next + 3 - at);
        return tokens[at].Kind is TokenKind.Number ? (0, 0) : (value, next - at);
    }

    /// <summary>"three hundred and fifty", "twenty five".</summary>
    static (double Value, int Next) Whole(IReadOnlyList<Token> tokens, int at)
    {
        if (ValueAt(tokens, at) is not { } first)
            return (0, at);
        var (value, next) = Small(tokens, at, first);
        if (!Is(tokens, next, "hundred"))
            return (value, next);
        (value, next) = (value * 100, next + 1);
        var rest = Is(tokens, next, "and") ? next + 1 : next;
        if (ValueAt(tokens, rest) is not { } low)
            return (value, next);
        var (small, after) = Small(tokens, rest, low);
        return (value + small, after);
    }

    static (double Value, int Next) Small(IReadOnlyList<Token> tokens, int at, int first) =>
        first >= 20 && ValueAt(tokens, at + 1) is > 0 and < 10 and var one ? (first + one, at + 2) : (first, at + 1);

    /// <summary>"half a litre", "a cup": only before a unit.</summary>
    static (double Value, int Taken) Part(IReadOnlyList<Token> tokens, int at)
    {
        var article = Is(tokens, at, "a") || Is(tokens, at, "an");
        if (article && Share(tokens, at + 1) is { } of && ToUnit(tokens, at + 2) is > 0 and var before)
            return (of, 2 + before - 1);
        if (article && IsUnit(tokens, at + 1))
            return (1, 1);
        if (Share(tokens, at) is not { } share)
            return (0, 0);
        return ToUnit(tokens, at + 1) is > 0 and var words ? (share, words) : (0, 0);
    }

    /// <summary>How many words lead to a unit, the unit counted: "cup", "a cup", "of a cup"; 0 for none.</summary>
    static int ToUnit(IReadOnlyList<Token> tokens, int at)
    {
        var next = Is(tokens, at, "of") ? at + 1 : at;
        if (Is(tokens, next, "a") || Is(tokens, next, "an"))
            next++;
        return IsUnit(tokens, next) ? next - at + 1 : 0;
    }

    static double? Share(IReadOnlyList<Token> tokens, int at) =>
        Is(tokens, at, "half") ? 0.5
        : Is(tokens, at, "third") ? 1 / 3.0
        : Is(tokens, at, "quarter") ? 0.25
        : null;

    static (double Value, int Taken) Digits(IReadOnlyList<Token> tokens, int at)
    {
        var (value, scale, taken) = (0.0, 0.1, 0);
        while (ValueAt(tokens, at + taken) is < 10 and var digit)
        {
            value += digit * scale;
            scale /= 10;
            taken++;
        }
        return (Math.Round(value, 6), taken);
    }

    static int? ValueAt(IReadOnlyList<Token> tokens, int at) =>
        at < tokens.Count && tokens[at].Kind is TokenKind.Word ? Value(tokens[at].Text) : null;

    static bool Is(IReadOnlyList<Token> tokens, int at, string word) => at < tokens.Count && tokens[at].Is(word);

    /// <summary>A unit of three letters or more: "a g" and "a c" are no amounts.</summary>
    static bool IsUnit(IReadOnlyList<Token> tokens, int at) =>
        at < tokens.Count && tokens[at].Kind is TokenKind.Word && tokens[at].Text.Length >= 3 && Unit.Find(tokens[at].Text) is not null;
}

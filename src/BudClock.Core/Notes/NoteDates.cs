using System.Globalization;

namespace BudClock.Core.Notes;

/// <summary>A date read from a line: how many tokens it took, and the day or what is wrong with it.</summary>
readonly record struct DateRead(int Taken, DateOnly? Day, string? Fault = null);

/// <summary>
/// Days as people write them. A day without a year is the last such day, if that lies within nine months; "21/5" has the day first,
/// but in a garden with US units.
/// </summary>
static class NoteDates
{
    const int FarBackDays = 270;

    /// <summary>A quarter, a half, an eighth: "1/4" may be no date.</summary>
    static readonly int[] Fractions = [2, 3, 4, 8];

    static readonly string[] Months = CultureInfo.InvariantCulture.DateTimeFormat.MonthNames[..12];
    static readonly string[] Weekdays = CultureInfo.InvariantCulture.DateTimeFormat.DayNames;

    static readonly (string[] Words, int Back)[] Days =
    [
        (["today"], 0),
        (["this", "morning"], 0),
        (["this", "afternoon"], 0),
        (["this", "evening"], 0),
        (["tonight"], 0),
        (["just", "now"], 0),
        (["day", "before", "yesterday"], 2),
        (["the", "day", "before", "yesterday"], 2),
        (["yesterday"], 1),
        (["yday"], 1),
        (["yest"], 1),
        (["yesterday", "evening"], 1),
        (["yesterday", "morning"], 1),
        (["last", "night"], 1),
        (["last", "evening"], 1),
        (["last", "week"], 7),
        (["a", "fortnight", "ago"], 14),
    ];

    /// <summary>Single words that dates are made of, which a slip of the pen can have meant.</summary>
    public static IReadOnlyList<string> Words { get; } =
    ["yesterday", "today", "last", "week", "weeks", "days", "morning", .. Months.Concat(Weekdays).Select(name => name.ToLowerInvariant())];

    /// <summary>The date at the head of the tokens, or null when none stands there.</summary>
    public static DateRead? Read(ReadOnlySpan<Token> tokens, DateOnly today, bool monthFirst = false)
    {
        if (tokens.IsEmpty)
            return null;
        if (tokens[0].Is("on") || tokens[0].Is("since") || tokens[0].Is("the") || tokens[0].Is("from"))
            return OnTheDay(tokens, today)
                ?? (Read(tokens[1..], today, monthFirst) is { } later ? later with { Taken = later.Taken + 1 } : null);
        if (tokens[0].Kind is TokenKind.Date)
            return Checked(1, tokens[0].Date, today);
        if (tokens[0].Kind is TokenKind.SlashDate)
            return Slashed(tokens[0].Text, today, monthFirst);
        return Named(tokens, today) ?? Ago(tokens, today) ?? DayAndMonth(tokens, today) ?? Slash(tokens, today, monthFirst);
    }

    /// <summary>"1/2" with nothing that makes it a fraction: a date, or a half.</summary>
    public static bool Doubtful(ReadOnlySpan<Token> tokens) =>
        Fraction(tokens[0]) is var (over, under) && over < under && Fractions.Contains(under);

    static DateRead? Named(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        (int Taken, int Back)? best = null;
        foreach (var (words, back) in Days)
            if (Starts(tokens, words) && !(best?.Taken >= words.Length))
                best = (words.Length, back);
        if (best is { } named)
            return new(named.Taken, today.AddDays(-named.Back));
        if (tokens[0].Is("tomorrow"))
            return Checked(1, today.AddDays(1), today);
        var last = (tokens[0].Is("last") || tokens[0].Is("this")) && tokens.Length > 1;
        if (Weekday(last ? tokens[1] : tokens[0]) is not { } weekday)
            return null;
        var days = ((int)today.DayOfWeek - weekday + 7) % 7;
        return new(last ? 2 : 1, today.AddDays(-(last && days == 0 ? 7 : days)));
    }

    /// <summary>"3 days ago", "a week ago", "2 wks ago", "3d ago".</summary>
    static DateRead? Ago(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (tokens.Length < 3 || !(tokens[2].Is("ago") || tokens[2].Is("back")))
            return null;
        var count =
            tokens[0].Kind is TokenKind.Number ? tokens[0].Number
            : tokens[0].Is("a") || tokens[0].Is("one") ? 1
            : -1;
        var days = tokens[1].Text.TrimEnd('.') switch
        {
            "day" or "days" or "d" or "night" or "nights" => 1,
            "week" or "weeks" or "wk" or "wks" or "w" => 7,
            "fortnight" or "fortnights" => 14,
            _ => 0,
        };
        if (days == 0 || count < 0 || count != Math.Floor(count) || count * days > 3660)
            return null;
        return new(3, today.AddDays(-(int)count * days));
    }

    /// <summary>"21 May", "21st of May 2031", "May 21", "the 20th".</summary>
    static DateRead? DayAndMonth(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (Month(tokens[0]) is { } first && tokens.Length > 1 && DayOfMonth(tokens[1]) is { } late)
            return WithYear(tokens, Ordinal(tokens, 2), first, late, today);
        if (DayOfMonth(tokens[0]) is not { } day)
            return null;
        var next = Ordinal(tokens, 1);
        var ordinal = next > 1;
        if (next < tokens.Length && tokens[next].Is("of"))
            next++;
        if (next < tokens.Length && Month(tokens[next]) is { } month)
            return WithYear(tokens, next + 1, month, day, today);
        return ordinal && Alone(tokens[next..]) ? OfThisMonth(day, next, today) : null;
    }

    /// <summary>
    /// "the 20th" is a day at the end of what is said, or where the act follows that was done then; "the 4th flower", "2nd watering" are
    /// none.
    /// </summary>
    static bool Alone(ReadOnlySpan<Token> behind) =>
        behind.IsEmpty
        || behind[0].Kind is TokenKind.Break
        || (Lexicon.Shipped.Longest(behind) is { Act: not null, Thing: null } word && FreeText.Past(word.Text));

    /// <summary>The name of a weekday: "monday", "wed".</summary>
    public static bool IsWeekday(string word) => Weekday(new(TokenKind.Word, 0, word.Length, word)) is not null;

    /// <summary>"21.5." or "21.5" in front of the plants: nothing else stands there.</summary>
    public static DateRead? InFront(ReadOnlySpan<Token> tokens, DateOnly today, bool monthFirst = false)
    {
        if (
            tokens.Length == 1
            && (tokens[0].Kind is TokenKind.SlashDate || (tokens[0].Kind is TokenKind.Number && tokens[0].Text.Contains('.')))
            && tokens[0].Text.Split('.', StringSplitOptions.RemoveEmptyEntries) is [{ Length: <= 2 }, { Length: <= 2 }] parts
            && parts.All(part => part.All(char.IsAsciiDigit))
        )
            return Slashed($"{tokens[0].Text.TrimEnd('.')}.", today, monthFirst);
        return Read(tokens, today, monthFirst) is { } read && read.Taken == tokens.Length ? read : null;
    }

    /// <summary>"on the 20": the number alone is a day there.</summary>
    static DateRead? OnTheDay(ReadOnlySpan<Token> tokens, DateOnly today) =>
        tokens.Length == 3 && tokens[0].Is("on") && tokens[1].Is("the") && DayOfMonth(tokens[2]) is { } day
            ? OfThisMonth(day, 3, today)
            : null;

    static DateRead OfThisMonth(int day, int taken, DateOnly today)
    {
        var month = day <= today.Day ? today : today.AddMonths(-1);
        return day <= DateTime.DaysInMonth(month.Year, month.Month)
            ? new(taken, new(month.Year, month.Month, day))
            : new(taken, null, $"{Months[month.Month - 1]} has no day {day}.");
    }

    /// <summary>"21/5"; in a garden with US units "5/21". Where only one order is a day, it is that.</summary>
    static DateRead? Slash(ReadOnlySpan<Token> tokens, DateOnly today, bool monthFirst)
    {
        if (Fraction(tokens[0]) is not var (first, second))
            return null;
        var (day, month) = DayMonth(first, second, monthFirst);
        return month is >= 1 and <= 12 && day is >= 1 and <= 31 ? WithYear(tokens[..1], 1, month, day, today) : null;
    }

    /// <summary>"20/5/31", "20.5.2031"; with points the day always comes first.</summary>
    static DateRead? Slashed(string written, DateOnly today, bool monthFirst)
    {
        var parts = written.Split(['/', '.'], StringSplitOptions.RemoveEmptyEntries);
        var (day, month) = DayMonth(Number(parts[0]), Number(parts[1]), monthFirst && written.Contains('/'));
        if (month is < 1 or > 12 || day is < 1 or > 31)
            return new(1, null, $"{written} is no day.");
        if (parts.Length == 2)
            return WithYear([], 0, month, day, today) is { } read ? read with { Taken = 1 } : null;
        var year = Number(parts[2]) is < 100 and var two ? 2000 + two : Number(parts[2]);
        return year > 1900 && day <= DateTime.DaysInMonth(year, month)
            ? Checked(1, new(year, month, day), today)
            : new(1, null, $"{written} is no day.");
    }

    static (int Day, int Month) DayMonth(int first, int second, bool monthFirst) =>
        (monthFirst && first <= 12) || second > 12 ? (second, first) : (first, second);

    static int Number(string digits) => int.Parse(digits, CultureInfo.InvariantCulture);

    static (int Over, int Under)? Fraction(Token token) =>
        token.Kind is TokenKind.Number
        && token.Text.Split('/') is [{ Length: 1 or 2 } over, { Length: 1 or 2 } under]
        && over.All(char.IsAsciiDigit)
        && under.All(char.IsAsciiDigit)
            ? (Number(over), Number(under))
            : null;

    static DateRead? WithYear(ReadOnlySpan<Token> tokens, int taken, int month, int day, DateOnly today)
    {
        var year =
            taken < tokens.Length
            && tokens[taken].Kind is TokenKind.Number
            && tokens[taken].Number is >= 1900 and <= 2999 and var y
            && y == Math.Floor(y)
                ? (int)y
                : 0;
        if (day < 1 || day > DateTime.DaysInMonth(year == 0 ? 2028 : year, month))
            return new(taken, null, $"{Months[month - 1]} has no day {day}.");
        if (year != 0)
            return Checked(taken + 1, new(year, month, day), today);
        if (day > DateTime.DaysInMonth(today.Year, month))
            return new(taken, null, $"{Months[month - 1]} {today.Year} has no day {day}. Write the year if another is meant.");
        var thisYear = new DateOnly(today.Year, month, day);
        if (thisYear <= today)
            return new(taken, thisYear);
        var back = thisYear.AddYears(-1);
        return today.DayNumber - back.DayNumber <= FarBackDays ? new(taken, back) : Checked(taken, thisYear, today);
    }

    static DateRead Checked(int taken, DateOnly day, DateOnly today) =>
        day <= today ? new(taken, day) : new(taken, null, $"{Dates.Long(day)} is still to come; the log holds what has happened.");

    static int? DayOfMonth(Token token) =>
        token.Kind is TokenKind.Number && token.Number is >= 1 and <= 31 && token.Number == Math.Floor(token.Number)
            ? (int)token.Number
            : null;

    /// <summary>Steps over the "st" of "21st".</summary>
    static int Ordinal(ReadOnlySpan<Token> tokens, int at) =>
        at < tokens.Length && tokens[at].Kind is TokenKind.Word && tokens[at].Text is "st" or "nd" or "rd" or "th" ? at + 1 : at;

    static int? Month(Token token) => Among(Months, token, 3) is var index and >= 0 ? index + 1 : null;

    /// <summary>"sun" and "sat" are left to the weather and the verb: "moved into full sun", "sat in water".</summary>
    static int? Weekday(Token token) =>
        token.Text is not ("sun" or "sat") && Among(Weekdays, token, 3) is var index and >= 0 ? index : null;

    /// <summary>A name in full, or its first letters, at least <paramref name="atLeast"/> of them.</summary>
    static int Among(string[] names, Token token, int atLeast)
    {
        var word = token.Text.TrimEnd('.');
        return token.Kind is TokenKind.Word && word.Length >= atLeast
            ? Array.FindIndex(names, name =>
                name.StartsWith(word, StringComparison.OrdinalIgnoreCase) && (word.Length <= 5 || word.Length == name.Length)
            )
            : -1;
    }

    static bool Starts(ReadOnlySpan<Token> tokens, string[] words)
    {
        if (tokens.Length < words.Length)
            return false;
        for (var i = 0; i < words.Length; i++)
            if (tokens[i].Kind is not TokenKind.Word || tokens[i].Text.TrimEnd('.') != words[i])
                return false;
        return true;
    }
}

using System.Globalization;

namespace BudClock.Core.Notes;

/// <summary>A date read from a line: how many tokens it took, and the day or what is wrong with it.</summary>
readonly record struct DateRead(int Taken, DateOnly? Day, string? Fault = null);

/// <summary>Days as people write them. A day without a year is the last such day, if that lies within nine months.</summary>
static class NoteDates
{
    const int FarBackDays = 270;

    static readonly string[] Months = CultureInfo.InvariantCulture.DateTimeFormat.MonthNames[..12];
    static readonly string[] Weekdays = CultureInfo.InvariantCulture.DateTimeFormat.DayNames;

    /// <summary>The date at the head of the tokens, or null when none stands there.</summary>
    public static DateRead? Read(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (tokens.IsEmpty)
            return null;
        if (tokens[0].Is("on") || tokens[0].Is("since"))
            return Read(tokens[1..], today) is { } later ? later with { Taken = later.Taken + 1 } : null;
        if (tokens[0].Kind is TokenKind.Date)
            return Checked(1, tokens[0].Date, today);
        return Named(tokens, today) ?? Ago(tokens, today) ?? DayAndMonth(tokens, today);
    }

    static DateRead? Named(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (tokens[0].Is("today"))
            return new(1, today);
        if (tokens[0].Is("yesterday"))
            return new(1, today.AddDays(-1));
        if (tokens[0].Is("tomorrow"))
            return Checked(1, today.AddDays(1), today);
        if (Starts(tokens, "day", "before", "yesterday"))
            return new(3, today.AddDays(-2));
        if (Starts(tokens, "last", "night"))
            return new(2, today.AddDays(-1));
        var last = tokens[0].Is("last") && tokens.Length > 1;
        if (Weekday(last ? tokens[1] : tokens[0]) is not { } weekday)
            return null;
        var back = ((int)today.DayOfWeek - weekday + 7) % 7;
        return new(last ? 2 : 1, today.AddDays(-(last && back == 0 ? 7 : back)));
    }

    /// <summary>"3 days ago", "a week ago", "2 weeks ago".</summary>
    static DateRead? Ago(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (tokens.Length < 3 || !tokens[2].Is("ago"))
            return null;
        var count =
            tokens[0].Kind is TokenKind.Number
                ? tokens[0].Number
                : tokens[0].Text switch
                {
                    "a" or "one" => 1,
                    "two" => 2,
                    "three" => 3,
                    _ => -1,
                };
        var days = tokens[1].Text switch
        {
            "day" or "days" => 1,
            "week" or "weeks" => 7,
            _ => 0,
        };
        if (days == 0 || count < 0 || count != Math.Floor(count) || count * days > 3660)
            return null;
        return new(3, today.AddDays(-(int)count * days));
    }

    /// <summary>"21 May", "21st of May 2031", "May 21".</summary>
    static DateRead? DayAndMonth(ReadOnlySpan<Token> tokens, DateOnly today)
    {
        if (Month(tokens[0]) is { } first && tokens.Length > 1 && DayOfMonth(tokens[1]) is { } late)
            return WithYear(tokens, Ordinal(tokens, 2), first, late, today);
        if (DayOfMonth(tokens[0]) is not { } day)
            return null;
        var next = Ordinal(tokens, 1);
        if (next < tokens.Length && tokens[next].Is("of"))
            next++;
        return next < tokens.Length && Month(tokens[next]) is { } month ? WithYear(tokens, next + 1, month, day, today) : null;
    }

    static DateRead? WithYear(ReadOnlySpan<Token> tokens, int taken, int month, int day, DateOnly today)
    {
        var year =
            taken < tokens.Length
            && tokens[taken].Kind is TokenKind.Number
            && tokens[taken].Number is >= 1900 and <= 2999 and var y
            && y == Math.Floor(y)
                ? (int)y
                : 0;
        if (day > DateTime.DaysInMonth(year == 0 ? 2028 : year, month))
            return new(taken, null, $"{Months[month - 1]} has no day {day}.");
        if (year != 0)
            return Checked(taken + 1, new(year, month, day), today);
        var this_year =
            month == 2 && day == 29 && !DateTime.IsLeapYear(today.Year) ? today.AddYears(-1) : new DateOnly(today.Year, month, day);
        if (this_year <= today)
            return new(taken, this_year);
        var back = this_year.AddYears(-1);
        return today.DayNumber - back.DayNumber <= FarBackDays ? new(taken, back) : Checked(taken, this_year, today);
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
            ? Array.FindIndex(
                names,
                name => name.StartsWith(word, StringComparison.OrdinalIgnoreCase) && (word.Length <= 4 || word.Length == name.Length)
            )
            : -1;
    }

    static bool Starts(ReadOnlySpan<Token> tokens, params string[] words)
    {
        if (tokens.Length < words.Length)
            return false;
        for (var i = 0; i < words.Length; i++)
            if (!tokens[i].Is(words[i]))
                return false;
        return true;
    }
}

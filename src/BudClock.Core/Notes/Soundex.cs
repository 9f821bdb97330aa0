using System.Text;

namespace BudClock.Core.Notes;

/// <summary>American Soundex: words that sound alike in English have the same code.</summary>
/// <remarks>
/// As the National Archives of the United States publish it: the first letter, then three digits for the consonants; neighbours with
/// one digit count once, also across h and w.
/// </remarks>
public static class Soundex
{
    const string Digits = "01230120022455012623010202"; // a to z

    /// <summary>"Robert" is R163; empty for a word without a letter.</summary>
    public static string Of(string word)
    {
        var letters = word.ToLowerInvariant().Where(char.IsAsciiLetter).ToList();
        if (letters.Count == 0)
            return "";
        var code = new StringBuilder().Append(char.ToUpperInvariant(letters[0]));
        var before = Digits[letters[0] - 'a'];
        foreach (var letter in letters.Skip(1))
        {
            var digit = Digits[letter - 'a'];
            if (digit != '0' && digit != before)
                code.Append(digit);
            if (letter is not ('h' or 'w'))
                before = digit;
            if (code.Length == 4)
                break;
        }
        return code.ToString().PadRight(4, '0');
    }
}

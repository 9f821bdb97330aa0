using System.Text.RegularExpressions;

namespace BudClock.Core.Notes;

/// <summary>Whom a line is about: one tag, several ("cal-02, cal-06: soaked"), or all plants of a place ("south bench: soaked").</summary>
/// <param name="Unknown">The first word, when it is no tag; empty for an empty line.</param>
/// <param name="Start">Where that word begins.</param>
/// <param name="End">Where the observations begin.</param>
sealed partial record NoteHead(IReadOnlyList<string> Tags, string? Unknown, int Start, int End)
{
    public static NoteHead Read(string line, NoteContext context)
    {
        if (AtPlace(line, context) is { } place)
            return place;
        var tags = new List<string>();
        var (at, end) = (0, 0);
        while (Word().Match(line, at) is { Success: true } match)
        {
            var word = match.Groups["word"].Value;
            if (context.Tags.FirstOrDefault(known => known.Equals(word, StringComparison.OrdinalIgnoreCase)) is { } tag)
            {
                if (!tags.Contains(tag))
                    tags.Add(tag);
                at = end = match.Index + match.Length;
            }
            else if (tags.Count > 0 && word is "and" or "&")
            {
                at = match.Index + match.Length;
            }
            else
            {
                // What follows the tags is what was seen; a first word that is no tag is unknown, never guessed.
                return tags.Count > 0 ? new(tags, null, 0, end) : new([], word, match.Groups["word"].Index, match.Index + match.Length);
            }
        }
        return tags.Count > 0 ? new(tags, null, 0, end) : new([], "", 0, line.Length);
    }

    static NoteHead? AtPlace(string line, NoteContext context)
    {
        var colon = line.IndexOf(':', StringComparison.Ordinal);
        if (colon < 0)
            return null;
        var name = line[..colon].Trim();
        var place = context.Places.FirstOrDefault(p => p.Key.Equals(name, StringComparison.OrdinalIgnoreCase));
        return place.Value is { Count: > 0 } tags ? new(tags, null, 0, colon + 1) : null;
    }

    [GeneratedRegex(@"\G[\s,:]*(?<word>[^\s,:;]+)", RegexOptions.CultureInvariant)]
    private static partial Regex Word();
}

namespace BudClock.Core.Journal;

/// <summary>Finds what was probably meant by a mistyped word.</summary>
static class Nearest
{
    /// <summary>The closest candidate within a third of its letters, case aside; null when none is near.</summary>
    public static string? To(string written, IEnumerable<string> candidates) => All(written, candidates).FirstOrDefault();

    /// <summary>All candidates within a third of their letters, the closest first.</summary>
    public static IEnumerable<string> All(string written, IEnumerable<string> candidates)
    {
        var word = written.Trim().ToLowerInvariant();
        if (word.Length is 0 or > 40)
            return [];
        return candidates
            .Where(candidate => Math.Abs(candidate.Length - word.Length) <= Far(word, candidate))
            .Select(candidate => (candidate, steps: Steps(word, candidate.ToLowerInvariant())))
            .Where(c => c.steps <= Far(word, c.candidate))
            .OrderBy(c => c.steps)
            .ThenBy(c => c.candidate, StringComparer.Ordinal)
            .Select(c => c.candidate);
    }

    static int Far(string word, string candidate) => Math.Max(1, Math.Min(word.Length, candidate.Length) / 3);

    /// <summary>Letters to add, drop or change, with a swap of neighbours as one (optimal string alignment).</summary>
    public static int Steps(string a, string b)
    {
        var d = new int[a.Length + 1, b.Length + 1];
        for (var i = 0; i <= a.Length; i++)
            d[i, 0] = i;
        for (var j = 0; j <= b.Length; j++)
            d[0, j] = j;
        for (var i = 1; i <= a.Length; i++)
        for (var j = 1; j <= b.Length; j++)
        {
            var change = a[i - 1] == b[j - 1] ? 0 : 1;
            d[i, j] = Math.Min(Math.Min(d[i - 1, j] + 1, d[i, j - 1] + 1), d[i - 1, j - 1] + change);
            if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                d[i, j] = Math.Min(d[i, j], d[i - 2, j - 2] + 1);
        }
        return d[a.Length, b.Length];
    }
}

namespace BudClock.Core.Notes;

/// <summary>A section of the page of words.</summary>
public sealed record WordSection(string Title, string About, IReadOnlyList<WordRow> Rows);

/// <summary>Ways of saying one thing.</summary>
/// <param name="Means">What it is called in the log.</param>
/// <param name="Words">The words, the usual ones first; shortenings among them.</param>
/// <param name="Before">What stands before such a word in a line.</param>
/// <param name="After">What stands behind it, such as a number with its unit.</param>
/// <param name="Kind">The kind of entry it makes; null where it makes none by itself.</param>
public sealed record WordRow(string Means, IReadOnlyList<string> Words, string Before = "", string After = "", EntryKind? Kind = null)
{
    /// <summary>A line with one of the words, without its plant.</summary>
    public string Line(string word) => $"{Before}{word}{After}";

    /// <summary>The first word in a line.</summary>
    public string Example => Line(Words[0]);
}

/// <summary>The words of the note line as a page shows them, made from the same data that the line is read with.</summary>
public static class NoteWords
{
    /// <summary>All sections; numbers in the garden's units.</summary>
    public static IReadOnlyList<WordSection> All(bool usUnits)
    {
        var words = Lexicon.Shipped;
        return
        [
            new(
                "Measured",
                "A number with its unit, before or behind the word; a bare number is in the garden's units.",
                [.. Measured(words, usUnits)]
            ),
            new("Seen", "How it looks. The words may stand before the thing or behind it.", [.. words.Things.SelectMany(Seen)]),
            new(
                "Happened",
                "Said by themselves.",
                [.. words.Events.Select(e => new WordRow(Say(e.Key), e.Value, Kind: e.Key.Kind)), .. Asked(words)]
            ),
            new(
                "Done",
                "Behind it may stand how much, how, and what with.",
                [.. words.Acts.Where(Shown).Select(act => Done(act, usUnits))]
            ),
            new("How water and feed are given", "Behind watered, soaked, topped up or fed.", [.. Hows(words)]),
            new(
                "Pests by name",
                "With where they sit; \"no\" before them says that none were found.",
                [new("Pest", words.Pests, Kind: EntryKinds.Pest)]
            ),
        ];
    }

    static IEnumerable<WordRow> Measured(Lexicon words, bool us)
    {
        foreach (var thing in words.Things)
        foreach (var kind in thing.Measures)
        {
            var value = Sample(kind.Measure!.Dimension, us);
            var counted = kind.Measure.Dimension is Dimension.Count && thing.Measures.Length > 1;
            yield return new(kind.Words, [.. thing.Say, .. thing.Short], counted ? $"{value} " : "", counted ? "" : $" {value}", kind);
        }
    }

    static string Sample(Dimension dimension, bool us) =>
        dimension switch
        {
            Dimension.Length => us ? "4 in" : "10 cm",
            Dimension.Mass => us ? "2 lb" : "640 g",
            Dimension.DissolvedSolids => "300 ppm",
            _ => "5",
        };

    static IEnumerable<WordRow> Seen(Thing thing)
    {
        if (thing.New is { } fresh)
            yield return new(Say(fresh), [thing.Say[0], thing.Say[1]], "new ", Kind: fresh.Kind);
        if (thing.Bare is { } bare && thing.Measures.Length == 0 && thing.Signs.Count == 0)
            yield return new(Say(bare), thing.Say, Kind: bare.Kind);
        if (thing.None is { } none)
            yield return new(Say(none), [thing.Say[0]], "no ", " yet", none.Kind);
        foreach (var (meaning, signs) in thing.Signs)
            yield return new(Say(meaning), signs, $"{(Counted(meaning) ? "2 " : "")}{thing.Say[0]} ", Kind: meaning.Kind);
    }

    static bool Counted(Meaning meaning) => meaning.Kind.Measure is { Required: true, Dimension: Dimension.Count };

    static IEnumerable<WordRow> Asked(Lexicon words) => words.Asks.Select(ask => new WordRow($"Asks: {ask.Question}", ask.Say));

    static bool Shown(Act act) => act.Say.Length > 0 && !Lexicon.Shipped.Things.Any(thing => thing.Say.Contains(act.Say[0]));

    static WordRow Done(Act act, bool us)
    {
        var measure = act.Kind.Measure;
        var text =
            act.Kind.States.Length > 0 && measure is null ? $" {act.Kind.States[0]}"
            : act.Text is ActText.Days ? " 5 days"
            : measure?.Dimension is Dimension.Volume
                ? us ? " 1 cup"
                    : " 300 ml"
            : measure is not null ? $" {Sample(measure.Dimension, us)}"
            : act.Text is ActText.To ? " to the shade"
            : act.Text is ActText.Rest ? " what you like"
            : "";
        return new(act.State is null ? act.Kind.Words : $"{act.Kind.Words}, {act.State}", act.Say, "", text, act.Kind);
    }

    static IEnumerable<WordRow> Hows(Lexicon words) => [new("How", words.Hows, "watered ", "", EntryKinds.Watered)];

    static string Say(Meaning meaning) => meaning.State is null ? meaning.Kind.Words : $"{meaning.Kind.Words} {meaning.State}";
}

using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Culture;

namespace BudClock.Core.Notes;

/// <summary>
/// What the line asks once before it writes: what ends a plant, and what is unlikely for this plant. A "!" behind it answers.
/// </summary>
static partial class Doubts
{
    /// <summary>So many times the last value, or less than that share of it, is likelier a slip.</summary>
    const double Far = 10;

    /// <summary>A length that is this much shorter than the last one of the same organ is another organ's, or a slip.</summary>
    const double Shorter = 0.5;

    /// <summary>Roots longer than so many times the way to the bottom of the pot and once around it.</summary>
    const double PotLengths = 3;

    /// <summary>More water than so many times the pot holds.</summary>
    const double PotFulls = 5;

    const double MostWaterMl = 10_000;
    const double LeastWaterMl = 1;

    static readonly EntryKind[] Lengths =
    [
        EntryKinds.RootLength,
        EntryKinds.GrowthHeight,
        EntryKinds.SpikeLength,
        EntryKinds.LeafSpan,
        EntryKinds.BulbSize,
        EntryKinds.Weight,
        EntryKinds.Buds,
        EntryKinds.Blooms,
        EntryKinds.RootCount,
    ];

    /// <summary>The doubts about the entries of one plant.</summary>
    public static IEnumerable<Doubt> Of(GroupRead group, IReadOnlyList<EntryDraft> drafts, string tag, NoteContext context, string line)
    {
        var book = context.Books(tag);
        for (var i = 0; i < drafts.Count; i++)
        {
            if (drafts[i].Sure)
                continue;
            var found = group.Found(i);
            if (Ends(tag, drafts[i], found) is { } end)
                yield return end;
            else if (Elsewhere(drafts[i], found, context) is { } where)
                yield return where;
            else if (Thousands(found, line) is { } thousands)
                yield return thousands;
            else if (Impossible(drafts[i], context.Sheets(tag)) is { } why)
                yield return Sure(found, drafts[i], why);
            else if (book is not null && found.Organ is null && Unlikely(drafts[i], book, context) is { } unlikely)
                yield return Number(found, drafts[i], unlikely, book);
        }
    }

    static Doubt? Ends(string tag, EntryDraft draft, Found found)
    {
        if (draft.Kind == EntryKinds.Died || (draft.Kind == EntryKinds.Lost && draft.Amount is null))
            return new(
                draft.Words,
                $"Is {tag} dead, or does it rest?",
                found.Start,
                found.End,
                [
                    ("It is dead", Written(draft, "died")),
                    ("Its leaves are gone, it rests", "leaves gone"),
                    ("Keep it as a note", $"note \"{draft.Words.ToLowerInvariant()}\""),
                ]
            );
        return draft.Kind == EntryKinds.GivenAway
            ? new(
                draft.Words,
                $"Does {tag} leave the garden?",
                found.Start,
                found.End,
                [("It is given away", Written(draft, "given away"))]
            )
            : null;
    }

    /// <summary>"1.000 ml" is a litre to some and a drop to others.</summary>
    static Doubt? Thousands(Found found, string line)
    {
        if (found.Number is not { } number || !Pointed().IsMatch(line[number.Start..number.End]))
            return null;
        var written = line[number.Start..number.End];
        var (whole, part) = (written.Replace(".", "", StringComparison.Ordinal), Zeros().Replace(written, ""));
        return new(written, $"Is {written} {whole} or {part}?", number.Start, number.End, [(whole, $"{whole}!"), (part, $"{part}!")]);
    }

    [GeneratedRegex(@"^[1-9][0-9]{0,2}\.[0-9]{3}(?![0-9])")]
    private static partial Regex Pointed();

    [GeneratedRegex(@"(?<=\.[0-9]*?)\.?0+(?=[^0-9]|$)")]
    private static partial Regex Zeros();

    /// <summary>A move to where nothing of this garden is called so: the plant would stand where it was.</summary>
    static Doubt? Elsewhere(EntryDraft draft, Found found, NoteContext context)
    {
        if (draft.Kind != EntryKinds.Moved || draft.Text is not { } to || Destination().Match(to) is not { Success: true } match)
            return null;
        var words = match.Groups["where"].Value.ToLowerInvariant().Split([' ', ',', '-'], StringSplitOptions.RemoveEmptyEntries);
        var places = context.Index.Places;
        // A garden without places has none that could be meant.
        if (
            places.Count == 0
            || words.Any(Lexicon.Shipped.Whereabouts.Contains)
            || words.Any(word => word.Length > 2 && places.Any(place => IsOf(place, word)))
            || words.Any(word => word.Any(char.IsAsciiDigit))
        )
            return null;
        return new(
            draft.Words,
            $"No place here is called {match.Groups["where"].Value}. Where is it now?",
            found.Start,
            found.End,
            [.. places.Take(6).Select(place => (place.Name, $"moved to {place.Name}")), ("Keep it as a note", $"note \"moved {to}\"")]
        );
    }

    static bool IsOf(NamedPlace place, string word) =>
        place.Code.Equals(word, StringComparison.OrdinalIgnoreCase)
        || place.Name.Split(' ', '-').Any(part => Nearest.Steps(part.ToLowerInvariant(), word) <= (word.Length > 4 ? 1 : 0));

    [GeneratedRegex(
        @"^(?:up |down |out |back |over |in )?(?:to|into|onto) (?:the |my |our |a |an )?"
            + @"(?<where>[^,;.]+?)(?: (?:for|since|until|with) .*)?$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Destination();

    static string Written(EntryDraft draft, string words) =>
        draft.Text is null ? $"{words}!" : $"{words} \"{draft.Text.Replace('"', '″')}\"!";

    static Doubt Sure(Found found, EntryDraft draft, string why) => new(draft.Words, why, found.End, found.End, [("Yes", "!")]);

    /// <summary>A tuber of a plant without one, a bulb where there are none.</summary>
    static string? Impossible(EntryDraft draft, CultureSheet? sheet) =>
        sheet is null || PossibleKinds.Of(sheet).Contains(draft.Kind)
            ? null
            : $"{sheet.Title} have no {draft.Kind.Words.ToLowerInvariant()} as a rule. Is it meant so?";

    static string? Unlikely(EntryDraft draft, OrganBook book, NoteContext context)
    {
        if (draft.Amount is not { } amount)
            return null;
        if (draft.Kind.Measure?.Dimension is Dimension.Volume)
            return Water(amount, book.Plant.Pot);
        if (draft.Kind == EntryKinds.RootLength && book.Plant.Pot is { DiameterCm: { } wide } pot)
        {
            var most = PotLengths * ((pot.DepthCm ?? wide) + wide);
            if (amount.InBase > most)
                return $"{amount} is long for a pot of {In(wide, context)}. Is it meant so?";
        }
        if (!Lengths.Contains(draft.Kind) || Last(draft, book) is not { Amount: { InBase: > 0 } last } before)
            return null;
        var seen = $"{last} on {Dates.Near(before.On, context.Today)}";
        if (amount.InBase >= last.InBase * Far || (amount.InBase > 0 && amount.InBase <= last.InBase / Far))
            return $"It was {seen}. Is {amount} meant so?";
        return Shrinks(draft.Kind) && amount.InBase > 0 && amount.InBase < last.InBase * Shorter
            ? $"It was {seen}. Is {amount} another part, or meant so?"
            : null;
    }

    static bool Shrinks(EntryKind kind) =>
        kind == EntryKinds.RootLength || kind == EntryKinds.GrowthHeight || kind == EntryKinds.SpikeLength;

    static string? Water(Quantity amount, Pot? pot)
    {
        var most = pot?.VolumeMl is { } holds ? Math.Max(holds * PotFulls, 200) : MostWaterMl;
        if (amount.InBase > most)
            return $"{amount} is much for this pot. Is it meant so?";
        return amount.InBase is > 0 and < LeastWaterMl ? $"{amount} is very little. Is it meant so?" : null;
    }

    static string In(double cm, NoteContext context) =>
        new Quantity(cm, Unit.Cm).In(Unit.Default(Dimension.Length, context.UsUnits)!).ToString();

    /// <summary>The last value of the same organ, where the entry names or finds one.</summary>
    static Entry? Last(EntryDraft draft, OrganBook book)
    {
        var organ = book.Place([draft]).Entries[0].Organ;
        return book.Journal.Of(draft.Kind).LastOrDefault(entry => entry.Organ == organ && entry.On <= draft.On);
    }

    static Doubt Number(Found found, EntryDraft draft, string why, OrganBook book)
    {
        var answers = new List<(string, string)> { ($"Yes, {draft.Amount}", $"{Number(found, draft)}!") };
        // A point forgotten, or a unit taken for the next one, is the commonest slip.
        if (draft.Amount is { } amount && Last(draft, book)?.Amount is { InBase: > 0 } last)
            foreach (
                var (words, other) in new[]
                {
                    ("", amount with { Value = amount.Value / 10 }),
                    ("", amount with { Value = amount.Value * 10 }),
                }
            )
                if (other.InBase >= last.InBase * 0.8 && other.InBase <= last.InBase * 3)
                    answers.Add(
                        ($"{other}{words}", $"{other.Value.ToString("0.##", CultureInfo.InvariantCulture)} {other.Unit}".TrimEnd())
                    );
        var number = found.Number!;
        return new(draft.Words, why, number.Start, number.End, answers);
    }

    static string Number(Found found, EntryDraft draft) =>
        draft.Amount is { } amount && found.Number is not null
            ? $"{amount.Value.ToString("0.####", CultureInfo.InvariantCulture)} {amount.Unit}".TrimEnd()
            : "";
}

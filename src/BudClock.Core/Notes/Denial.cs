namespace BudClock.Core.Notes;

/// <summary>Clauses that say what is not there.</summary>
sealed class Denial(ClauseScope scope)
{
    /// <summary>"no roots yet", "no sign of thrips", "no water in the tray"; false where more is said than that.</summary>
    /// <param name="none">Where the "no" stands.</param>
    public bool Read(int none)
    {
        var rest = scope.Items.Skip(none + 1).Where(item => item.Kind is not ItemKind.Date).ToList();
        var what = rest.Find(item => item.Word is { } w && (w.Thing is not null || w.Is(Lexicon.Pest) || w.Act?.Kind == EntryKinds.Pest));
        if (what is null || !scope.Items.Take(none).Concat(rest.Where(item => item != what)).All(AddsNothing))
            return false;
        var (first, last) = (scope.Items.First(i => i.Kind is not ItemKind.Date), scope.Items.Last(i => i.Kind is not ItemKind.Date));
        if (what.Word!.Thing is not { } thing)
            scope.Keep(
                new(first.Start, last.End, EntryKinds.Pest, null, what.Word.Is(Lexicon.Pest) ? $"none: {what.Text}" : "none", null, null)
            );
        else if ((rest.Exists(i => i.Is(Lexicon.Left)) ? thing.Left ?? thing.None : thing.None) is { } meaning)
            scope.Keep(new(first.Start, last.End, meaning.Kind, Local(meaning.Amount), meaning.State, null, null));
        else
            scope.Keep(new(first.Start, last.End, EntryKinds.Note, null, scope.Raw(scope.Items[none], last), null, null));
        return true;
    }

    static bool AddsNothing(Item item) =>
        item.Kind is ItemKind.Date || item.Filler || item.Is(Lexicon.Yet) || item.Is(Lexicon.Left) || item.Is(Lexicon.New);

    Quantity? Local(Quantity? amount) =>
        amount is { Unit: { } unit } a ? a.In(Unit.Default(unit.Dimension, scope.Context.UsUnits)!) : amount;
}

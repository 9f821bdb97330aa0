namespace BudClock.Core.Notes;

/// <summary>What is said of a thing, once all its words are gathered: a number of it, its signs, or its name alone.</summary>
/// <param name="name">The word that names it.</param>
/// <param name="pending">A number that stood behind it and does not fit; null for none.</param>
sealed class ThingEnd(ClauseScope scope, OpenEntry done, Thing thing, Item name, Item? pending)
{
    /// <summary>A thing can take a number: one of its own measures, or a bare one that says how many.</summary>
    public static bool Fits(Thing thing, Quantity quantity) => thing.Measure(quantity.Dimension) is not null || quantity.Unit is null;

    /// <summary>An entry that says how many: of lost buds a number, of dropped leaves in words.</summary>
    static bool Countable(EntryKind kind) => kind == EntryKinds.LeafDropped || kind.Measure?.Dimension is Dimension.Count;

    /// <summary>Writes down what was said of it.</summary>
    public void Close()
    {
        // "leaf torn 4 cm" measures the tear: what no rule reads keeps its number in its own words.
        var told = done.Signs.Exists(sign => sign.Kind == EntryKinds.Note);
        var left = told ? null : done.Amount;
        foreach (var sign in done.Signs.Distinct())
        {
            var number = left is { Measured: false } && IsOf(sign, left) ? left : null;
            if (number is not null)
                left = null;
            var kind = CountedAs(sign, number);
            if (kind.Measure is { Required: true } && number is null && sign.Amount is null)
                HowMany(kind);
            else
                scope.Keep(Make(kind, sign.Amount ?? (kind.Measure is null ? null : number?.Amount), SignText(sign, kind, number), number));
        }
        if (left is not null)
            Measured(left);
        else if (done.Signs.Count == 0)
            Named();
    }

    /// <summary>The number is how many of that sign.</summary>
    bool IsOf(Meaning sign, Item number) =>
        !StaysCount(sign) && (done.Counted || Countable(sign.Kind) || CountedAs(sign, number) != sign.Kind);

    /// <summary>"3 roots showing", "8 healthy roots" count them too; "2 yellow leaves" says nothing of how many it has.</summary>
    bool StaysCount(Meaning sign) =>
        (sign.Kind == EntryKinds.RootsStarted || sign.Kind == EntryKinds.Inspected) && thing.Measure(Dimension.Count) is not null;

    /// <summary>"9 flowers open" counts the flowers; "a flower open" is the first.</summary>
    EntryKind CountedAs(Meaning sign, Item? number) =>
        number is not null && sign.Kind == EntryKinds.BloomOpened && thing.Measure(Dimension.Count) is { } count ? count : sign.Kind;

    void HowMany(EntryKind kind)
    {
        var last = scope.Tags is [var tag] ? scope.Context.Books(tag)?.Journal.Last(EntryKinds.Buds)?.Amount?.Value : null;
        var counts = new[] { 1, 2, 3, last ?? 1 }.Distinct().Order();
        scope.Clause.Doubts.Add(
            new(kind.Words, "How many?", done.First.Start, done.First.Start, [.. counts.Select(n => ($"{n}", $"{n} "))])
        );
    }

    string? SignText(Meaning sign, EntryKind kind, Item? number) =>
        sign.State
        ?? done.Quoted
        ?? (sign.Kind == EntryKinds.Rot || sign.Kind == EntryKinds.Note ? scope.Line[done.First.Start..done.End] : null)
        ?? (number is not null && kind.Measure is null ? $"{number.Amount}" : null);

    Found Make(EntryKind kind, Quantity? quantity, string? text, Item? number) =>
        new(done.First.Start, done.End, kind, quantity, text, done.Organ, done.Mix) { Sure = done.Sure, Number = number };

    void Measured(Item number)
    {
        var quantity = number.Amount!.Value;
        var kind = quantity.Unit is null ? OfBare(quantity) : thing.Measure(quantity.Dimension);
        if (kind == EntryKinds.GrowthHeight && done.Wide)
            kind = scope.Rosette() ? EntryKinds.LeafSpan : null;
        var counts = quantity.Unit is null && kind != EntryKinds.RootCount && kind?.Measure?.Dimension is Dimension.Count;
        if (done.New && counts && thing.New is { } fresh)
            scope.Keep(Make(fresh.Kind, null, fresh.Kind.States.Length > 0 ? null : $"{quantity}", null));
        else if (kind is null && quantity.Unit is null && thing.Measures.Length > 1)
            AskWhich(number);
        else if (kind is null)
            scope.Refuse(number, $"\"{scope.Raw(number, number)}\" belongs to nothing before it.");
        else
            scope.Keep(Make(kind, scope.InUnits(kind, quantity), done.Quoted, number));
    }

    /// <summary>
    /// What a bare number says: how many before the word; behind it what the word allows, or what goes on from the last one.
    /// </summary>
    EntryKind? OfBare(Quantity quantity)
    {
        var (length, count) = (thing.Measure(Dimension.Length), thing.Measure(Dimension.Count));
        if (done.Counted)
            return count;
        if (thing.Measures.Length == 1)
            return thing.Measures[0];
        if (done.Long || quantity.Value != Math.Floor(quantity.Value))
            return length;
        if (thing.Counts.Contains(name.Text))
            return count;
        return length is not null && GoesOn(length, quantity) ? length : null;
    }

    /// <summary>A plant that was measured before and has grown a little since: "roots 9" after 8.5 cm.</summary>
    bool GoesOn(EntryKind length, Quantity quantity)
    {
        const double most = 6;
        if (scope.Tags is not [var tag] || scope.Context.Books(tag) is not { } book)
            return false;
        var last = book.Journal.Last(length)?.Amount?.InBase;
        var now = quantity with { Unit = Unit.Default(Dimension.Length, scope.Context.UsUnits) };
        return last is > 0 && now.InBase >= last && now.InBase <= last + most;
    }

    void AskWhich(Item number)
    {
        var unit = Unit.Default(Dimension.Length, scope.Context.UsUnits);
        var written = scope.Raw(number, number);
        scope.Clause.Doubts.Add(
            new(
                $"{scope.Raw(done.First, done.First)} {written}".Trim(),
                "A length, or how many?",
                done.First.Start,
                done.End,
                [($"{written} {unit}", $"{thing.Name} {written} {unit}"), ($"{written} {thing.Name}", $"{written} {thing.Name}")]
            )
        );
    }

    /// <summary>Nothing but its name: "new roots" have started; "spike" alone shows one, but not in the middle of something else.</summary>
    void Named()
    {
        var alone = scope.Items.TrueForAll(i =>
            i == name || i.Filler || i.Is(Lexicon.New) || i.Kind is ItemKind.Date or ItemKind.Organ or ItemKind.Sure or ItemKind.Quoted
        );
        if (alone && (done.New ? thing.New ?? thing.Bare : thing.Bare) is { } meaning)
            scope.Keep(Make(meaning.Kind, meaning.Amount, meaning.State ?? done.Quoted, null));
        else if (pending is { Measured: true } && thing.Measures is [var kind, ..])
            scope.Refuse(pending, EntryCheck.AmountFault(kind, pending.Amount)!);
        else
            scope.Refuse(name, Needs());
    }

    string Needs()
    {
        var kind = thing.Measures.FirstOrDefault() ?? thing.Signs.Keys.FirstOrDefault()?.Kind;
        return (kind is null ? null : EntryCheck.Fault(kind, DateOnly.MaxValue, null, null, DateOnly.MaxValue))
            ?? $"What of the {thing.Name}?";
    }
}

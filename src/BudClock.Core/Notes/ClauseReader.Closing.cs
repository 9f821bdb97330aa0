namespace BudClock.Core.Notes;

/// <summary>How an entry ends: what was open is kept, and what stands alone is said by itself.</summary>
sealed partial class ClauseReader
{
    void Event(Item item, Meaning said)
    {
        Close();
        var number = amount is { Measured: false } && said.Kind.Measure is not null ? amount : null;
        if (number is not null)
            amount = null;
        Flush();
        scope.Keep(new(item.Start, item.End, said.Kind, said.Amount ?? number?.Amount, said.State, organ, null) { Number = number });
        organ = null;
    }

    void Ask(Item item, Asked asked)
    {
        Close();
        Flush();
        clause.Doubts.Add(
            new(
                scope.Raw(item, item),
                asked.Question,
                item.Start,
                item.End,
                [.. asked.Answers.Select(answer => (answer.Key, answer.Value))]
            )
        );
    }

    bool Closed(bool ifFull)
    {
        if (ifFull && open is { Thing: not null } && open.Amount is null && open.Signs.Count == 0)
            return false;
        Close();
        return true;
    }

    void Close()
    {
        if (open is not { } done)
            return;
        open = null;
        if (done.Thing is not null)
            End(done, done.Thing);
        else
            CloseAct(done, done.Act!);
    }

    void CloseAct(OpenEntry done, Act act)
    {
        var text = done.Quoted ?? string.Join(", ", done.Text.Select(span => Tidy(scope.Line[span.Start..span.End])));
        if (text.Length == 0)
            text = act.State;
        else if (act.State is not null && done.Quoted is null)
            text = $"{act.State}, {text}";
        var state = act.Kind.States.Length > 0 ? signs.Select(s => s.Text).FirstOrDefault(act.Kind.States.Contains) : null;
        if (state is not null)
            signs.RemoveAll(s => s.Text == state);
        scope.Keep(
            new(done.First.Start, done.End, act.Kind, scope.InUnits(act.Kind, done.Amount?.Amount), state ?? text, done.Organ, done.Mix)
            {
                Sure = done.Sure,
                Number = done.Amount,
            }
        );
    }

    /// <summary>What stands alone: "dry" is the medium, "wrinkled" the bulbs, "640 g" the weight.</summary>
    void Flush()
    {
        foreach (var sign in signs)
        {
            new Lone(scope, before, organ).Sign(sign);
            organ = null;
        }
        signs.Clear();
        var (number, size) = (amount, dimension);
        amount = null;
        if (number is not null)
            new Lone(scope, before, organ).Number(number, size?.Word!.Dimension);
        foreach (
            var left in new[] { isNew, number is null ? size : null, how }.OfType<Item>().Where(item => item.Word is not { Filler: true })
        )
            scope.Refuse(left, $"\"{scope.Raw(left, left)}\" belongs to nothing here.");
        (isNew, dimension, how) = (null, null, null);
    }

    /// <summary>Free words of what is open.</summary>
    FreeText Texts => new(items, open?.Act?.Kind);

    void End(OpenEntry done, Thing thing)
    {
        new ThingEnd(scope, done, thing, name!, amount).Close();
        // A number that does not fit the thing was given back with it.
        if (done is { Amount: null, Signs.Count: 0, New: false } && amount is { Measured: true } && thing.Measures.Length > 0)
            amount = null;
    }
}

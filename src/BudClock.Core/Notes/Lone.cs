using System.Globalization;

namespace BudClock.Core.Notes;

/// <summary>What stands in a clause without a thing or an act: a sign, or a number with its unit.</summary>
/// <param name="before">The last entry of the line before this clause; null for none.</param>
/// <param name="organ">The organ that was named; null for none.</param>
sealed class Lone(ClauseScope scope, Found? before, string? organ)
{
    /// <summary>"dry" is the medium, "wrinkled" the bulbs; what can be several things is asked.</summary>
    public void Sign(Item sign)
    {
        var word = sign.Word!;
        var alone = word.Signs.Where(s => s.Thing.Alone && s.Meaning.Kind != EntryKinds.Rot).Select(s => s.Meaning).Distinct().ToList();
        if (alone.Count == 0 && scope.OnlyItem(sign))
            alone = [.. word.Signs.Select(s => s.Meaning).Where(meaning => meaning.Kind != EntryKinds.Inspected).Distinct()];
        // What was found of the roots is not said without them.
        if (alone is [var meaning])
            scope.Keep(new(sign.Start, sign.End, meaning.Kind, meaning.Amount, meaning.State, organ, null));
        else if (word.Act?.Kind == EntryKinds.Lost || word.Text == "lost")
            scope.Keep(new(sign.Start, sign.End, EntryKinds.Lost, null, null, organ, null));
        else if (word.Event is { } said)
            scope.Keep(new(sign.Start, sign.End, said.Kind, said.Amount, said.State, organ, null));
        else if (!scope.OnlyItem(sign))
            scope.Refuse(sign, $"\"{scope.Raw(sign, sign)}\" belongs to nothing here.");
        else
            scope.Clause.Doubts.Add(
                new(
                    scope.Raw(sign, sign),
                    $"What is {scope.Raw(sign, sign)}?",
                    sign.Start,
                    sign.End,
                    [.. word.Signs.Take(5).Select(s => ($"the {s.Thing.Name}", $"{s.Thing.Say[0]} {word.Text}"))]
                )
            );
    }

    /// <summary>"640 g" is the weight, "38 cm high" the growth, "1 cup" how much was given.</summary>
    /// <param name="size">"tall", "wide" or "long", where a word says so.</param>
    public void Number(Item number, string? size)
    {
        var quantity = number.Amount!.Value;
        var last = scope.Clause.Found.Count > 0 ? scope.Clause.Found[^1] : before;
        var mine = scope.Clause.Found.Count > 0;
        if (quantity.Unit is null)
            scope.Refuse(number, $"\"{scope.Raw(number, number)}\" belongs to nothing before it.");
        else if (quantity.Dimension is Dimension.Volume && last is { Amount: null } && ClauseScope.Takes(last.Kind, quantity))
            Amend(last, mine, number);
        else if (quantity.Dimension is Dimension.Mass && !(quantity.Unit == Unit.Oz && quantity.InBase < 500))
            scope.Keep(new(number.Start, number.End, EntryKinds.Weight, quantity, null, null, null) { Number = number });
        else if (quantity.Dimension is Dimension.Length && last?.Kind == EntryKinds.ToppedUp)
            scope.Keep(new(number.Start, number.End, EntryKinds.Reservoir, quantity, null, null, null) { Number = number });
        else if (size == "tall")
            scope.Keep(new(number.Start, number.End, EntryKinds.GrowthHeight, quantity, null, organ, null) { Number = number });
        else if (size == "wide" && scope.Rosette())
            scope.Keep(new(number.Start, number.End, EntryKinds.LeafSpan, quantity, null, organ, null) { Number = number });
        else if (Choices(quantity) is { Length: > 0 } choices)
            scope.Clause.Doubts.Add(
                new(scope.Raw(number, number), $"What is {scope.Raw(number, number)}?", number.Start, number.End, choices)
            );
        else
            scope.Refuse(number, $"\"{scope.Raw(number, number)}\" belongs to nothing before it.");
    }

    static (string, string)[] Choices(Quantity quantity)
    {
        var written = $"{quantity.Value.ToString("0.###", CultureInfo.InvariantCulture)} {quantity.Unit}";
        return quantity.Dimension switch
        {
            Dimension.Volume => [("Watered", $"watered {written}"), ("Topped up", $"topped up {written}"), ("Fed", $"fed {written}")],
            Dimension.Mass => [("It weighs that", $"weight {written}"), ("Watered, fluid ounces", $"watered {written}")],
            Dimension.Length =>
            [
                ("Roots", $"roots {written}"),
                ("Growth", $"growth {written}"),
                ("Spike", $"spike {written}"),
                ("Leaf", $"leaf span {written}"),
            ],
            Dimension.DissolvedSolids => [("Run-off", $"run-off {written}")],
            _ => [],
        };
    }

    /// <summary>"fed 1/8 tsp per gal, 1 cup": how much of what was said before.</summary>
    void Amend(Found last, bool mine, Item number)
    {
        var amended = last with { Amount = scope.InUnits(last.Kind, number.Amount), Number = number };
        if (mine)
            scope.Clause.Found[^1] = amended;
        else
            scope.Clause.Amends = amended;
    }
}

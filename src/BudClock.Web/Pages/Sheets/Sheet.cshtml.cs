using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Sheets;

/// <summary>One culture sheet in words; a number or a school is tried first, then saved, and can go back.</summary>
public sealed class SheetModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    [BindProperty]
    public string? Value { get; set; }

    [BindProperty]
    public string? School { get; set; }

    [BindProperty]
    public string? Plant { get; set; }

    /// <summary>Show also what holds for any plant.</summary>
    [BindProperty(SupportsGet = true)]
    public bool All { get; set; }

    public CultureSheet Sheet { get; private set; } = null!;

    /// <summary>A change that is being tried; null while none is.</summary>
    public SheetChange? Trial { get; private set; }

    /// <summary>Plants whose first advice would be another today.</summary>
    public IReadOnlyList<(Assessment Now, Assessment Then)> Differs { get; private set; } = [];

    public string? Fault { get; private set; }

    public IReadOnlyList<SheetChange> Own => [.. Today.SheetChanges.Where(change => change.Sheet == Sheet.Name)];

    public IEnumerable<string> Tags => Today.Plants.Where(a => a.Situation?.Sheet.Name == Sheet.Name).Select(a => a.Plant.Tag);

    public IActionResult OnGet([FromRoute] string name) => Find(name) ? Page() : NotFound();

    public IActionResult OnPostTry([FromRoute] string name, [FromForm(Name = "Name")] string? what)
    {
        if (!Find(name))
            return NotFound();
        if (Read(what) is not { } change)
            return Page();
        Trial = change;
        Differs =
        [
            .. Today
                .Trying([.. Today.SheetChanges.Where(c => !c.Replaces(change)), change])
                .Where(pair => (pair.Now.Main?.Verdict, pair.Now.Main?.Reason) != (pair.Then.Main?.Verdict, pair.Then.Main?.Reason)),
        ];
        return Page();
    }

    public async Task<IActionResult> OnPostSaveAsync([FromRoute] string name, [FromForm(Name = "Name")] string? what)
    {
        if (!Find(name))
            return NotFound();
        if (Read(what) is not { } change)
            return Page();
        await logbook.WriteAsync(Act, $"{change.Name} on the sheet {name}", Changes.Sheet(change));
        return Redirect($"/sheets/{name}");
    }

    public async Task<IActionResult> OnPostBackAsync([FromRoute] string name, [FromForm(Name = "Name")] string? what)
    {
        if (!Find(name))
            return NotFound();
        var change = new SheetChange(name, string.IsNullOrWhiteSpace(Plant) ? null : Plant, what ?? "", null, null);
        await logbook.WriteAsync(Act, $"{what} on the sheet {name} as it was", Changes.SheetAsShipped(change));
        return Redirect($"/sheets/{name}");
    }

    /// <summary>Its numbers rule by rule, in the order in which they are declared.</summary>
    /// <param name="own">Those that differ from what holds for any plant; or the others.</param>
    public IEnumerable<(RuleLimits Rule, IReadOnlyList<Threshold> Numbers)> Numbers(bool own) =>
        from rule in Sheet.Rules.All
        let limits = RuleLimits.Of(rule.Key)
        where limits is not null
        let numbers = limits
            .Limits.Select(limit => rule.Value.Thresholds.GetValueOrDefault(limit.Name))
            .OfType<Threshold>()
            .Where(number => own == IsOwn(rule.Key, number))
            .ToList()
        where numbers.Count > 0
        orderby limits.Rule[0], int.Parse(limits.Rule[1..], CultureInfo.InvariantCulture)
        select (limits, (IReadOnlyList<Threshold>)numbers);

    /// <summary>All of a rule that only some habits follow, and of the others what differs.</summary>
    bool IsOwn(string rule, Threshold number)
    {
        var general = CultureSheets.Shipped.Find(CultureSheets.General)!;
        return Sheet.Name == general.Name || general.Rule(rule)?.Thresholds.GetValueOrDefault(number.Limit.Name)?.Value != number.Value;
    }

    public string Words(SheetChange change)
    {
        var whom = change.Plant is null ? "for the sheet" : $"for {change.Plant}";
        return change.School is not null
            ? $"School {change.School} {whom}."
            : $"{change.Name.Replace('.', ' ').Replace('-', ' ')}: {Words(change, change.Value ?? 0)} {whom}, "
                + $"instead of {Shipped(change)?.Words}.";
    }

    static string? Words(SheetChange change, double value) =>
        (Shipped(change) is { } shipped ? shipped with { Value = value } : null)?.Words;

    /// <summary>The number as it ships, which the change stands over.</summary>
    static Threshold? Shipped(SheetChange change) =>
        CultureSheets.Shipped.Find(change.Sheet)?.Rule(change.Name.Split('.')[0])?.Thresholds.GetValueOrDefault(change.Name.Split('.')[^1]);

    public string Span(UsualPhase phase)
    {
        var (from, to) = (phase.From.In(2031, Today.Garden.Southern), phase.To.In(2031, Today.Garden.Southern));
        return $"{Dates.Short(from)} – {Dates.Short(to)}";
    }

    SheetChange? Read(string? what)
    {
        School = string.IsNullOrEmpty(School) ? null : School;
        var tag = string.IsNullOrWhiteSpace(Plant) ? null : Today.Find(Plant.Trim())?.Plant.Tag;
        if (tag is null && !string.IsNullOrWhiteSpace(Plant))
            Fault = $"No plant here is tagged \"{Plant}\".";
        else if (School is null && AmountReader.Read(Value, null) is not { Unit: null })
            Fault = $"\"{Value}\" is no number.";
        else if (
            new SheetChange(Sheet.Name, tag, what ?? "", School is null ? AmountReader.Read(Value, null)!.Value.Value : null, School)
                is var change
            && change.Fault(Sheet) is { } fault
        )
            Fault = fault;
        else
            return change;
        return null;
    }

    bool Find(string name)
    {
        Sheet = CultureSheets.Shipped.With(Today.SheetChanges).Find(name)!;
        return Sheet is not null;
    }
}

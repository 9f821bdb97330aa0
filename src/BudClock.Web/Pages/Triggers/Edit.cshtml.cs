using BudClock.Core.Culture;
using BudClock.Core.Programmes;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Triggers;

/// <summary>A programme of the grower's own, as its text; a shipped one is copied under another name.</summary>
public sealed class EditModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int Longest = 20_000;

    [BindProperty]
    public string? Yaml { get; set; }

    public string Name { get; private set; } = "";
    public IReadOnlyList<SheetFault> Faults { get; private set; } = [];
    public string? Fault { get; private set; }

    public IActionResult OnGet(string name)
    {
        if (Today.Programmes.Named(name) is not { } programme)
            return NotFound();
        Name = programme.Name;
        Yaml = programme.Own
            ? Today.Own.First(own => own.Name == programme.Name).Yaml
            : ProgrammeBook
                .TextOf(programme.Name)
                ?.Replace($"name: {programme.Name}\n", $"name: my-{programme.Name}\n", StringComparison.Ordinal)
                .Replace($"title: {programme.Title}\n", $"title: My {programme.Title.ToLowerInvariant()}\n", StringComparison.Ordinal);
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(string name)
    {
        if (Today.Programmes.Named(name) is not { } known)
            return NotFound();
        Name = known.Name;
        if (Yaml is not { Length: > 0 and <= Longest } text)
        {
            Fault = $"Give its text, at most {Longest} letters.";
            return Page();
        }
        var reader = new ProgrammeReader("your text");
        var read = reader.Read(text.Replace("\r\n", "\n", StringComparison.Ordinal));
        Faults = reader.Faults;
        if (read is null)
            return Page();
        if (Today.Programmes.Named(read.Name) is { Own: false })
        {
            Fault = $"{read.Name} is a programme that ships: give yours another name.";
            return Page();
        }
        var own = new OwnProgramme(read.Name, text.Replace("\r\n", "\n", StringComparison.Ordinal));
        Fault = (await logbook.WriteAsync(Act, $"Programme {read.Name} kept", Changes.Programme(own))).Trouble;
        return Fault is null ? Redirect($"/triggers/programmes/{read.Name}") : Page();
    }
}

using System.Collections.Concurrent;
using System.Text.RegularExpressions;
using Markdig;
using Markdig.Extensions.Tables;
using Markdig.Renderers.Html;
using Markdig.Syntax;
using Markdig.Syntax.Inlines;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages;

/// <summary>
/// The rules in plain words, as they stand in docs/rules.md, each linked to by its id; and the other texts that ship with the program,
/// which the rules lead to.
/// </summary>
public sealed partial class RulesModel : PageModel
{
    const string First = "rules";

    static readonly ConcurrentDictionary<string, (string Title, string Html)?> Texts = new();

    /// <summary>The text as HTML: our own, shipped with the program.</summary>
    public string Text { get; private set; } = "";

    /// <summary>Its first heading.</summary>
    public string Title { get; private set; } = "";

    /// <summary>Another text than the rules.</summary>
    public bool Aside { get; private set; }

    public IActionResult OnGet(string? doc)
    {
        if (Texts.GetOrAdd(doc ?? First, Read) is not { } text)
            return NotFound();
        (Title, Text) = text;
        Aside = doc is not null;
        return Page();
    }

    static (string Title, string Html)? Read(string doc)
    {
        using var stream = typeof(RulesModel).Assembly.GetManifestResourceStream($"docs/{doc}.md");
        if (stream is null)
            return null;
        using var reader = new StreamReader(stream);
        var text = reader.ReadToEnd();
        var pipeline = new MarkdownPipelineBuilder().UsePipeTables().DisableHtml().Build();
        var document = Markdown.Parse(text, pipeline);
        var anchored = new HashSet<string>();
        foreach (var block in document.Descendants<LeafBlock>().Where(block => block is HeadingBlock or ParagraphBlock))
            if (
                Id().Match(text.Substring(block.Span.Start, block.Span.Length)) is { Success: true } match
                && anchored.Add(match.Groups["id"].Value)
            )
                (block.Parent is ListItemBlock item ? (IMarkdownObject)item : block).GetAttributes().Id = match.Groups["id"].Value;
        // Beside one another in the folder, the texts name each other by file.
        foreach (var link in document.Descendants<LinkInline>())
            if (link.Url is { } url && FileName().Match(url) is { Success: true } named)
                link.Url = named.Groups["doc"].Value is First ? "/rules" : $"/rules/{named.Groups["doc"].Value}";
        foreach (var table in document.Descendants<Table>())
            table.GetAttributes().AddClass("table");
        return (text.Split('\n')[0].TrimStart('#', ' ').Trim(), document.ToHtml(pipeline));
    }

    /// <summary>A heading or a line that begins with the id of a rule: "### W1: …", "**W12** …".</summary>
    [GeneratedRegex(@"^(#+ |\*\*)(?<id>[A-Z][0-9]+)\b")]
    private static partial Regex Id();

    [GeneratedRegex(@"^(?<doc>[a-z]+)\.md$")]
    private static partial Regex FileName();
}

using System.Text.RegularExpressions;
using Markdig;
using Markdig.Renderers.Html;
using Markdig.Syntax;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages;

/// <summary>The rules in plain words, as they stand in docs/rules.md; each can be linked to by its id.</summary>
public sealed partial class RulesModel : PageModel
{
    /// <summary>Our own text, shipped with the program, as HTML.</summary>
    public static string Text { get; } = Read();

    public void OnGet() { }

    static string Read()
    {
        using var reader = new StreamReader(typeof(RulesModel).Assembly.GetManifestResourceStream("docs/rules.md")!);
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
        return document.ToHtml(pipeline);
    }

    /// <summary>A heading or a line that begins with the id of a rule: "### W1: …", "**W12** …".</summary>
    [GeneratedRegex(@"^(#+ |\*\*)(?<id>[A-Z][0-9]+)\b")]
    private static partial Regex Id();
}

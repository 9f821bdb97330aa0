using Microsoft.AspNetCore.Razor.TagHelpers;

namespace BudClock.Web.Pages;

/// <summary>Gives every form that writes an id for its act, so that a double click or a repeated request writes once.</summary>
[HtmlTargetElement("form", Attributes = "[method=post]")]
public sealed class ActTagHelper : TagHelper
{
    /// <summary>The field's name.</summary>
    public const string Field = "act";

    /// <inheritdoc/>
    public override void Process(TagHelperContext context, TagHelperOutput output) =>
        output.PostContent.AppendHtml($"<input type=\"hidden\" name=\"{Field}\" value=\"{Guid.NewGuid()}\" />");
}

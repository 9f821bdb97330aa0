using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace BudClock.Web.Pages;

/// <summary>Gives every form that writes an id for its act, so that a double click or a repeated request writes once.</summary>
[HtmlTargetElement("form", Attributes = "[method=post]")]
public sealed class ActTagHelper : TagHelper
{
    /// <summary>Where the form stands.</summary>
    [ViewContext, HtmlAttributeNotBound]
    public ViewContext View { get; set; } = null!;

    /// <summary>The field's name.</summary>
    public const string Field = "act";

    /// <inheritdoc/>
    public override void Process(TagHelperContext context, TagHelperOutput output)
    {
        // The page is the answer to a form: what it shows was just typed.
        if (HttpMethods.IsPost(View.HttpContext.Request.Method) && KeepsDrafts(output))
            output.Attributes.Add(new("data-posted"));
        output.PostContent.AppendHtml($"<input type=\"hidden\" name=\"{Field}\" value=\"{Guid.NewGuid()}\" />");
    }

    /// <summary>Long forms, whose words the browser keeps until they are taken in (drafts.js).</summary>
    static bool KeepsDrafts(TagHelperOutput output) =>
        output.Attributes.ContainsName("data-draft")
        || (output.Attributes["class"]?.Value.ToString()?.Split(' ').Contains("fields") ?? false);
}

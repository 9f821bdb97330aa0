using BudClock.Core.Mixing;

namespace BudClock.Web.Pages.Mixing;

/// <summary>What a mix holds, for the shared partial: elements, salts, meters, cost.</summary>
/// <param name="Tools">The meter and what one measures with.</param>
public sealed record MixFacts(Mix Mix, Tools Tools, bool Us)
{
    public MeterScale Scale => MeterScale.Of(Tools.MeterScale);

    public MeterScale Other => MeterScale.All.First(scale => scale != Scale);
}

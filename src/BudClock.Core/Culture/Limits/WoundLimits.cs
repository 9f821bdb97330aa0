namespace BudClock.Core.Culture.Limits;

/// <summary>Rule L8: roots that were disturbed.</summary>
[Rule("L8", "roots that were disturbed")]
public sealed record WoundLimits([Limit("days", 3, 90, "so long a wound of the roots is not fed", Stricter = Stricter.Higher)] int Settles);

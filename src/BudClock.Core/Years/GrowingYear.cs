using System.Globalization;

namespace BudClock.Core.Years;

/// <summary>A year of growing: from midwinter to midwinter of the garden, so that no season is cut in two.</summary>
/// <param name="Begins">The calendar year in which it begins.</param>
/// <param name="Southern">South of the equator it begins with July.</param>
public readonly record struct GrowingYear(int Begins, bool Southern)
{
    /// <summary>Its first day.</summary>
    public DateOnly From => new(Begins, Southern ? 7 : 1, 1);

    /// <summary>Its last day.</summary>
    public DateOnly To => From.AddYears(1).AddDays(-1);

    /// <summary>"2031", in the south "2031/32".</summary>
    public string Label => Southern ? string.Create(CultureInfo.InvariantCulture, $"{Begins}/{(Begins + 1) % 100:00}") : $"{Begins}";

    /// <summary>The year before.</summary>
    public GrowingYear Before => this with { Begins = Begins - 1 };

    /// <summary>Whether a day lies in it.</summary>
    public bool Has(DateOnly? day) => day >= From && day <= To;

    /// <summary>The year of a day.</summary>
    public static GrowingYear Of(DateOnly day, bool southern) => new(southern && day.Month < 7 ? day.Year - 1 : day.Year, southern);
}

using System.Globalization;
using BudClock.Core.Climate;

namespace BudClock.Web.Drawing;

/// <summary>One turn is a year, clockwise, with midsummer of the garden's own hemisphere at the top.</summary>
public readonly record struct DialGeometry(bool Southern)
{
    const double DaysInYear = 365.2425;

    /// <summary>Radians clockwise from the top.</summary>
    public double Angle(DateOnly day)
    {
        var midsummer = Southern ? new DateOnly(day.Year, 12, 21) : new DateOnly(day.Year, 6, 21);
        return (day.DayNumber - midsummer.DayNumber) / DaysInYear * 2 * Math.PI;
    }

    public Point At(double angle, double radius) => new(radius * Math.Sin(angle), -radius * Math.Cos(angle));

    public Point At(DateOnly day, double radius) => At(Angle(day), radius);

    /// <summary>The path of an arc from one day to a later one, at most a full turn.</summary>
    public string Arc(DateOnly from, DateOnly to, double radius)
    {
        var days = Math.Clamp(to.DayNumber - from.DayNumber, 1, 364);
        var (start, end) = (At(from, radius), At(from.AddDays(days), radius));
        var large = days > DaysInYear / 2 ? 1 : 0;
        return $"M{start} A{Svg.N(radius)} {Svg.N(radius)} 0 {large} 1 {end}";
    }

    /// <summary>The ring of daylight: as wide, out of <paramref name="width"/>, as the day is long out of 24 hours.</summary>
    public string DayBand(int year, double latitude, double inner, double width)
    {
        var (outside, inside) = (new List<string>(), new List<string>());
        for (var day = new DateOnly(year, 1, 1); day.Year == year; day = day.AddDays(5))
        {
            outside.Add(At(day, inner + (width * Sun.On(day, latitude).DayHours / 24)).ToString());
            inside.Add(At(day, inner).ToString());
        }
        return $"M{string.Join('L', outside)}Z M{string.Join('L', inside)}Z";
    }
}

/// <summary>A point of a drawing, written as SVG wants it.</summary>
public readonly record struct Point(double X, double Y)
{
    public override string ToString() => $"{Svg.N(X)} {Svg.N(Y)}";
}

public static class Svg
{
    /// <summary>A number for an SVG attribute: a point, two decimals.</summary>
    public static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}

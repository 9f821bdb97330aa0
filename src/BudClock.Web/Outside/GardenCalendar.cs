using System.Security.Cryptography;
using System.Text;
using BudClock.Core.Planning;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace BudClock.Web.Outside;

/// <summary>
/// The agenda as a calendar file (RFC 5545): whole days, each item under the same name for good, so that it moves and never doubles.
/// </summary>
public static class GardenCalendar
{
    /// <summary>So far ahead the calendar looks, weeks.</summary>
    public const int Weeks = 52;

    /// <summary>A calendar asks again after so long.</summary>
    static readonly TimeSpan Refresh = TimeSpan.FromHours(6);

    /// <summary>The calendar of a garden as it stands.</summary>
    public static string Of(GardenDay today, Clock clock) =>
        Write(
            today.Garden.Name,
            [
                .. Agenda
                    .Of(today.Plants, today.Weather, today.Programmes, today.Day, Weeks)
                    .Where(item => item.Kind is not AgendaKind.Season),
            ],
            clock.GetUtcNow()
        );

    /// <summary>Writes the calendar.</summary>
    /// <param name="garden">Its name, which heads the calendar.</param>
    /// <param name="stamp">The moment it is written.</param>
    public static string Write(string garden, IReadOnlyList<AgendaItem> items, DateTimeOffset stamp)
    {
        var calendar = new Calendar { ProductId = "-//Bud Clock//Garden//EN" };
        calendar.AddProperty("X-WR-CALNAME", garden);
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", $"PT{(int)Refresh.TotalHours}H");
        foreach (var item in items)
            calendar.Events.Add(Event(item, stamp));
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    static CalendarEvent Event(AgendaItem item, DateTimeOffset stamp) =>
        new()
        {
            Uid = Uid(item.Key),
            DtStamp = new CalDateTime(stamp.UtcDateTime, "UTC"),
            Start = new CalDateTime(item.On),
            End = new CalDateTime(item.On.AddDays(1)),
            Summary = Summary(item),
            Description = Description(item),
            Transparency = TransparencyType.Transparent,
        };

    static string Summary(AgendaItem item)
    {
        var words = item.Words.Split(". ")[0].TrimEnd('.');
        return item.Who.Length > 0 ? $"{item.Who}: {words}" : words;
    }

    static string Description(AgendaItem item) =>
        item.To > item.From ? $"{item.Words} Likely {Dates.Range(item.From, item.To)}; the plant outranks the date." : item.Words;

    /// <summary>The same for the same thing, whatever its day.</summary>
    public static string Uid(string key) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key.ToLowerInvariant())))[..32] + "@bud-clock";
}

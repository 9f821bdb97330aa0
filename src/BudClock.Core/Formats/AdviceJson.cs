using System.Text.Json;
using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Formats;

/// <summary>Writes advice as JSON: what the command line prints and the API answers. The same input gives the same bytes.</summary>
public static class AdviceJson
{
    /// <summary>One plant, as an object.</summary>
    public static string Write(Assessment assessment) => JsonText.Write(json => Plant(json, assessment));

    /// <summary>Several plants, as a list.</summary>
    public static string Write(IEnumerable<Assessment> assessments) =>
        JsonText.Write(json =>
        {
            json.WriteStartArray();
            foreach (var assessment in assessments)
                Plant(json, assessment);
            json.WriteEndArray();
        });

    static void Plant(Utf8JsonWriter json, Assessment assessment)
    {
        json.WriteStartObject();
        json.WriteString("tag", assessment.Plant.Tag);
        json.OrNull("on", assessment.On);
        json.WriteString("phase", assessment.Phase.Phase.Name());
        json.Each("lanes", assessment.Lanes, Lane);
        json.Each("advice", assessment.All, One);
        if (assessment.Waiting.Count > 0)
            json.Each("waiting", assessment.Waiting, Quiet);
        json.WriteEndObject();
    }

    static void Quiet(Utf8JsonWriter json, Waiting waiting)
    {
        json.WriteString("topic", waiting.Question.Topic);
        json.WriteString("act", waiting.Question.Care.Facts().Name);
        json.WriteString("rule", waiting.Question.Rule);
        json.OrNull("since", waiting.Since);
        json.OrNull("asked", waiting.Next);
        json.WriteString("reason", waiting.Question.Reason);
    }

    static void Lane(Utf8JsonWriter json, Lane lane)
    {
        json.WriteString("lane", lane.Kind.ToString().ToLowerInvariant());
        json.OrNull("from", lane.From);
        json.OrNull("to", lane.To);
        json.WriteBoolean("expected", lane.Expected);
        json.Optional("organ", lane.Organ);
        json.Optional("ending", lane.Ending);
    }

    static void One(Utf8JsonWriter json, Advice advice)
    {
        json.WriteString("topic", advice.Topic);
        json.WriteString("act", advice.Care.Facts().Name);
        json.WriteString("verdict", advice.Verdict.ToString().ToLowerInvariant());
        json.WriteString("rule", advice.Rule);
        json.OrNull("due", advice.Due);
        json.Optional("until", advice.Until);
        json.WriteString("reason", advice.Reason);
        json.Optional("bottle", advice.Bottle);
        json.Optional("amount", advice.Amount);
        json.Optional("stoppedBy", advice.StoppedBy);
        json.WriteString("school", advice.School);
        json.Each("conditions", advice.Conditions, Condition);
        if (advice.Projection is { } projection)
            Projection(json, projection);
        if (advice.Others.Count > 0)
            json.Each("others", advice.Others, Other);
    }

    static void Condition(Utf8JsonWriter json, Condition condition)
    {
        json.WriteString("name", condition.Name);
        Fact(json, "have", condition.Have);
        Fact(json, "need", condition.Need);
        json.WriteString("unit", condition.Unit);
        json.WriteBoolean("met", condition.Met);
        json.OrNull("seen", condition.Seen);
    }

    static void Projection(Utf8JsonWriter json, Projection projection)
    {
        json.WriteStartObject("projection");
        json.WriteNumber("cmPerDay", Math.Round(projection.CmPerDay, 3));
        json.OrNull("from", projection.From);
        json.OrNull("likely", projection.Likely);
        json.OrNull("to", projection.To);
        json.WriteEndObject();
    }

    static void Other(Utf8JsonWriter json, OtherSchool other)
    {
        json.WriteString("school", other.Name);
        json.WriteString("would", other.Would);
        json.WriteString("risks", other.Risks);
    }

    static void Fact(Utf8JsonWriter json, string name, Fact? fact)
    {
        if (fact is { Number: { } number })
            json.WriteNumber(name, Math.Round(number, 4));
        else
            json.WriteString(name, fact?.Word);
    }
}

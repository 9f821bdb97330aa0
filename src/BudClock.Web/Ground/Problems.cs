namespace BudClock.Web.Ground;

/// <summary>What the API says when it cannot do as asked: problem details (RFC 9457), with what to do in <c>detail</c>.</summary>
static class Problems
{
    /// <param name="detail">A sentence; <c>error</c> repeats it for programs that were written before.</param>
    public static IResult Say(int status, string detail) =>
        Results.Problem(detail, statusCode: status, extensions: new Dictionary<string, object?> { ["error"] = detail });
}

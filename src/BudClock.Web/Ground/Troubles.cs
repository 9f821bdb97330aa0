using BudClock.Data;

namespace BudClock.Web.Ground;

/// <summary>Faults that reach nobody's page: which of them are the disk's, and are told as such.</summary>
static class Troubles
{
    /// <summary>503 where the disk or the file is at fault, 400 for a broken request, else 500.</summary>
    public static int Status(Exception fault) =>
        StorageTrouble.Say(fault) is not null ? StatusCodes.Status503ServiceUnavailable
        : fault is BadHttpRequestException bad ? bad.StatusCode
        : fault is InvalidDataException ? StatusCodes.Status400BadRequest
        : StatusCodes.Status500InternalServerError;

    /// <summary>Told in a sentence, so that no trace of it needs to be logged.</summary>
    public static bool Told(Exception fault) =>
        StorageTrouble.Say(fault) is not null || fault is BadHttpRequestException or OperationCanceledException;
}

namespace BudClock.Web.Ground;

/// <summary>Work that goes on beside the pages, begun once the garden is open.</summary>
/// <param name="Service">Started and stopped with the application.</param>
public sealed record Beside(IHostedService Service);

namespace BudClock.Web.Ground;

/// <summary>How the application is started.</summary>
public sealed record ServerOptions
{
    /// <summary>The port on 127.0.0.1; 0 takes any free one.</summary>
    public int Port { get; init; } = 5080;

    public required string DataFolder { get; init; }

    /// <summary>Begin with the lighthouse garden, on its pretend day unless another is named.</summary>
    public bool Demo { get; init; }

    /// <summary>How many days of made-up weather the demo begins with.</summary>
    public int DemoDays { get; init; } = 365;

    /// <summary>With the demo, start its stand-in devices beside it.</summary>
    public bool StandIns { get; init; }

    /// <summary>How long a service outside may take to answer, before it is asked once more.</summary>
    public TimeSpan Patience { get; init; } = TimeSpan.FromSeconds(4);

    /// <summary>Pretend that it is this day.</summary>
    public DateOnly? Day { get; init; }

    /// <summary>The clock, before any pretending.</summary>
    public TimeProvider Time { get; init; } = TimeProvider.System;

    public string Address => $"http://127.0.0.1:{Port}";
}

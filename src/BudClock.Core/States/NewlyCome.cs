using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule F2: a plant in its first weeks here.</summary>
public sealed class NewlyCome : State
{
    /// <inheritdoc/>
    public override string Name => "newly come";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(Acquired, "it came, by its log or its details")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } = [];

    /// <inheritdoc/>
    public override string Afterwards => "It is fed by its stage, lightly at first.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<NewcomerLimits>().Newcomer;

    /// <summary>What was made of a plant that is here never came from outside: its day is its birthday.</summary>
    protected override Entry? OnRecord(Plant plant) =>
        plant is { Parent: null, Acquired: { } day }
            ? new()
            {
                Id = Guid.Empty,
                On = day,
                Kind = Acquired,
                Logged = new(day, TimeOnly.MinValue, TimeSpan.Zero),
            }
            : null;
}

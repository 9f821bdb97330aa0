namespace BudClock.Core.Gardens;

/// <summary>A programme that the grower wrote or changed, as text.</summary>
/// <param name="Name">Unique in the garden: small letters, digits and hyphens.</param>
/// <param name="Yaml">Its text, as docs/programmes.md tells.</param>
public sealed record OwnProgramme(string Name, string Yaml);

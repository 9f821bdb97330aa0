namespace BudClock.Core.Advising.Why;

/// <summary>
/// Something that may have done it: drought, cold, lost roots. One file a cause, shared by every question that it may answer (rules G2,
/// K5 and B3).
/// </summary>
/// <remarks>
/// A class that derives from it is a cause: there is no list to add it to. It needs a constructor without parameters. It cites what is
/// in the log or was measured, and orders nothing by itself.
/// </remarks>
public abstract class Cause
{
    /// <summary>As a clause, for conditions and headings: "dry while it grew".</summary>
    public abstract string Name { get; }

    /// <summary>The questions that it may answer.</summary>
    public abstract IReadOnlyList<Type> Answers { get; }

    /// <summary>Its place among causes for which as much speaks: the usual one first.</summary>
    public virtual int Order => 50;

    /// <summary>What would decide whether it is this one, as a sentence; null where nothing more can be found out.</summary>
    public virtual string? Decides(Inquiry about) => null;

    /// <summary>The act it would ask for, which the guards judge as any other; null where there is none.</summary>
    public virtual Care? Act => null;

    /// <summary>What speaks for it and against it; null where nothing is known either way.</summary>
    public abstract Heard? Hear(Inquiry about);

    /// <summary>Whether it may answer a question.</summary>
    public bool MayAnswer(Question question) => Answers.Contains(question.GetType());

    /// <summary>The cause, found for certain by one entry.</summary>
    protected Heard Found(Claim claim, string then, bool normal = false) => new(this, [claim], [], then, normal);
}

/// <summary>A cause with what was found.</summary>
/// <param name="For">What speaks for it, the strongest first.</param>
/// <param name="Against">What speaks against it.</param>
/// <param name="Then">What to do about it now, nothing among it, as a sentence.</param>
/// <param name="Normal">It is the usual price of something, and passes by itself.</param>
public sealed record Heard(Cause Cause, IReadOnlyList<Claim> For, IReadOnlyList<Claim> Against, string Then, bool Normal = false)
{
    /// <summary>A cause stands from here on.</summary>
    public const double Stands = (double)Strength.Likely;

    /// <summary>
    /// What its evidence allows, 0 to 3.5: the strongest claim for it, half a step more where another speaks too, less the strongest
    /// against it. No cause has a say in it.
    /// </summary>
    public double Weight => Math.Max(0, Strongest(For) + (For.Count > 1 ? 0.5 : 0) - Strongest(Against));

    /// <summary>Enough speaks for it.</summary>
    public bool Standing => Weight >= Stands;

    /// <summary>What size or bloom to expect next if it was this, as a sentence; null where it changes nothing.</summary>
    public string? Expect { get; init; }

    /// <summary>The newest day of what speaks for it; null where no day is known.</summary>
    public DateOnly? On => For.Max(claim => claim.On);

    /// <summary>The claim that says most.</summary>
    public Claim First => For.MaxBy(claim => claim.Strength)!;

    static double Strongest(IReadOnlyList<Claim> claims) => claims.Count == 0 ? 0 : (double)claims.Max(claim => claim.Strength);
}

using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Saying;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Newcomers, growths under stress, what keeps a plant in its pot, and what the log of a dead one suggests.</summary>
public class PlantsOverTimeTests
{
    [Theory]
    [InlineData(27, true)]
    [InlineData(28, false)] // common practice: 28 days on plain water
    public void A_newcomer_is_counted_from_arrival(int days, bool counts) =>
        Assert.Equal(counts, Assess(Lycaste() with { Acquired = Today.AddDays(-days) }).Situation.Arrival!.IsNewcomer);

    [Fact]
    public void A_newcomer_shows_where_it_is_from_what_was_found_and_until_when_it_is_kept_apart()
    {
        var plant = Lycaste(
            At("2031-05-10", EntryKinds.Acquired, text: "a swap table"),
            At("2031-05-11", EntryKinds.Inspected, text: "roots sound")
        ) with
        {
            QuarantineUntil = new(2031, 6, 20),
        };
        var newcomer = Assess(plant).Situation.Arrival!;
        Assert.Equal(
            (14, new DateOnly(2031, 6, 7), "a swap table", "roots sound", new DateOnly(2031, 6, 20)),
            (newcomer.Day, newcomer.Until, newcomer.From, newcomer.Found!.Text, newcomer.QuarantineUntil)
        );
        Assert.False(Assess(plant, Today.AddDays(20)).Situation.Arrival!.IsNewcomer); // four weeks are over, the quarantine is not
    }

    [Fact]
    public void A_growth_out_of_an_unfinished_growth_is_a_sign_of_stress_and_says_that_one_may_go()
    {
        var plant = Lycaste(
            At("2031-03-01", EntryKinds.GrowthStarted).Of("g31"),
            At("2031-05-15", EntryKinds.GrowthStarted).Of("g31b")
        ) with
        {
            Organs = [new("g31", "growth", "2031"), new("g31b", "growth", "2031 b", "g31")],
        };
        var look = Assess(plant).Rule("G3")!;
        Assert.Equal(Verdict.Look, look.Verdict);
        Assert.StartsWith("Growth 2031 b sprouted from 2031, which is not finished: a sign of stress.", look.Reason);
        Assert.Null(Assess(plant with { Organs = [plant.Organs[0], plant.Organs[1] with { Parent = null }] }).Rule("G3"));
        Assert.Null(Assess(plant with { Entries = [.. plant.Entries, At(Today, EntryKinds.Looked, text: "same")] }).Rule("G3"));
    }

    [Fact]
    public void The_surroundings_keep_a_plant_in_its_pot_and_rot_overrides_them()
    {
        var moved = Lycaste(At(Today.AddDays(-12), EntryKinds.Moved), At(Today.AddDays(-20), EntryKinds.SpikeStarted));
        Assert.Equal(["it moved 12 days ago", "it is in bud or bloom"], RepotVeto.Reasons(Assess(moved).Situation).Select(r => r.Words));
        Assert.Empty(RepotVeto.Reasons(Assess(moved with { Entries = [.. moved.Entries, At(Today, EntryKinds.Rot)] }).Situation));
        Assert.Equal(["it is in bud or bloom"], RepotVeto.Reasons(Assess(moved, Today.AddDays(16)).Situation).Select(r => r.Words));
    }

    [Fact]
    public void The_log_of_a_dead_plant_is_read_kindly()
    {
        var plant = Lycaste(
            At("2031-03-01", EntryKinds.RootsLost),
            At("2031-03-10", EntryKinds.Watered),
            At("2031-03-20", EntryKinds.Repotted),
            At("2031-04-10", EntryKinds.Died)
        ) with
        {
            Acquired = new(2031, 2, 1),
        };
        var heard = Hearing.Of(Assess(plant).Situation, new LostQuestion())!;
        Assert.Equal(
            ["roots lost", "repotted", "new here"],
            heard.Causes.Where(cause => cause.Weight > 0).Select(cause => cause.Cause.Name)
        );
        Assert.Contains(heard.First.SelectMany(cause => cause.For), claim => claim.Words == "watered on 10 Mar, when it could not drink");
    }

    [Fact]
    public void A_log_that_tells_nothing_is_not_made_to_and_a_plant_given_away_has_no_farewell()
    {
        Assert.Empty(Farewell(At("2031-03-01", EntryKinds.Watered), At("2031-04-10", EntryKinds.Died))!.First);
        Assert.Null(Farewell(At("2031-03-01", EntryKinds.Rot), At("2031-04-10", EntryKinds.GivenAway)));

        static Hearing? Farewell(params Entry[] log) => Hearing.Of(Assess(Lycaste(log)).Situation, new LostQuestion());
    }

    [Fact]
    public void What_is_normal_is_said_to_be_normal()
    {
        var autumn = Assess(Lycaste(), new(2030, 10, 20));
        Assert.Contains("That is normal.", Normal.Say(EntryKinds.LeafDropped, null, autumn));
        Assert.Contains(
            "look at the roots",
            Normal.Say(EntryKinds.LeafDropped, null, Assess(Lycaste() with { Taxon = "Cattleya labiata" }))
        );
        Assert.Null(Normal.Say(EntryKinds.Watered, null, autumn));
    }

    [Theory]
    [InlineData("to the sill", "sill")]
    [InlineData("from the South bench to Sill", "sill")]
    [InlineData("South bench", "south")]
    [InlineData("a little to the left", null)]
    public void A_move_names_its_place(string words, string? code) =>
        Assert.Equal(code, Moves.To(words, [new("south", "South bench"), new("sill", "Sill")])?.Code);

    [Theory]
    [InlineData("Gloriosa superba", "deadly if eaten")]
    [InlineData("Euphorbia milii", "dangerous in the eyes")]
    [InlineData("Lycaste aromatica", null)]
    public void The_caution_stands_where_the_act_is(string taxon, string? words)
    {
        var sheet = CultureSheets.Shipped.ForTaxon(taxon);
        var said = string.Join(" ", Cautions.For(EntryKinds.Divided, sheet).Select(caution => caution.Words));
        if (words is null)
            Assert.Empty(said);
        else
            Assert.Contains(words, said);
        Assert.Empty(Cautions.For(EntryKinds.Watered, sheet));
    }
}

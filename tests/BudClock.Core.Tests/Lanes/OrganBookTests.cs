using BudClock.Core.Advising;
using BudClock.Core.Notes;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Lanes;

/// <summary>Which organ an entry is about: a start makes one, the rest go to what is under way, and two ask.</summary>
public class OrganBookTests
{
    static readonly EntryDraft NewGrowth = new(EntryKinds.GrowthStarted, Today);

    [Fact]
    public void A_new_growth_is_an_organ_of_its_own_out_of_the_last_finished_one()
    {
        var plant = Lycaste(At("2030-04-01", EntryKinds.GrowthStarted).Of("g30"), At("2030-10-01", EntryKinds.GrowthMatured).Of("g30")) with
        {
            Organs = [new("g30", "growth", "2030")],
        };
        Assert.Equal(new Organ("g31", "growth", "2031", "g30"), Place(plant, NewGrowth).Added.Single());
    }

    [Fact]
    public void A_second_one_of_the_year_gets_a_letter()
    {
        var plant = Lycaste(At("2031-03-01", EntryKinds.GrowthStarted).Of("g31")) with { Organs = [new("g31", "growth", "2031")] };
        Assert.Equal(("g31b", "2031 b"), (Place(plant, NewGrowth).Added.Single().Id, Place(plant, NewGrowth).Added.Single().Label));
    }

    [Fact]
    public void A_tap_done_twice_starts_one_growth()
    {
        var plant = Lycaste(At(Today, EntryKinds.GrowthStarted).Of("g31")) with { Organs = [new("g31", "growth", "2031")] };
        Assert.Empty(Place(plant, NewGrowth).Added);
    }

    [Fact]
    public void Roots_belong_to_the_growth_that_makes_them_and_on_a_single_stem_to_a_flush()
    {
        var growing = Lycaste(At("2031-04-01", EntryKinds.GrowthStarted).Of("g31")) with { Organs = [new("g31", "growth", "2031")] };
        Assert.Equal("g31", Place(growing, new EntryDraft(EntryKinds.RootsStarted, Today)).Entries.Single().Organ);
        Assert.Equal(
            "roots",
            Place(Lycaste() with { Taxon = "Phalaenopsis amabilis" }, new EntryDraft(EntryKinds.RootsStarted, Today)).Added.Single().Kind
        );
    }

    [Fact]
    public void With_two_spikes_a_length_asks_and_the_likelier_stands_first()
    {
        var placed = Place(TwoSpikes, Spike(15));
        // 14 cm rose to 15; 40 cm did not shrink
        Assert.Equal(["s31b", "s31"], placed.Questions.Single().Choices.Select(choice => choice.Reference));
        Assert.Equal("spike 2031 b, 14 cm on 20 May", placed.Questions.Single().Choices[0].Words);
        Assert.Equal("s31", Place(TwoSpikes, Spike(44)).Entries.Single().Organ);
    }

    [Fact]
    public void With_one_spike_nothing_is_asked()
    {
        var one = TwoSpikes with { Entries = [.. TwoSpikes.Entries, At("2031-05-21", EntryKinds.SpikeLost).Of("s31")] };
        Assert.Equal(("s31b", 0), (Place(one, Spike(15)).Entries.Single().Organ, Place(one, Spike(15)).Questions.Count));
    }

    [Fact]
    public void A_backdated_length_belongs_to_what_was_under_way_on_its_day()
    {
        var placed = Place(TwoSpikes, new EntryDraft(EntryKinds.SpikeLength, new(2031, 3, 10), Cm(6)));
        Assert.Equal(("s31", 0), (placed.Entries.Single().Organ, placed.Questions.Count));
    }

    [Fact]
    public void A_waxy_vine_blooms_from_its_lasting_stalks_and_asks_which()
    {
        var hoya = Lycaste() with { Taxon = "Hoya carnosa", Organs = [new("p1", "peduncle", "window"), new("p2", "peduncle", "tip")] };
        var choices = Place(hoya, new EntryDraft(EntryKinds.SpikeStarted, Today)).Questions.Single().Choices;
        Assert.Equal(
            ["p1", "p2", OrganBook.New],
            choices.Select(choice => choice.Reference).Order(StringComparer.Ordinal).OrderBy(r => r == OrganBook.New)
        );
        Assert.Equal("peduncle", Place(hoya, new EntryDraft(EntryKinds.SpikeStarted, Today, Organ: OrganBook.New)).Added.Single().Kind);
    }

    [Fact]
    public void Of_three_tubers_a_soft_one_asks_which()
    {
        var caladium = Lycaste() with
        {
            Taxon = "Caladium bicolor",
            Organs = [new("t1", "tuber", "a"), new("t2", "tuber", "b"), new("t3", "tuber", "c")],
        };
        Assert.Equal(3, Place(caladium, new EntryDraft(EntryKinds.Tuber, Today, Text: "soft")).Questions.Single().Choices.Count);
    }

    [Fact]
    public void What_one_entry_starts_the_next_is_about()
    {
        var placed = Place(Lycaste(), new EntryDraft(EntryKinds.SpikeStarted, Today), Spike(3));
        Assert.Equal(placed.Entries[0].Organ, placed.Entries[1].Organ);
        Assert.Single(placed.Added);
    }

    [Fact]
    public void A_note_asks_by_giving_the_line_again_with_the_part_named()
    {
        var note = Read("lyc-01 spike 15 cm, leaves firm");
        Assert.False(note.Complete);
        Assert.Equal(
            ["lyc-01 spike 15 cm #s31b, leaves firm", "lyc-01 spike 15 cm #s31, leaves firm"],
            note.Questions.Single().Answers.Select(answer => answer.Text)
        );
        var answered = Read(note.Questions.Single().Answers[1].Text);
        Assert.True(answered.Complete);
        Assert.Equal(["s31", null], answered.Entries.Select(e => e.Organ));
    }

    [Theory]
    [InlineData("lyc-01 spike #s31b 15 cm")]
    [InlineData("lyc-01 #2031b spike 15 cm")]
    [InlineData("lyc-01 15 cm spike #S31B yesterday")]
    public void A_part_is_named_behind_a_hash_by_id_or_label(string line) => Assert.Equal("s31b", Read(line).Entries.Single().Organ);

    [Fact]
    public void A_part_that_is_not_there_is_said() =>
        Assert.Equal("\"s99\" is no part of LYC-01.", Read("lyc-01 spike #s99 15 cm").Unread.Single().Why);

    [Fact]
    public void With_several_plants_nothing_is_asked_and_nothing_guessed()
    {
        var note = NoteReader.Read("lyc-01, lyc-02: spike 15 cm", Context with { Index = new([new("LYC-01"), new("LYC-02")]) });
        Assert.Contains("LYC-01\" has several parts", note.Unread.First().Why);
    }

    [Fact]
    public void Whatever_is_placed_names_an_organ_that_the_plant_has_then()
    {
        var kind = Gen.OneOf<EntryKind>([.. EntryKinds.All.Where(k => OrganParts.Of(k) is not null)]);
        var entries =
            from k in kind
            from back in Gen.Int[0, 300]
            select new EntryDraft(
                k,
                Today.AddDays(-back),
                k.Measure is null ? null : new Quantity(5, Unit.Default(k.Measure.Dimension, false)),
                k.States.FirstOrDefault()
            );
        entries
            .Array[1, 6]
            .Sample(
                some =>
                {
                    foreach (
                        var plant in (Plant[])
                            [TwoSpikes, Lycaste(), Lycaste() with { Taxon = "Hoya carnosa" }, Lycaste() with { Taxon = "Alocasia odora" }]
                    )
                    {
                        var placed = Place(plant, some);
                        var ids = plant.Organs.Concat(placed.Added).Select(o => o.Id).ToList();
                        Assert.Equal(ids.Distinct(), ids);
                        Assert.All(placed.Entries, e => Assert.True(e.Organ is null || ids.Contains(e.Organ)));
                    }
                },
                iter: 400
            );
    }

    static readonly Plant TwoSpikes = Lycaste(
        At("2031-03-01", EntryKinds.SpikeStarted).Of("s31"),
        At("2031-05-20", EntryKinds.SpikeLength, Cm(40)).Of("s31"),
        At("2031-04-10", EntryKinds.SpikeStarted).Of("s31b"),
        At("2031-05-20", EntryKinds.SpikeLength, Cm(14)).Of("s31b")
    ) with
    {
        Organs = [new("s31", "spike", "2031"), new("s31b", "spike", "2031 b")],
    };

    static readonly NoteContext Context = new(["LYC-01"], Today) { Books = _ => Assess(TwoSpikes).Book };

    static ReadNote Read(string line) => NoteReader.Read(line, Context);

    static EntryDraft Spike(double cm) => new(EntryKinds.SpikeLength, Today, Cm(cm));

    static PlacedEntries Place(Plant plant, params EntryDraft[] entries) => Assess(plant).Book.Place(entries);
}

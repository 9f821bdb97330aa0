using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>What a phone's dictation writes down.</summary>
public class SpokenTests
{
    [Theory]
    [InlineData("eleven centimetres", 11, "cm")]
    [InlineData("twenty five millimetres", 25, "mm")]
    [InlineData("nine point five centimetres", 9.5, "cm")]
    [InlineData("four point two five inches", 4.25, "in")]
    [InlineData("two and a half inches", 2.5, "in")]
    [InlineData("twelve and a quarter inches", 12.25, "in")]
    [InlineData("half an inch", 0.5, "in")]
    [InlineData("an inch", 1, "in")]
    [InlineData("one hundred and five millimetres", 105, "mm")]
    public void A_length_is_heard(string spoken, double value, string unit)
    {
        var note = NoteReader.Read($"a-1 spike {spoken}", new(["A-1"], Specimens.Today));
        Assert.Equal(new Quantity(value, Unit.Find(unit)), note.Entries.Single().Amount);
    }

    [Theory]
    [InlineData("three hundred and fifty mils", 350, "mL")]
    [InlineData("two hundred millilitres", 200, "mL")]
    [InlineData("a quarter of a litre", 0.25, "L")]
    [InlineData("half a litre", 0.5, "L")]
    [InlineData("a cup", 1, "cup")]
    [InlineData("one and a half cups", 1.5, "cup")]
    public void A_volume_is_heard(string spoken, double value, string unit)
    {
        var note = NoteReader.Read($"a-1 watered {spoken}", new(["A-1"], Specimens.Today));
        Assert.True(note.Complete);
        Assert.Equal(new Quantity(value, Unit.Find(unit)), note.Entries.Single().Amount);
    }

    [Theory]
    [InlineData("mil one six buds", 6)]
    [InlineData("mil one twelve buds", 12)]
    [InlineData("mil one ninety nine buds", 99)]
    public void A_number_of_things_is_heard(string line, double count) =>
        Assert.Equal(count, NoteReader.Read(line, DemoGarden.Context with { Books = _ => null }).Entries.Single().Amount!.Value.Value);

    /// <summary>Check values of the American Soundex, as the National Archives of the United States publish the method.</summary>
    [Theory]
    [InlineData("Robert", "R163")]
    [InlineData("Rupert", "R163")]
    [InlineData("Ashcraft", "A261")]
    [InlineData("Tymczak", "T522")]
    [InlineData("Pfister", "P236")]
    [InlineData("Honeyman", "H555")]
    [InlineData("Lee", "L000")]
    [InlineData("lick", "L200")]
    [InlineData("LYC", "L200")]
    [InlineData("123", "")]
    public void Words_that_sound_alike_have_one_code(string word, string code) => Assert.Equal(code, Soundex.Of(word));
}

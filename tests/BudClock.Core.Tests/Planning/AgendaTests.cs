using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Planning;
using BudClock.Core.Programmes;
using BudClock.Core.Round;

namespace BudClock.Core.Tests.Planning;

/// <summary>What is ahead: the same thing keeps its name when its day moves; only what asks is in the digest.</summary>
public class AgendaTests
{
    static readonly DateOnly Today = new(2031, 5, 24);

    static readonly GardenRecord Demo = GardenFileReader.Read(File.ReadAllText("lighthouse.json"), CultureSheets.Shipped).Garden!;

    static IReadOnlyList<AgendaItem> Of(GardenRecord garden, DateOnly today, int weeks = 40)
    {
        var weather = PlaceWeathers.Of(garden, today);
        return Agenda.Of(new GardenAssessed(garden, today).Plants, weather, ProgrammeBook.Shipped, today, weeks);
    }

    [Fact]
    public void A_batch_is_looked_at_and_a_window_has_a_last_day()
    {
        var old = new Plant
        {
            Tag = "CAT-09",
            Taxon = "Cattleya labiata",
            Medium = "bark",
            Entries =
            [
                Specimens.At("2028-11-10", EntryKinds.Repotted),
                Specimens.At("2031-05-22", EntryKinds.RootLength, Specimens.Cm(1.5)),
            ],
        };
        var garden = Demo with { Plants = [old] };
        var shed = Demo.Shed;
        var items = Agenda.Of(
            new GardenAssessed(garden, Today).Plants,
            PlaceWeathers.Of(garden, Today),
            ProgrammeBook.Shipped,
            Today,
            8,
            shed
        );
        Assert.Equal((AgendaKind.LastDay, new DateOnly(2031, 6, 22)), (Of("cat-09/repot/closes").Kind, Of("cat-09/repot/closes").On));
        Assert.Equal(Today, Of("batch/c1/look").On); // due since a week
        Assert.Equal(new(2031, 5, 27), Of("batch/c2/look").On); // set on the 19th, looked at every four days, and not before two of them
        Assert.DoesNotContain(items, item => item.Key.StartsWith("batch/l1", StringComparison.Ordinal)); // ended

        AgendaItem Of(string key) => items.Single(item => item.Key == key);
    }

    [Fact]
    public void A_moved_date_keeps_its_name_and_everything_else_is_as_it_was()
    {
        var before = Of(Demo, Today);
        var moved = Demo with
        {
            Plants =
            [
                .. Demo.Plants.Select(plant =>
                    plant.Tag != "NAR-02"
                        ? plant
                        : plant with
                        {
                            Entries =
                            [
                                .. plant.Entries.Select(entry =>
                                    entry.Kind == EntryKinds.ProgrammeStarted
                                        ? entry with
                                        {
                                            Text = new ProgrammeOrder(entry).MovedTo(new(2031, 11, 23)),
                                        }
                                        : entry
                                ),
                            ],
                        }
                ),
            ],
        };
        var after = Of(moved, Today);
        Assert.Equal(before.Select(item => item.Key).Order(), after.Select(item => item.Key).Order());
        var changed = before
            .Join(after, item => item.Key, item => item.Key, (a, b) => (a, b))
            .Where(pair => pair.a.On != pair.b.On)
            .ToList();
        Assert.Equal(3, changed.Count);
        Assert.All(changed, pair => Assert.Equal((7, "NAR-02"), (pair.b.On.DayNumber - pair.a.On.DayNumber, pair.a.Tags.Single())));
    }

    [Fact]
    public void Keys_are_unique_and_weeks_hold_every_item_once()
    {
        var items = Of(Demo, Today, Agenda.Weeks);
        Assert.Equal(items.Count, items.DistinctBy(item => item.Key).Count());
        Assert.Equal(items, Agenda.ByWeek(items, Today).SelectMany(week => week.Items));
    }

    [Fact]
    public void Two_lots_for_one_dark_shelf_and_a_holiday_are_named()
    {
        var plants = new GardenAssessed(Demo, Today).Plants;
        var board = TriggerBoard.Of(plants, [], Today);
        Assert.Contains(board.Conflicts, conflict => conflict.Tags.SequenceEqual(["NAR-02", "NAR-03"]));
        var planting = board.Lanes.Single(lane => lane.Tag == "NAR-02").Start!.Value;
        var away = TriggerBoard.Of(plants, [new(planting.AddDays(-1), planting.AddDays(1))], Today);
        Assert.Contains(away.Conflicts, conflict =>
            conflict.Tags is ["NAR-02"] && conflict.Words.Contains("away", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void The_digest_holds_what_asks_and_nothing_else()
    {
        var plants = new GardenAssessed(Demo, Today).Plants;
        var round = RoundOfDay.Of(Demo.Places, plants);
        var digest = Digest.Of(round)!;
        Assert.Equal(round.AllAsking.Count(), digest.Lines.Count);
        Assert.Contains($"{round.ToDo} to do", digest.Title, StringComparison.Ordinal);
        Assert.Null(Digest.Of(RoundOfDay.Of(Demo.Places, plants.Where(plant => plant.Main?.Asks != true))));
    }
}

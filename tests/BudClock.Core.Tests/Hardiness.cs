namespace BudClock.Core.Tests;

/// <summary>
/// What each kind bears, written down here once more, so that a test of safety does not ask the sheet that it tests. Nights below
/// <paramref name="FeedC"/> are too cold for feed, below <paramref name="DangerC"/> they can kill. Common practice, from memory.
/// </summary>
sealed record Hardiness(double FeedC, double DangerC, double? RestC = null, double? HotNightC = null, double? HotDayC = null)
{
    /// <summary>By the sheet's name.</summary>
    public static readonly IReadOnlyDictionary<string, Hardiness> Of = new Dictionary<string, Hardiness>
    {
        ["acid-shrub"] = new(10, 4, HotDayC: 32),
        ["arum-lily"] = new(8, 2, HotDayC: 38),
        ["begonia-tuber"] = new(10, 5, HotDayC: 30),
        ["begonia"] = new(13, 9, HotDayC: 32),
        ["bulb-summer-rest"] = new(6, 1, HotDayC: 38),
        ["bulb-winter-rest"] = new(10, 5, HotDayC: 38),
        ["cape-primrose"] = new(12, 7, HotDayC: 28),
        ["clivia"] = new(10, 3, HotDayC: 30),
        ["corm-aroid-jewel"] = new(14, 10, HotDayC: 38),
        ["corm-aroid-large"] = new(14, 10, HotDayC: 38),
        ["corm-aroid-pellets"] = new(14, 10, HotDayC: 38),
        ["cyclamen"] = new(7, 2, HotNightC: 18, HotDayC: 24),
        ["desert-cactus"] = new(8, 2, HotDayC: 38),
        ["epiphytic-cactus"] = new(10, 5, HotDayC: 38),
        ["evergreen-bulb"] = new(13, 8, HotDayC: 38),
        ["evergreen-pseudobulb-cool"] = new(9, 5, HotNightC: 18, HotDayC: 27),
        ["evergreen-pseudobulb-semi-hydro"] = new(13, 8, HotDayC: 35),
        ["evergreen-pseudobulb-warm"] = new(13, 8, HotDayC: 35),
        ["evergreen-pseudobulb-water"] = new(13, 8, HotDayC: 35),
        ["fire-lily"] = new(8, 3, HotDayC: 38),
        ["flowering-climber"] = new(11, 6, HotDayC: 34),
        ["fuchsia"] = new(6, 1, HotNightC: 20, HotDayC: 30),
        ["general"] = new(12, 7, HotDayC: 38),
        ["holiday-cactus"] = new(8, 5, HotDayC: 38),
        ["leaf-succulent"] = new(8, 4, HotDayC: 38),
        ["leafless-pseudobulb-thirsty"] = new(12, 8, RestC: 10, HotDayC: 38),
        ["leafless-pseudobulb"] = new(12, 8, RestC: 10, HotDayC: 38),
        ["monopodial-mount"] = new(14, 10, HotDayC: 35),
        ["monopodial-pot"] = new(16, 12, HotDayC: 35),
        ["monopodial-semi-hydro"] = new(16, 12, HotDayC: 35),
        ["monopodial-water"] = new(16, 12, HotDayC: 35),
        ["pelargonium"] = new(7, 2, HotDayC: 36),
        ["pseudobulb-mount"] = new(12, 7, HotDayC: 35),
        ["rosette-gesneriad-wick"] = new(16, 13, HotDayC: 29),
        ["rosette-gesneriad"] = new(16, 13, HotDayC: 29),
        ["seasonal-butterwort"] = new(8, 4, HotDayC: 32),
        ["slipper-orchid"] = new(12, 8, HotDayC: 32),
        ["spray-orchid"] = new(12, 7, HotDayC: 33),
        ["string-vine"] = new(12, 7, HotDayC: 38),
        ["succulent-shrub"] = new(12, 7, RestC: 10, HotDayC: 38),
        ["sundew"] = new(8, 3, HotDayC: 27),
        ["temperate-bog"] = new(3, -8, HotDayC: 38),
        ["tender-narcissus"] = new(4, 1, HotDayC: 18),
        ["tender-shrub"] = new(10, 4, HotDayC: 38),
        ["thick-rooted-lily"] = new(5, -3, HotDayC: 38),
        ["trailing-gesneriad"] = new(14, 10, HotDayC: 31),
        ["tropical-aroid"] = new(15, 12, HotDayC: 34),
        ["tropical-pitcher"] = new(14, 10, HotDayC: 34),
        ["tuber-climber"] = new(12, 8, HotDayC: 38),
        ["tuber-foliage"] = new(12, 10, HotDayC: 38),
        ["tuber-gesneriad"] = new(12, 10, HotDayC: 38),
        ["wax-vine-thick"] = new(14, 10, HotDayC: 29),
        ["wax-vine-thin"] = new(14, 10, HotDayC: 29),
        ["winter-bulb"] = new(5, 1, HotNightC: 18, HotDayC: 26),
    };
}

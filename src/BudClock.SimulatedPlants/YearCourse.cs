namespace BudClock.SimulatedPlants;

/// <summary>The year of a plant: shoots, growth, the way to rest, rest, and waking.</summary>
static class YearCourse
{
    /// <summary>
    /// Days before which nothing wakes, and degree-days that it takes then (assumed, about three months and a warm fortnight).
    /// </summary>
    const int LeastRestDays = 75;
    const double WakeHeat = 90;

    /// <summary>Roots so long have filled the pot, cm (assumed).</summary>
    const double GrownRootCm = 18;

    /// <summary>The day below which a resting kind turns to rest, hours (common practice: about eleven to twelve).</summary>
    const double TurnHours = 11.5;

    public static void Live(SimulatedPlant plant, Air air, List<Sight> news)
    {
        var state = plant.State;
        state.StageDays++;
        state.Heat += plant.Warmth(air);
        switch (state.Stage)
        {
            case Stage.Resting:
                Rest(plant, air, news);
                break;
            case Stage.Waking:
                Wake(plant, air, news);
                break;
            case Stage.Growing:
                Grow(plant, air, news);
                break;
            case Stage.Retreating:
                Retreat(plant, news);
                break;
        }
    }

    static void Enter(PlantState state, Stage stage) => (state.Stage, state.StageDays, state.Heat) = (stage, 0, 0);

    static void Rest(SimulatedPlant plant, Air air, List<Sight> news)
    {
        var (state, habit) = (plant.State, plant.Habit);
        if (habit.Rest is RestKind.DryBulb)
        {
            if (state.Planted)
                Shoot(state, news, "growth-started");
            return;
        }
        // A leafless stem and a winter rosette answer to light; bulbs and tubers to warmth alone.
        var lit = habit.Rest is RestKind.LeaflessStem or RestKind.WinterRosette;
        if (state.StageDays < LeastRestDays || (lit && air.DayHours < TurnHours))
            return;
        if (Math.Max(0, air.MeanC - habit.BaseC) <= 0 || state.Heat * (air.Light > 0 ? 1 : 2.5) < WakeHeat)
            return;
        Shoot(state, news, habit.Rest is RestKind.WinterRosette ? "summer-leaves" : "growth-started");
    }

    static void Shoot(PlantState state, List<Sight> news, string kind)
    {
        Enter(state, Stage.Waking);
        (state.Shoots, state.ShootCm, state.RootCm, state.Ripe, state.LeavesLeft) = (state.Shoots + 1, 0.5, 0, false, 5);
        state.Short = new();
        news.Add(new(kind, Part: state.Shoots));
    }

    static void Wake(SimulatedPlant plant, Air air, List<Sight> news)
    {
        var (state, habit) = (plant.State, plant.Habit);
        var warmth = plant.Warmth(air);
        state.ShootCm += warmth * 0.02;
        var before = state.RootCm;
        if (state.StageDays > 14 || habit.Rest is not RestKind.LeaflessBulbs)
            state.RootCm += warmth * 0.05;
        if (before == 0 && state.RootCm > 0 && habit.Rest is RestKind.LeaflessBulbs)
            news.Add(new("roots-started", Part: state.Shoots));
        var enough = habit.Rest is RestKind.LeaflessBulbs ? GrownRootCm : 3;
        if (state.RootCm < enough || state.Lifted)
            return;
        state.Roots = Math.Max(state.Roots, 0.7);
        Enter(state, Stage.Growing);
    }

    static void Grow(SimulatedPlant plant, Air air, List<Sight> news)
    {
        var (state, habit) = (plant.State, plant.Habit);
        if (!state.Ripe)
        {
            state.ShootCm += plant.Warmth(air) * 20 / habit.SeasonDegreeDays;
            state.Short.Grow(state, habit.Rest is RestKind.DryBulb ? 1 : air.Light);
        }
        if (!state.Ripe && state.Heat > habit.SeasonDegreeDays)
        {
            (state.Ripe, state.RipeDays) = (true, 0);
            if (habit.Rest is RestKind.LeaflessBulbs || habit.Cue is BloomCue.RipeGrowth)
                news.Add(new("growth-matured", Part: state.Shoots));
        }
        var rests = habit.Rest is not (RestKind.None or RestKind.DryBulb);
        if (rests && air.DayHours < TurnHours && state.StageDays > 90)
        {
            Enter(state, Stage.Retreating);
            return;
        }
        // What never rests goes on with the next leaf or growth, once days are long enough for it.
        if (state.Ripe && ++state.RipeDays > 60 && !rests && habit.Rest is not RestKind.DryBulb && air.DayHours > 10)
        {
            (state.Heat, state.StageDays, state.Ripe, state.ShootCm, state.Shoots) = (0, 0, false, 0.5, state.Shoots + 1);
            state.Short = new();
            news.Add(
                new(
                    habit.Cue is BloomCue.RipeGrowth || habit.Rest is RestKind.None && habit.Name == "waxy-vine"
                        ? "growth-started"
                        : "leaf-started",
                    Part: state.Shoots
                )
            );
        }
    }

    /// <summary>Leaves go one by one within about five weeks, the oldest first.</summary>
    static void Retreat(SimulatedPlant plant, List<Sight> news)
    {
        var (state, habit) = (plant.State, plant.Habit);
        if (habit.Rest is RestKind.WinterRosette)
        {
            if (state.StageDays < 20)
                return;
            news.Add(new("winter-rosette"));
            Enter(state, Stage.Resting);
            return;
        }
        if (state.StageDays % 7 != 0)
            return;
        state.LeavesLeft--;
        if (state.LeavesLeft > 0)
        {
            news.Add(new("leaf-dropped"));
            return;
        }
        news.Add(new("leaves-gone"));
        state.Roots = Math.Min(state.Roots, 0.6);
        // A tuber has drawn in what its leaves gave up, limp as they were.
        if (habit.Rest is RestKind.Tuber)
            state.Reserve = Math.Max(state.Reserve, 0.9);
        Enter(state, Stage.Resting);
    }
}

namespace BudClock.Core.Notes;

/// <summary>words.yaml as it is written.</summary>
sealed class WordsFile
{
    public ThingRow[] Things { get; set; } = [];
    public ActRow[] Acts { get; set; } = [];
    public Dictionary<string, string[]> Events { get; set; } = [];
    public AskRow[] Asks { get; set; } = [];
    public string[] Pests { get; set; } = [];
    public string[] HowMany { get; set; } = [];
    public string[] How { get; set; } = [];
    public string[] Directions { get; set; } = [];
    public string[] GoesOn { get; set; } = [];
    public Dictionary<string, string[]> Dimensions { get; set; } = [];
    public Dictionary<string, string[]> Weather { get; set; } = [];
    public string[] New { get; set; } = [];
    public string[] None { get; set; } = [];
    public string[] Yet { get; set; } = [];
    public string[] Left { get; set; } = [];
    public string[] Thoughts { get; set; } = [];
    public string[] Fill { get; set; } = [];
    public string[] OwnWords { get; set; } = [];
    public string[] Whereabouts { get; set; } = [];

    public sealed class ThingRow
    {
        public string Name { get; set; } = "";
        public string[] Say { get; set; } = [];
        public string[] Short { get; set; } = [];
        public string[] Measures { get; set; } = [];
        public string[] Lengths { get; set; } = [];
        public string[] Counts { get; set; } = [];
        public string? New { get; set; }
        public string? Bare { get; set; }
        public string? None { get; set; }
        public string? Left { get; set; }
        public bool Alone { get; set; }
        public Dictionary<string, string[]> Signs { get; set; } = [];
    }

    public sealed class ActRow
    {
        public string Kind { get; set; } = "";
        public string? Text { get; set; }
        public string? State { get; set; }
        public string[] Say { get; set; } = [];
    }

    public sealed class AskRow
    {
        public string[] Say { get; set; } = [];
        public string Question { get; set; } = "";
        public Dictionary<string, string> Answers { get; set; } = [];
    }
}

namespace BoldLadder.Core.Sounds;

/// <summary>Sounds that children often take for each other. Source: docs/handbook.md, section 8 (All).</summary>
public static class MixedSounds
{
    private static readonly HashSet<(string, string)> Pairs =
    [
        .. "e/ɪ æ/ʌ æ/e ɒ/ʌ p/b t/d k/g f/v s/z f/θ v/ð ʃ/tʃ tʃ/dʒ n/ŋ"
            .Split(' ')
            .Select(p => p.Split('/'))
            .SelectMany(p => new[] { (p[0], p[1]), (p[1], p[0]) }),
    ];

    public static bool Are(string one, string other) => Pairs.Contains((one, other));
}

using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// What -s and -ed say after a word: s after p, t, k, f and th, ɪz after a hiss, else z; t after a voiceless sound, ɪd
/// after t and d, else d.
/// Source: docs/handbook.md, section 4 (Pattern: suffix).
/// </summary>
public static class EndingSounds
{
    /// <summary>How a word's last sound is made, as far as an ending follows it.</summary>
    internal enum Last
    {
        Voiced,
        Voiceless,
        Hissing,
    }

    /// <summary>s, z or ɪ+z.</summary>
    public static string OfS(Segmentation word) =>
        LastOf(word) switch
        {
            Last.Hissing => "ɪ+z",
            Last.Voiceless => "s",
            _ => "z",
        };

    /// <summary>t, d or ɪ+d.</summary>
    public static string OfEd(Segmentation word) =>
        Symbol(word) switch
        {
            "t" or "d" => "ɪ+d",
            "s" or "ʃ" or "tʃ" => "t",
            _ => LastOf(word) == Last.Voiceless ? "t" : "d",
        };

    internal static Last LastOf(Segmentation word) =>
        Symbol(word) switch
        {
            "s" or "z" or "ʃ" or "ʒ" or "tʃ" or "dʒ" => Last.Hissing,
            "p" or "t" or "k" or "f" or "θ" => Last.Voiceless,
            _ => Last.Voiced,
        };

    private static string Symbol(Segmentation word) => word.Parts[^1].Sounds[^1].Symbol;
}

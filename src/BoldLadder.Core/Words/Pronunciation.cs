using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// How a word is said in an accent: by its correspondences, by what an American says otherwise, and by a few rules of
/// place. Source: docs/handbook.md, section 4 (Accent).
/// </summary>
public static class Pronunciation
{
    extension(Accent accent)
    {
        /// <summary>
        /// The sounds of a word in this accent as they are heard, one string for each of its graphemes; an r that links
        /// too (hearing).
        /// </summary>
        public string[] Sounds(Word word)
        {
            var sounds = accent.SoundsOfParts(word);
            if (accent.SoundsR)
                return sounds;
            for (var i = 0; i < sounds.Length; i++)
            {
                if (Segmentation.Links(word.Required, i))
                    sounds[i] += Segmentation.LinkingR;
            }
            return sounds;
        }

        /// <summary>
        /// What each grapheme says for itself, without the r that links it to the next: what spellings are compared by.
        /// </summary>
        internal string[] SoundsOfParts(Word word)
        {
            var parts = word.Required;
            var own = accent.SoundsR ? word.American : default;
            var projected = accent.Projected;
            var sounds = new string[parts.Length];
            for (var i = 0; i < sounds.Length; i++)
            {
                var said = own.IsDefault ? projected[parts[i].Index] : accent.Merged(own[i]);
                sounds[i] = InPlace(accent, word, i, said);
            }
            return sounds;
        }
    }

    private static string InPlace(Accent accent, Word word, int at, string said)
    {
        var part = word.Required[at];
        if (
            accent.Has(AccentSwitches.BathAsTrap)
            && said == "ɑː"
            && word.Flags.HasFlag(WordFlags.Bath)
            && part.Grapheme.Text == "au"
        )
            return "æ";
        if (
            !accent.Has(AccentSwitches.PoorAsPaw)
            && word.Flags.HasFlag(WordFlags.Cure)
            && said is "ɔː" or "ɔː+r"
            && part.Grapheme.Text is "oor" or "ure" or "our"
        )
        {
            return accent.SoundsR ? "ʊ+r" : "ʊə";
        }
        if (
            accent.Has(AccentSwitches.PenAsPin)
            && said == "e"
            && at + 1 < word.Required.Length
            && word.Required[at + 1].Sounds[0].Symbol is "n" or "m" or "ŋ"
        )
            return "ɪ";
        if (
            accent.Has(AccentSwitches.LongOoInBook)
            && part.Notation == "oo=ʊ"
            && at + 1 < word.Required.Length
            && word.Required[at + 1].SoundText == "k"
        )
            return "uː";
        if (accent.Has(AccentSwitches.NgWithG) && part.Notation == "ng=ŋ")
            return "ŋ+g";
        if (accent.Has(AccentSwitches.OneWithO) && part.SoundText == "w+ʌ")
            return "w+ɒ";
        return said;
    }
}

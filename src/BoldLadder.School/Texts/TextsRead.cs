using BoldLadder.Core;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;

namespace BoldLadder.School.Texts;

/// <summary>Reading what people paste or send: what can't be read is refused with a sentence.</summary>
internal static class TextsRead
{
    public static Answer<TextWords> Words(string text, WordFinder finder) => From(() => TextWords.Read(text, finder));

    /// <summary>What comes of reading, or why the core or a format refused it.</summary>
    public static Answer<T> From<T>(Func<T> read)
    {
        try
        {
            return read();
        }
        catch (RefusedException refused)
        {
            return Refused.Of(refused);
        }
    }
}

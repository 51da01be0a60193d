using System.Globalization;

namespace BoldLadder.Core.Texts;

/// <summary>What a token of a text is.</summary>
public enum TokenKind
{
    /// <summary>Letters, with apostrophes and hyphens between them: don't, tip-top.</summary>
    Word,

    /// <summary>Digits, with points and commas between them: 12, 1,000.</summary>
    Number,

    /// <summary>A run of letters longer than any word, given piece by piece.</summary>
    TooLong,

    /// <summary>All else: spaces, line ends, punctuation.</summary>
    Between,
}

/// <summary>
/// Cuts a text into tokens while it is read, in constant memory. The tokens in a row are the text, to the letter.
/// Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TokenReader(TextReader text)
{
    /// <summary>Longer runs of letters are no words: <see cref="TokenKind.TooLong"/>.</summary>
    public const int LongestToken = 100;

    private const int BufferSize = 1 << 16;

    private readonly char[] buffer = new char[BufferSize];
    private int start;
    private int end;
    private int length;
    private bool ended;
    private bool insideTooLong;

    /// <summary>The token that was read last; valid until the next is read.</summary>
    public ReadOnlySpan<char> Token => buffer.AsSpan(start, length);

    public TokenKind Kind { get; private set; }

    /// <summary>The line, from 1, on which the token starts.</summary>
    public long Line { get; private set; } = 1;

    /// <summary>Goes to the next token; false at the end of the text.</summary>
    public bool Read()
    {
        if (Kind == TokenKind.Between)
            Line += Token.Count('\n');
        start += length;
        length = 0;
        if (!Fill(LongestToken + 2))
            return false;
        var first = buffer[start];
        if (insideTooLong && Continues(first))
            return TakeTooLong();
        insideTooLong = false;
        if (IsLetter(first))
            return TakeWord();
        return char.IsAsciiDigit(first) ? Take(TokenKind.Number, IsInNumber) : TakeBetween();
    }

    private bool TakeWord()
    {
        var at = start + 1;
        while (at < end && at - start <= LongestToken && (Continues(buffer[at]) || IsJoint(at)))
            at++;
        if (at - start > LongestToken)
            return TakeTooLong();
        length = at - start;
        Kind = TokenKind.Word;
        return true;
    }

    private bool TakeTooLong()
    {
        var at = start;
        while (at < end && (Continues(buffer[at]) || IsJoint(at)))
            at++;
        length = Math.Max(1, at - start);
        insideTooLong = true;
        Kind = TokenKind.TooLong;
        return true;
    }

    private bool TakeBetween()
    {
        var at = start + 1;
        while (at < end && !IsLetter(buffer[at]) && !char.IsAsciiDigit(buffer[at]))
            at++;
        length = at - start;
        Kind = TokenKind.Between;
        return true;
    }

    private bool Take(TokenKind kind, Func<int, bool> goesOn)
    {
        var at = start + 1;
        while (at < end && at - start <= LongestToken && goesOn(at))
            at++;
        length = at - start;
        Kind = kind;
        return true;
    }

    private bool IsInNumber(int at) =>
        char.IsAsciiDigit(buffer[at])
        || (buffer[at] is '.' or ',' && at + 1 < end && char.IsAsciiDigit(buffer[at + 1]));

    /// <summary>An apostrophe or a hyphen between two letters belongs to the word.</summary>
    private bool IsJoint(int at) =>
        buffer[at] is '\'' or '’' or 'ʼ' or '-' or '‐' or '‑'
        && at > start
        && at + 1 < end
        && IsLetter(buffer[at + 1])
        && Continues(buffer[at - 1]);

    private static bool IsLetter(char sign) =>
        char.IsAsciiLetter(sign) || (sign > 127 && (char.IsLetter(sign) || sign == '\uFFFD') && sign != 'ʼ');

    private static bool Continues(char sign) =>
        IsLetter(sign) || (sign > 127 && CharUnicodeInfo.GetUnicodeCategory(sign) == UnicodeCategory.NonSpacingMark);

    /// <summary>
    /// Sees to it that so many signs are in the buffer, if the text has them; false when nothing is left.
    /// </summary>
    private bool Fill(int needed)
    {
        if (end - start >= needed || ended)
            return end > start;
        buffer.AsSpan(start, end - start).CopyTo(buffer);
        (start, end) = (0, end - start);
        while (end < buffer.Length && !ended)
        {
            var read = text.Read(buffer, end, buffer.Length - end);
            ended = read == 0;
            end += read;
        }
        return end > start;
    }
}

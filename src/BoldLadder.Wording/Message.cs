using System.Collections.Immutable;
using System.Globalization;
using System.Text;

namespace BoldLadder.Wording;

/// <summary>
/// A message in the part of ICU MessageFormat that the catalogue uses: values, plural with exact numbers, one and
/// other, select. English plurals only.
/// The front end reads the same messages with intl-messageformat; a test holds both to the same sentences.
/// </summary>
public sealed class Message
{
    private readonly ImmutableArray<Part> parts;

    private Message(ImmutableArray<Part> parts) => this.parts = parts;

    /// <exception cref="FormatException">The message can't be read; says where.</exception>
    public static Message Parse(string text)
    {
        var at = 0;
        var parts = ReadParts(text, ref at, inside: false);
        return new Message(parts);
    }

    /// <summary>
    /// The sentence with its values filled in. A value that is not given stays as its name in braces.
    /// </summary>
    public string With(IReadOnlyDictionary<string, object> values)
    {
        var said = new StringBuilder();
        foreach (var part in parts)
            part.Say(said, values, null);
        return said.ToString();
    }

    private static ImmutableArray<Part> ReadParts(string text, ref int at, bool inside)
    {
        var parts = ImmutableArray.CreateBuilder<Part>();
        var plain = at;
        for (; at < text.Length && !(inside && text[at] == '}'); at++)
        {
            if (text[at] is not ('{' or '}' or '#') || (text[at] == '#' && !inside))
                continue;
            if (text[at] == '}')
                throw Bad(text, at, "a closing brace too many");
            if (at > plain)
                parts.Add(new Plain(text[plain..at]));
            parts.Add(text[at] == '#' ? new Number() : ReadArgument(text, ref at));
            plain = at + 1;
        }
        if (at > plain)
            parts.Add(new Plain(text[plain..at]));
        return parts.ToImmutable();
    }

    /// <summary>Reads from an opening brace to its closing one, at which it stops.</summary>
    private static Part ReadArgument(string text, ref int at)
    {
        var start = at++;
        var name = ReadWord(text, ref at);
        if (name.Length == 0)
            throw Bad(text, start, "a value without a name");
        if (At(text, at) == '}')
            return new Value(name);
        Expect(text, ref at, ',');
        var kind = ReadWord(text, ref at);
        if (kind is not ("plural" or "select"))
            throw Bad(text, start, $"\"{kind}\", which is neither plural nor select");
        Expect(text, ref at, ',');
        var cases = ImmutableDictionary.CreateBuilder<string, ImmutableArray<Part>>(StringComparer.Ordinal);
        while (ReadWord(text, ref at) is { Length: > 0 } key)
        {
            Expect(text, ref at, '{');
            cases.Add(key, ReadParts(text, ref at, inside: true));
            Expect(text, ref at, '}');
        }
        if (At(text, at) != '}')
            throw Bad(text, at, "no closing brace");
        return cases.ContainsKey(Choice.Other)
            ? new Choice(name, kind == "plural", cases.ToImmutable())
            : throw Bad(text, start, "no case for other");
    }

    private static string ReadWord(string text, ref int at)
    {
        while (At(text, at) is ' ' or '\n')
            at++;
        var start = at;
        while (At(text, at) is { } c && (char.IsLetterOrDigit(c) || c is '=' or '-' or '_'))
            at++;
        var word = text[start..at];
        while (At(text, at) is ' ' or '\n')
            at++;
        return word;
    }

    private static void Expect(string text, ref int at, char wanted)
    {
        if (At(text, at) != wanted)
            throw Bad(text, at, $"no {wanted}");
        at++;
    }

    private static char? At(string text, int at) => at < text.Length ? text[at] : null;

    private static FormatException Bad(string text, int at, string what) =>
        new($"\"{text}\" has {what} at letter {at + 1}.");

    private abstract record Part
    {
        /// <param name="number">What # stands for inside a plural.</param>
        public abstract void Say(StringBuilder said, IReadOnlyDictionary<string, object> values, object? number);
    }

    private sealed record Plain(string Text) : Part
    {
        public override void Say(StringBuilder said, IReadOnlyDictionary<string, object> values, object? number) =>
            said.Append(Text);
    }

    private sealed record Number : Part
    {
        public override void Say(StringBuilder said, IReadOnlyDictionary<string, object> values, object? number) =>
            said.Append(
                number is IFormattable value ? value.ToString("#,0.###", CultureInfo.InvariantCulture) : number
            );
    }

    private sealed record Value(string Name) : Part
    {
        public override void Say(StringBuilder said, IReadOnlyDictionary<string, object> values, object? number) =>
            said.Append(
                values.TryGetValue(Name, out var value)
                    ? Convert.ToString(value, CultureInfo.InvariantCulture)
                    : $"{{{Name}}}"
            );
    }

    private sealed record Choice(string Name, bool IsPlural, ImmutableDictionary<string, ImmutableArray<Part>> Cases)
        : Part
    {
        public const string Other = "other";

        public override void Say(StringBuilder said, IReadOnlyDictionary<string, object> values, object? number)
        {
            var value = values.GetValueOrDefault(Name);
            foreach (var part in Cases[Chosen(value)])
                part.Say(said, values, IsPlural ? value : number);
        }

        private string Chosen(object? value)
        {
            var written = Convert.ToString(value, CultureInfo.InvariantCulture) ?? "";
            if (!IsPlural)
                return Cases.ContainsKey(written) ? written : Other;
            if (Cases.ContainsKey($"={written}"))
                return $"={written}";
            return written == "1" && Cases.ContainsKey("one") ? "one" : Other;
        }
    }
}

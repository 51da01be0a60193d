using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Globalization;
using System.Text.Json;

namespace BoldLadder.Wording;

/// <summary>
/// Every sentence and label, by key, as it is written in text/: en-GB has all, en-US what differs. Rules, use cases and
/// the API give codes and arguments;
/// whoever speaks to people looks the words up here, the front end in the same files.
/// </summary>
public sealed class Catalogue
{
    private const string British = "en-GB";
    private const string American = "en-US";
    private readonly ConcurrentDictionary<string, Message> parsed = new(StringComparer.Ordinal);
    private readonly FrozenDictionary<string, string> messages;

    private Catalogue(string language, FrozenDictionary<string, string> messages) =>
        (Language, this.messages) = (language, messages);

    /// <summary>The catalogues there are, British first.</summary>
    public static IReadOnlyList<Catalogue> All { get; } = Read();

    public string Language { get; }

    public IReadOnlyCollection<string> Keys => messages.Keys;

    /// <summary>The catalogue of a language; the British one for a language that has none.</summary>
    public static Catalogue Of(string language) => All.FirstOrDefault(c => c.Language == language) ?? All[0];

    public bool Has(string key) => messages.ContainsKey(key);

    /// <summary>The message as it is written.</summary>
    /// <exception cref="KeyNotFoundException">The catalogue has no such key.</exception>
    public Message Message(string key) =>
        parsed.GetOrAdd(key, k =>
            messages.TryGetValue(k, out var text)
                ? Wording.Message.Parse(text)
                : throw new KeyNotFoundException($"The catalogue has no \"{k}\". Add it to text/en-GB.")
        );

    /// <summary>
    /// The sentence of a key. A value that is an enum is said by its own name, activity.read-words for a kind of
    /// activity; a day as 2026-11-24.
    /// </summary>
    /// <exception cref="KeyNotFoundException">The catalogue has no such key.</exception>
    public string Say(string key, IReadOnlyDictionary<string, object>? values = null) =>
        Message(key)
            .With(
                values is null
                    ? FrozenDictionary<string, object>.Empty
                    : values.ToFrozenDictionary(v => v.Key, v => Said(v.Value))
            );

    /// <summary>
    /// What a rung or a day is called: the names of patterns and of quiet days in words, graphemes as they are.
    /// </summary>
    public string Label(string label)
    {
        if (Has($"label.{label}"))
            return Say($"label.{label}");
        var parts = label.Split(' ');
        return string.Join(
            parts.Any(p => Has($"pattern.{p}")) ? ", " : " ",
            parts.Select(p => Has($"pattern.{p}") ? Say($"pattern.{p}") : p)
        );
    }

    private object Said(object value) =>
        value switch
        {
            Enum code => Named(code),
            DateOnly day => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            _ => value,
        };

    private string Named(Enum code)
    {
        var name = JsonNamingPolicy.KebabCaseLower.ConvertName(code.ToString());
        var of = JsonNamingPolicy.KebabCaseLower.ConvertName(code.GetType().Name);
        var key = $"{of.Replace("-kind", "", StringComparison.Ordinal)}.{name}";
        return Has(key) ? Message(key).With(FrozenDictionary<string, object>.Empty) : name;
    }

    private static Catalogue[] Read()
    {
        var british = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (
            var file in typeof(Catalogue)
                .Assembly.GetManifestResourceNames()
                .Where(f => f.StartsWith(British, StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
        )
        {
            foreach (var (key, text) in ReadFile(file))
                british.Add(key, text);
        }
        var american = new Dictionary<string, string>(british, StringComparer.Ordinal);
        foreach (var (key, text) in ReadFile($"{American}.json"))
            american[
                british.ContainsKey(key)
                    ? key
                    : throw new FormatException($"{American} has \"{key}\", which {British} has not.")
            ] = text;
        return
        [
            new Catalogue(British, british.ToFrozenDictionary()),
            new Catalogue(American, american.ToFrozenDictionary()),
        ];
    }

    private static Dictionary<string, string> ReadFile(string file)
    {
        using var stream = typeof(Catalogue).Assembly.GetManifestResourceStream(file)
            ?? throw new FileNotFoundException(file);
        return JsonSerializer.Deserialize<Dictionary<string, string>>(stream)!;
    }
}

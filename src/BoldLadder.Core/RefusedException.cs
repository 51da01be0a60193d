using System.Collections.Immutable;

namespace BoldLadder.Core;

/// <summary>
/// Why what a person asked for can't be done, as a code and the arguments of its sentence; nothing is changed. What
/// comes before a dot in the code is known to screens, the whole is the key of the sentence in the catalogue.
/// </summary>
public sealed class RefusedException(string code, params ImmutableArray<(string Name, object Value)> arguments)
    : Exception($"{code}: {string.Join(", ", arguments.Select(a => $"{a.Name} {a.Value}"))}")
{
    public string Code { get; } = code;

    public ImmutableArray<(string Name, object Value)> Arguments { get; } = arguments;
}

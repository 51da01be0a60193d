using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders.Editing;

/// <summary>
/// Why a step can't be done, as a code and its arguments; nothing is changed. Codes: unknown-rung, rung-exists, after-itself,
/// unknown-teaching, bad-name, too-many-rungs, teaches-on-a-quiet-day.
/// </summary>
public sealed class LadderRefusedException(string code, params ImmutableArray<string> arguments) : Exception($"{code}: {string.Join(", ", arguments)}")
{
    public string Code { get; } = code;

    public ImmutableArray<string> Arguments { get; } = arguments;
}

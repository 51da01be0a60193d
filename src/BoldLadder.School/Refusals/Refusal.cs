using System.Collections.Immutable;

namespace BoldLadder.School.Refusals;

/// <summary>What kind of refusal it is: who asks can tell by it what to try next.</summary>
public enum RefusalKind
{
    /// <summary>What was meant is not there, or not for this person.</summary>
    NotFound,

    /// <summary>What was asked makes no sense as it is; it is to be put right.</summary>
    Unusable,

    /// <summary>Something else was done meanwhile, or is in the way.</summary>
    Conflict,

    /// <summary>The person's role does not allow it.</summary>
    NotAllowed,

    /// <summary>The state that was seen is not named, so nothing can be laid over it.</summary>
    Unversioned,
}

/// <summary>
/// Why something was not done: a code, what its sentence needs, and what a screen can show beside it. The catalogue has
/// the sentence.
/// </summary>
/// <param name="Code">What screens know it by: unknown-rung.</param>
/// <param name="Arguments">By the names that the sentence calls them.</param>
public sealed record Refusal(RefusalKind Kind, string Code, ImmutableDictionary<string, object> Arguments)
{
    /// <summary>The key of its sentence, where a code has several: changed-meanwhile.lesson.</summary>
    public string Sentence { get; init; } = Code;

    /// <summary>What goes with it as data: what happened since, what could be done instead.</summary>
    public ImmutableDictionary<string, object?> More { get; init; } = ImmutableDictionary<string, object?>.Empty;

    public static Refusal NotFound(string code) => Of(RefusalKind.NotFound, code);

    public static Refusal Unusable(string code, params ReadOnlySpan<(string Name, object Value)> arguments) =>
        Of(RefusalKind.Unusable, code, arguments);

    public static Refusal Conflict(string code, params ReadOnlySpan<(string Name, object Value)> arguments) =>
        Of(RefusalKind.Conflict, code, arguments);

    public static Refusal NotAllowed(string code) => Of(RefusalKind.NotAllowed, code);

    /// <summary>The same with something more for the screen.</summary>
    public Refusal With(string name, object? value) => this with { More = More.SetItem(name, value) };

    /// <summary>The same in a sentence of its own for what it is about.</summary>
    public Refusal About(string what) => this with { Sentence = $"{Code}.{what}" };

    private static Refusal Of(RefusalKind kind, string code, params ReadOnlySpan<(string Name, object Value)> arguments)
    {
        var named = ImmutableDictionary.CreateBuilder<string, object>(StringComparer.Ordinal);
        foreach (var (name, value) in arguments)
            named.Add(name, value);
        return new Refusal(kind, code, named.ToImmutable());
    }
}

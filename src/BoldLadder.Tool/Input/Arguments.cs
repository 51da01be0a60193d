using System.CommandLine;
using System.CommandLine.Parsing;
using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Tool.Input;

/// <summary>Wrong usage: the message says what to write; the command ends with 2.</summary>
public sealed class UsageException(string message) : Exception(message);

/// <summary>What was given to a command.</summary>
public sealed class Arguments(string command, ParseResult given)
{
    public bool Has(string name) => given.GetResult(name) is OptionResult { Implicit: false };

    public string? Value(string name) => given.GetValue<string>(name);

    /// <exception cref="UsageException">The option is missing.</exception>
    public string Required(string name) => Value(name) ?? throw new UsageException($"bold {command} needs {name}.");

    /// <exception cref="UsageException">It is no whole number from 1.</exception>
    public int? Count(string name) =>
        Value(name) is not { } text ? null
        : int.TryParse(text, out var number) && number > 0 ? number
        : throw new UsageException($"bold {command}: {name} takes a whole number from 1, not \"{text}\".");

    /// <summary>The number after an option; null when it is not there.</summary>
    /// <exception cref="UsageException">It is no number.</exception>
    public double? Number(string name) =>
        Value(name) is not { } text ? null
        : double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
        && double.IsFinite(number)
            ? number
        : throw new UsageException($"bold {command}: {name} takes a number, not \"{text}\".");

    /// <summary>The seed after --seed; 1 when there is none.</summary>
    /// <exception cref="UsageException">It is no whole number.</exception>
    public long Seed() =>
        Value("--seed") is not { } text ? 1
        : long.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var seed) ? seed
        : throw new UsageException($"bold {command}: --seed takes a whole number, not \"{text}\".");

    /// <summary>
    /// What the notation after an option stands for in an accent; empty when the option is not there.
    /// </summary>
    /// <exception cref="UsageException">It is no correspondence; the message names the nearest.</exception>
    public IReadOnlyList<Correspondence> Correspondences(string name, Accent accent)
    {
        if (Value(name) is not { } notation)
            return [];
        try
        {
            var with = TaughtFile.Parse(notation, accent);
            return with.Any(c => c.Notation == "a=ɑː") ? [.. with, Correspondence.BathA] : with;
        }
        catch (FormatException problem)
        {
            throw new UsageException($"bold {command}: {name}: {problem.Message}");
        }
    }
}

using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Words;

/// <summary>What a school says of words, written down.</summary>
public static class SchoolVerdicts
{
    /// <summary>Records what the school says of a word; says it anew where it had said something.</summary>
    public static async Task Say(
        SchoolScope scope,
        string spelling,
        SchoolVerdict verdict,
        Segmentation? cut,
        string reason
    )
    {
        await scope.LockSettings();
        if (await scope.Store.SchoolWords.SingleOrDefaultAsync(w => w.Spelling == spelling, scope.Stop) is { } known)
        {
            (known.Verdict, known.Graphemes, known.Phonemes, known.Reason, known.UserId, known.At) = (
                verdict,
                cut?.Graphemes,
                cut?.Phonemes,
                reason,
                scope.UserId,
                scope.UtcNow
            );
        }
        else
        {
            scope.Store.SchoolWords.Add(
                new StoredWord
                {
                    SchoolId = scope.School.SchoolId,
                    Spelling = spelling,
                    Verdict = verdict,
                    Graphemes = cut?.Graphemes,
                    Phonemes = cut?.Phonemes,
                    Reason = reason,
                    UserId = scope.UserId,
                    At = scope.UtcNow,
                }
            );
        }
        await Changed(scope);
        scope.Audit($"word-{verdict.ToString().ToLowerInvariant()}", scope.School.SchoolId);
    }

    /// <summary>
    /// Says that the school's words are others from now on, so that nobody goes on with the layer before.
    /// </summary>
    public static async Task Changed(SchoolScope scope) =>
        (await scope.Store.Schools.SingleAsync(scope.Stop)).WordsStamp = Guid.CreateVersion7();
}

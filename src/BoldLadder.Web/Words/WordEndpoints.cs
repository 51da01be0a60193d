using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Store;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Ladders;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Words;

/// <summary>Words that were found, the best known first.</summary>
/// <param name="Total">How many there are in all; the list has the first of them.</param>
public sealed record WordsView(int Total, IReadOnlyList<FoundWordView> Words);

/// <param name="Rung">What the rung teaches after which it can be read; empty for from the start, null for never on this ladder.</param>
/// <param name="KeptOut">True when the school keeps it out of lessons.</param>
public sealed record FoundWordView(string Word, string Graphemes, IReadOnlyList<int> Marks, int Taps, string Shape, bool KnownAtFive, string? Rung, bool KeptOut);

/// <summary>All that is known of a word.</summary>
/// <param name="Source">lexicon, derived, guessed or unknown.</param>
/// <param name="Common">How common it is in speech: 3 is rare, 6 very common.</param>
/// <param name="Parts">Each grapheme with how far it can be relied on.</param>
/// <param name="Stamp">Of what the school says of it: what If-Match gives back when that is changed.</param>
/// <param name="Groups">For each group what it can do with the word on its next teaching day.</param>
public sealed record WordView(
    string Word, WordSource Source, string Graphemes, string Phonemes, IReadOnlyList<int> Marks, int Taps, int Sounds, string Shape, IReadOnlyList<string> Syllables, IReadOnlyList<string> Patterns,
    double Common, bool KnownAtFive, Suitability Suitability, string? Meaning, IReadOnlyList<WordPartView> Parts, IReadOnlyList<string> SoundsTheSame, IReadOnlyList<string> Rhymes, IReadOnlyList<PairView> OneSoundApart,
    IReadOnlyList<GroupVerdictView> Groups, SchoolWordView? School, string Stamp);

/// <param name="Facts">Null for a spelling that stands in a handful of words only.</param>
public sealed record WordPartView(string Notation, string Grapheme, string Sounds, CorrespondenceFacts? Facts);

public sealed record PairView(string Word, string Sound, string Other);

/// <param name="KeptOut">True when the word is not to come in this group's lessons; no reason is kept.</param>
public sealed record GroupVerdictView(Guid GroupId, string Group, VerdictView Verdict, bool KeptOut);

/// <summary>What the school says of a word.</summary>
public sealed record SchoolWordView(string Word, SchoolVerdict Verdict, string? Graphemes, string? Phonemes, string Reason, DateTime At);

public sealed record SchoolWordRequest(SchoolVerdict Verdict, string Reason, string? Graphemes = null, string? Phonemes = null);

/// <summary>Looking words up, and what a school says of them.</summary>
public static class WordEndpoints
{
    private const int Most = 200;
    private const int FewOfEach = 12;
    private const int LongestWord = 40;
    private const int LongestReason = 200;

    public static void MapWords(this IEndpointRouteBuilder school)
    {
        school.MapGet("/words", Search).WithName("findWords");
        school.MapGet("/words/{word}", Show).WithName("getWord");
        school.MapPut("/words/{word}/verdict", Say).WithName("sayOfWord");
        school.MapDelete("/words/{word}/verdict", TakeBack).WithName("takeBackWord");
        school.MapDelete("/groups/{groupId:guid}/kept-out/{word}", LetComeAgain).WithName("letComeAgain");
        school.MapGet("/school-words", async (SchoolScope scope) => TypedResults.Ok<IReadOnlyList<SchoolWordView>>([.. scope.Words.OrderBy(w => w.Spelling, StringComparer.Ordinal).Select(View)])).WithName("listSchoolWords");
    }

    private static SchoolWordView View(StoredWord word) => new(word.Spelling, word.Verdict, word.Graphemes, word.Phonemes, word.Reason, word.At);

    /// <param name="letters">Letters in a row.</param>
    /// <param name="with">A correspondence, ai=eɪ, or a grapheme for any of its sounds.</param>
    /// <param name="rhyme">A word to rhyme with.</param>
    /// <param name="rung">Words that become readable with this rung of the ladder; <paramref name="soFar"/> also those before it.</param>
    private static async Task<Results<Ok<WordsView>, ProblemHttpResult>> Search(
        Guid ladderId, int version, SchoolScope scope, SchoolLexicon words,
        string? letters = null, string? with = null, string? at = null, string? shape = null, string? pattern = null, string? rhyme = null, string? rung = null, bool soFar = false, bool known = false)
    {
        if (await scope.Ladder(ladderId, version) is not { } ladder) return LadderEndpoints.UnknownLadder();
        if (new[] { letters, with, shape, pattern, rhyme, rung }.Any(t => t?.Length > LongestWord)) return Problem.Unusable("too-long", $"Keep what you look for to {LongestWord} letters.");
        var correspondences = with is null ? [] : Correspondence.TryParse(with, out var one) ? [one] : Correspondence.All.Where(c => !c.IsBath && c.Grapheme.Text == with).ToArray();
        if (with is not null && correspondences.Length == 0) return Problem.Unusable("unknown-correspondence", $"\"{with}\" is no grapheme or correspondence. Write it like sh, or ai=eɪ.");
        Patterns asked;
        try
        {
            asked = pattern is null ? Patterns.None : PatternIds.Parse(pattern.AsSpan());
        }
        catch (FormatException problem)
        {
            return Problem.Unusable("unknown-pattern", problem.Message);
        }
        var place = rung is null ? (int?)null : ladder.IndexOf(rung);
        if (place < 0) return Problem.Unusable("unknown-rung", "There is no such rung on this ladder. Choose one from the list.");
        var places = new SentencePlaces(ladder, scope.Leniencies, scope.Accent);
        var queries = (correspondences.Length == 0 ? [null] : correspondences.Cast<Correspondence?>()).Select(c => new WordQuery(letters?.Trim().ToLowerInvariant(), c, Kebab.Parse<Standing>(at), shape?.Trim().ToUpperInvariant(), asked, known)).ToList();
        var banned = scope.Words.Where(w => w.Verdict == SchoolVerdict.Ban).Select(w => words.Lexicon.Find(w.Spelling)).OfType<Word>();
        var pool = rhyme is null ? words.Lexicon.ForLessons.Concat(banned)
            : words.Lexicon.Find(rhyme.Trim().ToLowerInvariant()) is { } rhymed ? words.Alike.Rhymes(rhymed) : [];
        var found = pool.Where(w => queries.Exists(q => q.Fits(w))).Select(w => (Word: w, Rung: places.RungOf(w)))
            .Where(w => place is not { } wanted || (soFar ? w.Rung <= wanted : w.Rung == wanted)).OrderByDescending(w => w.Word.IsKnown).ThenByDescending(w => w.Word.Zipf).ToList();
        return TypedResults.Ok(new WordsView(found.Count, [.. found.Take(Most).Select(w => new FoundWordView(w.Word.Spelling, w.Word.Segmentation.Graphemes, ItemMaker.MarksOf(w.Word), w.Word.Segmentation.Taps, w.Word.Segmentation.Shape,
            w.Word.IsKnown, w.Rung switch { null => null, < 0 => "", { } r => ladder.Rungs[r].Label }, w.Word.Suitability == Suitability.Never))]));
    }

    private static async Task<Results<Ok<WordView>, ProblemHttpResult>> Show(string word, SchoolScope scope, SchoolLexicon words, LadderWork work, LessonMaking making, Stamps stamps)
    {
        var plain = WordFinder.Plain(word.Trim());
        if (plain.Length is 0 or > LongestWord || !plain.All(c => char.IsLetter(c) || c is '\'' or '-')) return NoWord();
        var found = words.Finder.Find(plain);
        if (found.Word is not { } known) return NoWord();
        var groups = new List<GroupVerdictView>();
        foreach (var group in await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync())
        {
            var day = await making.Day(group, (await scope.Calendar(group)).OnOrAfter(scope.Today) ?? scope.Today);
            var before = day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent);
            var needs = before.Obstacles(known);
            var status = known.Suitability == Suitability.Never ? OwnStatus.LeftOut : needs.IsEmpty ? OwnStatus.Decodable : day.Progress.TrickyBefore(day.Ahead).Contains(plain) ? OwnStatus.Tricky : OwnStatus.NotYet;
            groups.Add(new GroupVerdictView(group.Id, group.Name, making.Verdicts(day, [new OwnVerdict(plain, status, known, status == OwnStatus.NotYet ? needs : [], making.Places(day).RungOf(known), null)])[0], group.Avoid.Contains(plain)));
        }
        var alike = words.Alike;
        var own = scope.Words.FirstOrDefault(w => w.Spelling == plain) is { } said ? View(said) : null;
        return TypedResults.Ok(new WordView(plain, found.Source, known.Segmentation.Graphemes, string.Join('|', scope.Accent.Sounds(known)), ItemMaker.MarksOf(known), known.Segmentation.Taps, known.Segmentation.SoundCount, known.Segmentation.Shape,
            Syllables.Of(known), [.. known.Patterns.Each().Select(p => p.Id())], Math.Round(known.Zipf, 1), known.IsKnown, known.Suitability, known.IsKnown ? null : words.Materials.Meanings.Of(known),
            [.. known.Required.Select(c => new WordPartView(c.ReferenceNotation, c.Grapheme.Text, scope.Accent.Project(c), c.IsRegular ? work.Facts.Of(c) : null))],
            [.. words.Lexicon.Homophones(known, scope.Accent).Where(h => h.Suitability == Suitability.Use).Take(FewOfEach).Select(h => h.Spelling)],
            [.. alike.Rhymes(known).Take(FewOfEach).Select(r => r.Spelling)], [.. alike.MinimalPairs(known).Where(p => p.Word.IsKnown).Take(FewOfEach).Select(p => new PairView(p.Word.Spelling, p.Sound, p.Other))],
            groups, own, stamps.Of(own)));
    }

    private static ProblemHttpResult NoWord() => Problem.NotFound("unknown-word", "This can't be read as a word. Check the letters and try again.");

    private static async Task<Results<Ok<SchoolWordView>, ProblemHttpResult>> Say(
        string word, SchoolWordRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, WordData shipped, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        if (request.Reason.Trim() is not { Length: > 0 and <= LongestReason } reason) return Problem.Unusable("reason-missing", $"Say why in up to {LongestReason} letters, so that others understand.");
        if (shipped.Lexicon.Find(word) is not { } known) return NoWord();
        if (request.Verdict == SchoolVerdict.Allow && known.Suitability == Suitability.Never) return Problem.Unusable("never-for-children", "This word must never reach a child, so it can't be allowed.");
        Segmentation? cut = null;
        if (request.Verdict == SchoolVerdict.Correct)
        {
            try
            {
                cut = SchoolWords.Cut(word, request.Graphemes ?? "", request.Phonemes ?? "");
            }
            catch (FormatException problem)
            {
                return Problem.Unusable("bad-cut", problem.Message);
            }
        }
        await scope.LockSettings();
        var said = await scope.Store.SchoolWords.AsNoTracking().SingleOrDefaultAsync(w => w.Spelling == word);
        if (stamps.Stale(said is null ? null : View(said), ifMatch) is { } stale) return stale;
        await LessonChanges.SetVerdict(scope, word, request.Verdict, cut, reason);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(View(await scope.Store.SchoolWords.AsNoTracking().SingleAsync(w => w.Spelling == word)));
    }

    /// <summary>Takes a word off the list of those that are not to come in a group's lessons.</summary>
    private static async Task<Results<NoContent, ProblemHttpResult>> LetComeAgain(Guid groupId, string word, SchoolScope scope)
    {
        var (group, problem) = await GroupEndpoints.Find(scope, groupId);
        if (group is null) return problem!;
        await scope.Lock(groupId);
        var kept = await scope.Store.Groups.SingleAsync(g => g.Id == groupId);
        kept.Avoid = [.. kept.Avoid.Where(w => w != word)];
        scope.Audit("word-let-come-again", groupId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> TakeBack(string word, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        await scope.LockSettings();
        if (await scope.Store.SchoolWords.SingleOrDefaultAsync(w => w.Spelling == word) is not { } said) return NoWord();
        if (stamps.Stale(View(said), ifMatch) is { } stale) return stale;
        scope.Store.SchoolWords.Remove(said);
        scope.Audit("word-taken-back", scope.School.SchoolId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.NoContent();
    }
}

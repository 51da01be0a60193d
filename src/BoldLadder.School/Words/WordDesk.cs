using BoldLadder.Core;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Words;

/// <summary>Looking words up, and what a school says of them.</summary>
public sealed class WordDesk(
    SchoolScope scope,
    LadderWork work,
    GroupDays groupDays,
    LessonRequests requests,
    WordData shipped
)
{
    private const int Most = 200;
    private const int FewOfEach = 12;
    private const int LongestWord = 40;
    private const int LongestReason = 200;

    public async Task<List<SchoolWordView>> List() =>
        (await scope.Store.SchoolWords.AsNoTracking().OrderBy(w => w.Spelling).ToListAsync(scope.Stop)).ConvertAll(
            View
        );

    private static SchoolWordView View(StoredWord word) =>
        new(word.Spelling, word.Verdict, word.Graphemes, word.Phonemes, word.Reason, word.At);

    /// <summary>Words for a search, along a version of a ladder.</summary>
    public async Task<Answer<WordsView>> Search(Guid ladderId, int version, WordSearch search)
    {
        if (await scope.Ladder(ladderId, version) is not { } ladder)
            return Refused.UnknownLadder;
        if (
            new[] { search.Letters, search.With, search.Shape, search.Pattern, search.Rhyme, search.Rung }.Any(t =>
                t?.Length > LongestWord
            )
        )
        {
            return Refusal.Unusable("too-long", ("most", LongestWord));
        }
        Correspondence[] correspondences =
            search.With is not { } with ? []
            : Correspondence.TryParse(with, out var one) ? [one]
            : [.. Correspondence.All.Where(c => !c.IsBath && c.Grapheme.Text == with)];
        if (search.With is { } unheard && correspondences.Length == 0)
            return Refusal.Unusable("unknown-correspondence", ("with", unheard));
        Patterns asked;
        try
        {
            asked = search.Pattern is { } pattern ? PatternIds.Parse(pattern.AsSpan()) : Patterns.None;
        }
        catch (FormatException)
        {
            return Refusal.Unusable("unknown-pattern", ("pattern", search.Pattern!));
        }
        var place = search.Rung is { } rung ? ladder.IndexOf(rung) : (int?)null;
        if (place < 0)
            return Refusal.Unusable("unknown-rung");
        var places = new SentencePlaces(ladder, scope.Leniencies, scope.Accent);
        var queries = (correspondences.Length == 0 ? [null] : correspondences.Cast<Correspondence?>())
            .Select(c => new WordQuery(
                search.Letters?.Trim().ToLowerInvariant(),
                c,
                search.At,
                search.Shape?.Trim().ToUpperInvariant(),
                asked,
                search.Known
            ))
            .ToList();
        var lexicon = scope.Words.Lexicon;
        var banned = (
            await scope
                .Store.SchoolWords.Where(w => w.Verdict == SchoolVerdict.Ban)
                .Select(w => w.Spelling)
                .ToListAsync(scope.Stop)
        )
            .Select(lexicon.Find)
            .OfType<Word>();
        var pool =
            search.Rhyme is not { } rhyme ? lexicon.ForLessons.Concat(banned)
            : lexicon.Find(rhyme.Trim().ToLowerInvariant()) is { } rhymed
                ? scope.Words.Alike(scope.Accent).Rhymes(rhymed)
            : [];
        var found = pool.Where(w => queries.Exists(q => q.Fits(w)))
            .Select(w => (Word: w, Rung: places.RungOf(w)))
            .Where(w => place is not { } wanted || (search.SoFar ? w.Rung <= wanted : w.Rung == wanted))
            .OrderByDescending(w => w.Word.IsKnown)
            .ThenByDescending(w => w.Word.Zipf)
            .ToList();
        return new WordsView(
            found.Count,
            [
                .. found
                    .Take(Most)
                    .Select(w => new FoundWordView(
                        Word: w.Word.Spelling,
                        Graphemes: w.Word.Segmentation.Graphemes,
                        Marks: ItemMaker.MarksOf(w.Word),
                        Taps: w.Word.Segmentation.Taps,
                        Shape: w.Word.Segmentation.Shape,
                        KnownAtFive: w.Word.IsKnown,
                        Rung: w.Rung switch
                        {
                            null => null,
                            < 0 => "",
                            { } r => ladder.Rungs[r].Label,
                        },
                        KeptOut: w.Word.Suitability == Suitability.Never
                    )),
            ]
        );
    }

    public async Task<Answer<WordView>> Show(string word)
    {
        var plain = WordFinder.Plain(word.Trim());
        if (plain.Length is 0 or > LongestWord || !plain.All(c => char.IsLetter(c) || c is '\'' or '-'))
            return NoWord();
        var found = scope.Words.Finder.Find(plain);
        if (found.Word is not { } known)
            return NoWord();
        var groups = new List<GroupVerdictView>();
        foreach (
            var state in await groupDays.States(
                await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop)
            )
        )
        {
            var group = state.Group;
            var day = await groupDays.DayAt(state, state.Calendar.OnOrAfter(scope.Today) ?? scope.Today);
            var before = day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent);
            var needs = before.Obstacles(known);
            var status =
                known.Suitability == Suitability.Never ? OwnStatus.LeftOut
                : needs.IsEmpty ? OwnStatus.Decodable
                : day.Progress.TrickyBefore(day.Ahead).Contains(plain) ? OwnStatus.Tricky
                : OwnStatus.NotYet;
            groups.Add(
                new GroupVerdictView(
                    group.Id,
                    group.Name,
                    LessonReading.Verdicts(
                        day,
                        [
                            new OwnVerdict(
                                plain,
                                status,
                                known,
                                status == OwnStatus.NotYet ? needs : [],
                                requests.Places(day).RungOf(known),
                                null
                            ),
                        ]
                    )[0],
                    group.Avoid.Contains(plain)
                )
            );
        }
        var alike = scope.Words.Alike(scope.Accent);
        var own = await Said(plain) is { } said ? View(said) : null;
        return new WordView(
            Word: plain,
            Source: found.Source,
            Graphemes: known.Segmentation.Graphemes,
            Phonemes: string.Join('|', scope.Accent.Sounds(known)),
            Marks: ItemMaker.MarksOf(known),
            Taps: known.Segmentation.Taps,
            Sounds: known.Segmentation.SoundCount,
            Shape: known.Segmentation.Shape,
            Syllables: Syllables.Of(known),
            Patterns: [.. known.Patterns.Each().Select(p => p.Id())],
            Common: Math.Round(known.Zipf, 1),
            KnownAtFive: known.IsKnown,
            Suitability: known.Suitability,
            Meaning: known.IsKnown ? null : scope.Words.Materials.Meanings.Of(known),
            Parts:
            [
                .. known.Required.Select(c => new WordPartView(
                    c.ReferenceNotation,
                    c.Grapheme.Text,
                    scope.Accent.Project(c),
                    c.IsRegular ? work.Facts.Of(c) : null
                )),
            ],
            SoundsTheSame:
            [
                .. scope
                    .Words.Lexicon.Homophones(known, scope.Accent)
                    .Where(h => h.Suitability == Suitability.Use)
                    .Take(FewOfEach)
                    .Select(h => h.Spelling),
            ],
            Rhymes: [.. alike.Rhymes(known).Take(FewOfEach).Select(r => r.Spelling)],
            OneSoundApart:
            [
                .. alike
                    .MinimalPairs(known)
                    .Where(p => p.Word.IsKnown)
                    .Take(FewOfEach)
                    .Select(p => new PairView(p.Word.Spelling, p.Sound, p.Other)),
            ],
            Groups: groups,
            School: own,
            Stamp: Stamps.Of(own)
        );
    }

    /// <summary>What the school says of a word; null when nothing.</summary>
    private Task<StoredWord?> Said(string word) =>
        scope.Store.SchoolWords.AsNoTracking().SingleOrDefaultAsync(w => w.Spelling == word, scope.Stop);

    private static Refusal NoWord() => Refusal.NotFound("unknown-word").About("lookup");

    public async Task<Answer<SchoolWordView>> Say(string word, SchoolWordRequest request, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (request.Reason.Trim() is not { Length: > 0 and <= LongestReason } reason)
            return Refusal.Unusable("reason-missing", ("most", LongestReason)).About("word");
        if (shipped.Lexicon.Find(word) is not { } known)
            return NoWord();
        if (request.Verdict == SchoolVerdict.Allow && known.Suitability == Suitability.Never)
            return Refusal.Unusable("never-for-children");
        Segmentation? cut = null;
        if (request.Verdict == SchoolVerdict.Correct)
        {
            try
            {
                cut = SchoolWords.Cut(word, request.Graphemes ?? "", request.Phonemes ?? "");
            }
            catch (RefusedException problem)
            {
                return Refused.Of(problem);
            }
        }
        await scope.LockSettings();
        var said = await Said(word);
        if (Stamps.Stale(said is null ? null : View(said), seen) is { } stale)
            return stale;
        await SchoolVerdicts.Say(scope, word, request.Verdict, cut, reason);
        await scope.Save();
        return View((await Said(word))!);
    }

    /// <summary>Takes a word off the list of those that are not to come in a group's lessons.</summary>
    public async Task<Answer<Done>> LetComeAgain(Guid groupId, string word)
    {
        if ((await scope.Group(groupId)).Refusal is { } unknown)
            return unknown;
        await scope.Lock(groupId);
        var kept = await scope.Store.Groups.SingleAsync(g => g.Id == groupId, scope.Stop);
        kept.Avoid = [.. kept.Avoid.Where(w => w != word)];
        scope.Audit("word-let-come-again", groupId);
        await scope.Save();
        return Done.It;
    }

    public async Task<Answer<Done>> TakeBack(string word, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.LockSettings();
        if (await scope.Store.SchoolWords.SingleOrDefaultAsync(w => w.Spelling == word, scope.Stop) is not { } said)
            return NoWord();
        if (Stamps.Stale(View(said), seen) is { } stale)
            return stale;
        scope.Store.SchoolWords.Remove(said);
        await SchoolVerdicts.Changed(scope);
        scope.Audit("word-taken-back", scope.School.SchoolId);
        await scope.Save();
        return Done.It;
    }
}

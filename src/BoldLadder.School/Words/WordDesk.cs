using BoldLadder.Core;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Words;

/// <summary>Words that were found, the best known first.</summary>
/// <param name="Total">How many there are in all; the list has the first of them.</param>
public sealed record WordsView(int Total, IReadOnlyList<FoundWordView> Words);

/// <param name="Rung">What the rung teaches after which it can be read; empty for from the start, null for never on
/// this ladder.</param>
/// <param name="KeptOut">True when the school keeps it out of lessons.</param>
public sealed record FoundWordView(
    string Word,
    string Graphemes,
    IReadOnlyList<int> Marks,
    int Taps,
    string Shape,
    bool KnownAtFive,
    string? Rung,
    bool KeptOut
);

/// <summary>All that is known of a word.</summary>
/// <param name="Source">lexicon, derived, guessed or unknown.</param>
/// <param name="Common">How common it is in speech: 3 is rare, 6 very common.</param>
/// <param name="Parts">Each grapheme with how far it can be relied on.</param>
/// <param name="Stamp">Of what the school says of it: what If-Match gives back when that is changed.</param>
/// <param name="Groups">For each group what it can do with the word on its next teaching day.</param>
public sealed record WordView(
    string Word,
    WordSource Source,
    string Graphemes,
    string Phonemes,
    IReadOnlyList<int> Marks,
    int Taps,
    int Sounds,
    string Shape,
    IReadOnlyList<string> Syllables,
    IReadOnlyList<string> Patterns,
    double Common,
    bool KnownAtFive,
    Suitability Suitability,
    string? Meaning,
    IReadOnlyList<WordPartView> Parts,
    IReadOnlyList<string> SoundsTheSame,
    IReadOnlyList<string> Rhymes,
    IReadOnlyList<PairView> OneSoundApart,
    IReadOnlyList<GroupVerdictView> Groups,
    SchoolWordView? School,
    string Stamp
);

/// <param name="Facts">Null for a spelling that stands in a handful of words only.</param>
public sealed record WordPartView(string Notation, string Grapheme, string Sounds, CorrespondenceFacts? Facts);

public sealed record PairView(string Word, string Sound, string Other);

/// <param name="KeptOut">True when the word is not to come in this group's lessons; no reason is kept.</param>
public sealed record GroupVerdictView(Guid GroupId, string Group, VerdictView Verdict, bool KeptOut);

/// <summary>What the school says of a word.</summary>
public sealed record SchoolWordView(
    string Word,
    SchoolVerdict Verdict,
    string? Graphemes,
    string? Phonemes,
    string Reason,
    DateTime At
);

public sealed record SchoolWordRequest(
    SchoolVerdict Verdict,
    string Reason,
    string? Graphemes = null,
    string? Phonemes = null
);

/// <summary>What words are looked for by; what is null is not asked for.</summary>
public sealed record WordSearch
{
    /// <summary>Letters in a row.</summary>
    public string? Letters { get; init; }

    /// <summary>A correspondence, ai=eɪ, or a grapheme for any of its sounds.</summary>
    public string? With { get; init; }

    /// <summary>Where in the word it stands.</summary>
    public Place? At { get; init; }

    public string? Shape { get; init; }

    public string? Pattern { get; init; }

    /// <summary>A word to rhyme with.</summary>
    public string? Rhyme { get; init; }

    /// <summary>
    /// Words that become readable with this rung of the ladder; with <see cref="SoFar"/> also those before it.
    /// </summary>
    public string? Rung { get; init; }

    public bool SoFar { get; init; }

    /// <summary>Only words that children know at five.</summary>
    public bool Known { get; init; }
}

/// <summary>Looking words up, and what a school says of them.</summary>
public sealed class WordDesk(SchoolScope scope, LadderWork work, LessonMaking making, WordData shipped)
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
            var state in await making.States(
                await scope.Groups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(scope.Stop)
            )
        )
        {
            var group = state.Group;
            var day = await making.DayAt(state, state.Calendar.OnOrAfter(scope.Today) ?? scope.Today);
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
                    LessonMaking.Verdicts(
                        day,
                        [
                            new OwnVerdict(
                                plain,
                                status,
                                known,
                                status == OwnStatus.NotYet ? needs : [],
                                making.Places(day).RungOf(known),
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

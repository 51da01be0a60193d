using BoldLadder.Core.Lessons;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Revisit;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Word = BoldLadder.Core.Words.Word;

namespace BoldLadder.School.Marks;

/// <summary>
/// Takes marks of a lesson's words as adults make them: each once, however often it is sent; what can't be kept comes
/// back with its reason. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public sealed class MarkDesk(
    SchoolScope scope,
    Places places,
    EvidenceBooks books,
    MarkingFacts facts,
    LessonMaking making
)
{
    /// <summary>Marks of one sending.</summary>
    public const int MostMarks = 500;

    /// <summary>A device's clock that is further ahead can't be right, and so is one that is further behind.</summary>
    private static readonly TimeSpan Ahead = TimeSpan.FromMinutes(5);
    private static readonly TimeSpan Behind = TimeSpan.FromDays(14);

    public async Task<Answer<MarkingView>> Show(Guid lessonId)
    {
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        var (group, lesson) = found.Value;
        var rows = await Rows(lessonId);
        return new MarkingView(
            LessonId: lesson.Id,
            Date: lesson.Date,
            Group: group.Name,
            WordTick: scope.Style.WordTick,
            Words: [.. LessonWords(lesson)],
            Children: [.. await Children(group.Id, lesson.Date)],
            Seen:
            [
                .. EvidenceBooks
                    .Counting(rows)
                    .Select(e => new MarkSeen(
                        ChildId: e.ChildId,
                        Word: e.Word,
                        Place: e.Place,
                        Skill: e.Skill,
                        Seen: e.Seen,
                        Written: e.Written,
                        Source: e.Source
                    )),
            ]
        );
    }

    /// <summary>What the marker says of an attempt; nothing is kept.</summary>
    public async Task<Answer<AttemptView>> Judge(Guid lessonId, AttemptAsked asked)
    {
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (asked.Written.Length > Marker.LongestAttempt || WordOf(asked.Word) is not { } word)
            return Refusal.Unusable("mark-not-readable", ("most", Marker.LongestAttempt));
        var mark = facts.Marker(scope.Accent).Mark(word, asked.Written);
        return new AttemptView(
            [
                .. WordEvidence
                    .Of(word, [], mark)
                    .Select(s => new GraphemeSeen(word.Required[s.Place].Grapheme.Text, s.Seen, s.Written, s.AsSpoken)),
            ],
            [.. mark.Extra.Select(e => e.Letters)],
            mark.Whole
        );
    }

    public async Task<Answer<MarkAnswers>> Take(Guid lessonId, MarksGiven given)
    {
        if (given.Marks.Count > MostMarks)
            return Refusal.Unusable("too-many-marks", ("most", MostMarks));
        var found = await Find(lessonId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (scope.Role == Role.Head)
            return Refusal.NotAllowed("reader-only").About("lesson");
        await scope.Lock(found.Value.Group.Id);
        found = await Find(lessonId);
        var (group, lesson) = found.Value;
        if (lesson.Date > scope.Today)
            return Refusal.Unusable("day-to-come");
        if (
            lesson.Status == LessonStatus.NotTaught
            || (lesson.Status == LessonStatus.Planned && lesson.Date < scope.Today)
        )
            return Refusal.Conflict("marks-not-taught");
        var ids = given.Marks.Select(m => m.Id).ToList();
        var known = await scope
            .Store.Marks.AsNoTracking()
            .Where(m => ids.Contains(m.Id))
            .ToDictionaryAsync(m => m.Id, m => m.ContentHash, scope.Stop);
        var work = new MarksTaken(
            lesson,
            [.. await Children(group.Id, lesson.Date)],
            LessonWords(lesson).ToDictionary(w => w.Word, StringComparer.Ordinal)
        );
        foreach (var kept in EvidenceBooks.Counting(await Rows(lessonId)))
            work.Slots[(kept.ChildId, kept.Word, kept.Place, kept.Skill)] = kept;
        var answers = new List<MarkAnswer>();
        foreach (var mark in given.Marks)
        {
            var answer = Take(mark, work, known);
            answers.Add(answer);
            if (answer.Fate is MarkFate.Kept or MarkFate.KeptNow)
                known[mark.Id] = ContentHash.Of(mark);
        }
        if (work.Added.Count > 0)
        {
            await books.Add(work.Added);
            await scope.Save();
            if (lesson.Status != LessonStatus.Planned)
                await making.RenewNext(group, lesson.Date);
        }
        return new MarkAnswers(answers);
    }

    private MarkAnswer Take(MarkGiven mark, MarksTaken work, Dictionary<Guid, string> known)
    {
        if (known.TryGetValue(mark.Id, out var hash))
            return hash == ContentHash.Of(mark)
                ? new MarkAnswer(mark.Id, MarkFate.Known, null)
                : new MarkAnswer(mark.Id, MarkFate.Refused, "mark-id-taken");
        if (MarkMeaning.Refuse(mark, work) is { } reason)
            return new MarkAnswer(mark.Id, MarkFate.Refused, reason);
        var word = WordOf(mark.Word)!;
        var isRight = mark.MadeAt <= scope.UtcNow + Ahead && mark.MadeAt >= scope.UtcNow - Behind;
        var at = isRight ? mark.MadeAt.ToUniversalTime() : scope.UtcNow;
        foreach (
            var (child, seen, skill, source) in MarkMeaning
                .SeenBy(mark, word, work, facts.Marker(scope.Accent))
                .ToList()
        )
            Keep(mark, work, child, seen, skill, source, at);
        scope.Store.Marks.Add(
            new KeptMark
            {
                SchoolId = scope.School.SchoolId,
                Id = mark.Id,
                LessonId = work.Lesson.Id,
                ChildId = mark.ChildId,
                ContentHash = ContentHash.Of(mark),
                MadeAt = at,
                RecordedAt = scope.UtcNow,
                UserId = scope.UserId,
            }
        );
        return new MarkAnswer(mark.Id, isRight ? MarkFate.Kept : MarkFate.KeptNow, null);
    }

    private void Keep(
        MarkGiven mark,
        MarksTaken work,
        Guid? child,
        SeenAt seen,
        Skill skill,
        EvidenceSource source,
        DateTime at
    )
    {
        var row = new StoredEvidence
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.CreateVersion7(),
            MarkId = mark.Id,
            LessonId = work.Lesson.Id,
            GroupId = work.Lesson.GroupId,
            ChildId = child,
            Day = work.Lesson.Date,
            Target = seen.Target.ToString(),
            Skill = skill,
            Seen = seen.Seen,
            Source = source,
            Word = mark.Word,
            Place = seen.Place,
            Written = seen.Written,
            AsSpoken = seen.AsSpoken,
            MadeAt = at,
        };
        work.Added.Add(row);
        var slot = (child, mark.Word, seen.Place, skill);
        if (!work.Slots.TryGetValue(slot, out var there) || there.MadeAt <= at)
            work.Slots[slot] = row;
    }

    /// <summary>The words of a lesson that children write or read, in its order, each once.</summary>
    private IEnumerable<MarkedWord> LessonWords(StoredLesson lesson)
    {
        var spelled = lesson.Document.SpelledWords().ToHashSet(StringComparer.Ordinal);
        var tricky = lesson.Document.TrickyParts();
        return spelled
            .Concat(lesson.Words)
            .Distinct(StringComparer.Ordinal)
            .Select(w => (Written: w, Word: WordOf(w)))
            .Where(w => w.Word is not null)
            .Select(w => new MarkedWord(
                w.Written,
                [.. w.Word!.Required.Select(c => c.Grapheme.Text)],
                spelled.Contains(w.Written),
                tricky.ContainsKey(w.Written)
            ));
    }

    private Word? WordOf(string word) => scope.Words.Lexicon.Find(word);

    private async Task<List<MarkedChild>> Children(Guid groupId, DateOnly date)
    {
        var away = await scope
            .Store.ChildAbsences.Where(a => a.Date == date)
            .Select(a => a.ChildId)
            .ToListAsync(scope.Stop);
        var children = await places
            .On(date)
            .Where(p => p.GroupId == groupId)
            .Join(scope.Store.Children, p => p.ChildId, c => c.ChildId, (p, c) => new { c.ChildId, c.Name })
            .ToListAsync(scope.Stop);
        return
        [
            .. children
                .OrderBy(c => c.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(c => c.ChildId)
                .Select(c => new MarkedChild(c.ChildId, c.Name, away.Contains(c.ChildId))),
        ];
    }

    /// <summary>What was seen of the lesson's words; catch-ups hang on it, too, and are none.</summary>
    private Task<List<StoredEvidence>> Rows(Guid lessonId) =>
        scope
            .Store.Evidence.AsNoTracking()
            .Where(e => e.LessonId == lessonId && e.Source != EvidenceSource.CatchUp)
            .ToListAsync(scope.Stop);

    /// <summary>A lesson of one of this person's groups; a helper's of today alone.</summary>
    private async Task<Answer<(Group Group, StoredLesson Lesson)>> Find(Guid lessonId)
    {
        var found = await scope
            .Store.Lessons.AsNoTracking()
            .Where(l => l.Id == lessonId)
            .Join(scope.Groups, l => l.GroupId, g => g.Id, (l, g) => new { Group = g, Lesson = l })
            .SingleOrDefaultAsync(scope.Stop);
        if (found is null || (scope.Role == Role.Helper && found.Lesson.Date != scope.Today))
            return Refused.UnknownLesson;
        return (found.Group, found.Lesson);
    }
}

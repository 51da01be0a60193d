using BoldLadder.Core;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>A text of the school's own, as it is kept.</summary>
/// <param name="Author">Who wrote or brought it.</param>
/// <param name="IsOwn">True for who asks: nobody else changes what is not shared.</param>
/// <param name="Words">How many running words it has.</param>
/// <param name="IsKnown">False where a word of it is in no list: then a person puts it into a lesson, the planner does
/// not.</param>
/// <param name="Places">On each ladder that groups follow.</param>
/// <param name="ReadBy">The groups that can read all of it today, with what is taught first.</param>
/// <param name="Stamp">What a change names in If-Match.</param>
public sealed record OwnTextView(
    Guid Id,
    OwnTextKind Kind,
    string Title,
    string Body,
    IReadOnlyList<string> Questions,
    IReadOnlyList<string> FirstWords,
    IReadOnlyList<string> Told,
    string Before,
    string Author,
    bool IsOwn,
    bool IsShared,
    bool IsRetired,
    DateTime ChangedAt,
    int Words,
    bool IsKnown,
    IReadOnlyList<TextPlaceView> Places,
    IReadOnlyList<string> ReadBy,
    string Stamp
);

/// <summary>From which rung of a ladder a text can be read, with what is taught first; null for never.</summary>
public sealed record TextPlaceView(string Ladder, RungPlace? Rung);

/// <param name="Before">As it was before words were exchanged; empty where none were.</param>
public sealed record OwnTextRequest(
    OwnTextKind Kind,
    string Title,
    string Body,
    IReadOnlyList<string> Questions,
    IReadOnlyList<string> FirstWords,
    IReadOnlyList<string> Told,
    string Before,
    bool IsShared
);

/// <summary>
/// The school's own bank of texts: kept with who wrote them, shared, put away. Source: docs/handbook.md, section 7
/// (Text check).
/// </summary>
public sealed class OwnTextDesk(SchoolScope scope, ReadersLevels levels)
{
    private const int LongestTitle = 80;
    private const int LongestBody = 20_000;
    private const int MostQuestions = 8;
    private const int LongestQuestion = 160;
    private const int MostFirst = 5;
    private const int MostTold = 60;
    private const int Most = 5_000;

    /// <summary>What the asker may see: shared texts and their own.</summary>
    public async Task<List<OwnTextView>> List()
    {
        var texts = await scope
            .Store.OwnTexts.AsNoTracking()
            .Where(t => t.IsShared || t.AuthorId == scope.UserId)
            .OrderByDescending(t => t.ChangedAt)
            .ToListAsync(scope.Stop);
        return await Views(texts);
    }

    public async Task<Answer<OwnTextView>> Show(Guid textId) =>
        await Find(textId) is { } text ? (await Views([text]))[0] : Refusal.NotFound("unknown-text");

    public async Task<Answer<OwnTextView>> Make(OwnTextRequest request)
    {
        if (Refuse(request) is { } refused)
            return refused;
        await scope.LockSettings();
        if (await scope.Store.OwnTexts.CountAsync(scope.Stop) >= Most)
            return Refusal.Conflict("too-many-texts", ("most", Most));
        var text = new OwnText
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.CreateVersion7(),
            Kind = request.Kind,
            Title = "",
            Body = "",
            Questions = [],
            First = [],
            Told = [],
            Before = "",
            AuthorId = scope.UserId,
            MadeAt = scope.UtcNow,
            ChangedAt = scope.UtcNow,
            IsShared = false,
            RetiredAt = null,
        };
        scope.Store.OwnTexts.Add(text);
        return await Keep(text, request, "text-made");
    }

    /// <summary>Changes a text that was seen as it is.</summary>
    public async Task<Answer<OwnTextView>> Change(Guid textId, OwnTextRequest request, string? ifMatch)
    {
        if (Refuse(request) is { } refused)
            return refused;
        var found = await FindToChange(textId, ifMatch);
        return found.Refusal is { } not ? not : await Keep(found.Value, request, "text-changed");
    }

    /// <summary>Puts a text away, or brings it back: lessons that have it keep it.</summary>
    public async Task<Answer<OwnTextView>> Retire(Guid textId, bool retired, string? ifMatch)
    {
        var found = await FindToChange(textId, ifMatch);
        if (found.Refusal is { } not)
            return not;
        var text = found.Value;
        text.RetiredAt = retired ? text.RetiredAt ?? scope.UtcNow : null;
        text.ChangedAt = scope.UtcNow;
        await SchoolVerdicts.Changed(scope);
        scope.Audit(retired ? "text-put-away" : "text-brought-back", text.Id);
        await scope.Save();
        return (await Views([text]))[0];
    }

    private async Task<Answer<OwnTextView>> Keep(OwnText text, OwnTextRequest request, string action)
    {
        (text.Kind, text.Title, text.Body) = (request.Kind, request.Title.Trim(), request.Body.Trim());
        text.Questions = [.. request.Questions.Select(q => q.Trim()).Where(q => q.Length > 0)];
        text.First = [.. request.FirstWords.Select(WordFinder.Plain).Distinct()];
        text.Told = [.. request.Told.Select(WordFinder.Plain).Distinct()];
        text.Before = request.Before.Trim() == text.Body ? "" : request.Before.Trim();
        (text.IsShared, text.ChangedAt) = (request.IsShared, scope.UtcNow);
        await SchoolVerdicts.Changed(scope);
        scope.Audit(action, text.Id);
        await scope.Save();
        return (await Views([text]))[0];
    }

    private Refusal? Refuse(OwnTextRequest request)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        if (!PlainName.Is(request.Title.Trim(), LongestTitle))
            return Refusal.Unusable("bad-text-title", ("most", LongestTitle));
        if (request.Body.Trim().Length is 0 or > LongestBody || request.Before.Length > LongestBody)
            return Refusal.Unusable("bad-text-body", ("most", LongestBody));
        if (!Scripts.IsLatin(request.Body))
            return Refusal.Unusable("text-script");
        if (request.Questions.Count > MostQuestions || request.Questions.Any(q => q.Length > LongestQuestion))
            return Refusal.Unusable("bad-text-questions", ("most", MostQuestions), ("longest", LongestQuestion));
        if (request.FirstWords.Count > MostFirst || request.FirstWords.Any(w => !IsWord(w)))
            return Refusal.Unusable("bad-text-first", ("most", MostFirst));
        if (request.Told.Count > MostTold || request.Told.Any(w => !IsWord(w)))
            return Refusal.Unusable("bad-text-told", ("most", MostTold));
        var read = TextsRead.Words(request.Body, scope.Words.Finder);
        if (read.Refusal is { } unread)
            return unread;
        var banned = read.Value.Words.FirstOrDefault(w => w.Written.IsNever);
        return banned is null ? null : Refusal.Unusable("bad-text-never", ("word", banned.Printed));
    }

    private static bool IsWord(string word) =>
        word.Length is > 0 and <= 40 && word.All(c => char.IsLetter(c) || c is '\'' or '’' or '-');

    private Task<OwnText?> Find(Guid textId) =>
        scope.Store.OwnTexts.SingleOrDefaultAsync(
            t => t.Id == textId && (t.IsShared || t.AuthorId == scope.UserId),
            scope.Stop
        );

    private async Task<Answer<OwnText>> FindToChange(Guid textId, string? ifMatch)
    {
        if (scope.ReaderOnly() is { } reader)
            return reader;
        await scope.LockSettings();
        if (await Find(textId) is not { } text)
            return Refusal.NotFound("unknown-text");
        return Stamps.Stale(Content(text), ifMatch) is { } stale ? stale : text;
    }

    /// <summary>What of a text another may have changed meanwhile.</summary>
    private static object Content(OwnText text) =>
        new
        {
            text.Kind,
            text.Title,
            text.Body,
            text.Questions,
            text.First,
            text.Told,
            text.Before,
            text.IsShared,
            IsRetired = text.RetiredAt is not null,
        };

    private async Task<Dictionary<Guid, string>> Names(IReadOnlyCollection<OwnText> texts)
    {
        var authors = texts.Select(t => t.AuthorId).Distinct().ToList();
        return await scope
            .Store.Users.Where(u => authors.Contains(u.Id))
            .ToDictionaryAsync(u => u.Id, u => u.DisplayName, scope.Stop);
    }

    private async Task<List<OwnTextView>> Views(List<OwnText> texts)
    {
        var names = await Names(texts);
        var ladders = await scope.Store.Ladders.ToDictionaryAsync(l => l.Id, l => l.Name, scope.Stop);
        var readers = await levels.OfGroups(scope.Today);
        return texts.ConvertAll(t => View(t, names, readers, ladders));
    }

    private OwnTextView View(
        OwnText text,
        Dictionary<Guid, string> names,
        List<GroupReader> readers,
        Dictionary<Guid, string> ladders
    )
    {
        var words = TextWords.Read(text.Body, scope.Words.Finder);
        bool IsTold(TextWord word) => text.Told.Contains(word.Written.Plain) || text.First.Contains(word.Written.Plain);
        return new OwnTextView(
            Id: text.Id,
            Kind: text.Kind,
            Title: text.Title,
            Body: text.Body,
            Questions: text.Questions,
            FirstWords: text.First,
            Told: text.Told,
            Before: text.Before,
            Author: names.GetValueOrDefault(text.AuthorId) ?? "",
            IsOwn: text.AuthorId == scope.UserId,
            IsShared: text.IsShared,
            IsRetired: text.RetiredAt is not null,
            ChangedAt: text.ChangedAt,
            Words: words.Places.Length,
            IsKnown: words.Words.All(w => !w.Written.IsUnknown),
            Places:
            [
                .. readers
                    .DistinctBy(r => r.Day.Group.LadderId)
                    .Select(r => new TextPlaceView(
                        ladders[r.Day.Group.LadderId],
                        RungPlace.Of(
                            r.Day.Ladder,
                            new TextOnLadder(words, r.Places, r.Day.Ladder.Rungs.Length, IsTold).Reaches(1)
                        )
                    )),
            ],
            ReadBy:
            [
                .. readers
                    .Where(r => words.Words.All(w => IsTold(w) || r.Level.Judge.CanRead(w.Written)))
                    .Select(r => r.Day.Group.Name),
            ],
            Stamp: Stamps.Of(Content(text))
        );
    }
}

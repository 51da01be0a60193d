using BoldLadder.Core;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Printing;

/// <summary>Cards of one sort that lie in the school's box.</summary>
/// <param name="Keys">What they show.</param>
public sealed record BoxedCards(CardKind Kind, IReadOnlyList<string> Keys);

/// <param name="Owned">True to put them in, false to take them out.</param>
public sealed record BoxChange(CardKind Kind, IReadOnlyList<string> Keys, bool Owned);

/// <summary>
/// What is in the school's box already: cards that are not printed again. Source: docs/handbook.md, section 2 (Get the
/// materials together).
/// </summary>
public sealed class BoxDesk(SchoolScope scope)
{
    private const int MostKeys = 1000;
    private const int LongestKey = 60;
    private const int Most = 20_000;

    public async Task<List<BoxedCards>> List() =>
        [
            .. (await scope.Store.OwnedCards.AsNoTracking().ToListAsync(scope.Stop))
                .GroupBy(c => c.Kind)
                .OrderBy(k => k.Key, StringComparer.Ordinal)
                .Select(k => new BoxedCards(
                    Enum.GetValues<CardKind>().Single(kind => kind.Code() == k.Key),
                    [.. k.Select(c => c.Key).Order(StringComparer.Ordinal)]
                )),
        ];

    /// <summary>Puts cards in the box or takes them out; asking twice changes nothing.</summary>
    public async Task<Answer<List<BoxedCards>>> Change(BoxChange change)
    {
        if (change.Keys.Count > MostKeys || change.Keys.Any(k => !PlainName.Is(k, LongestKey)))
            return Refusal.Unusable("bad-box", ("most", MostKeys));
        await scope.LockSettings();
        var (kind, keys) = (change.Kind.Code(), change.Keys.Distinct().ToList());
        var there = await scope
            .Store.OwnedCards.Where(c => c.Kind == kind && keys.Contains(c.Key))
            .ToListAsync(scope.Stop);
        if (!change.Owned)
        {
            scope.Store.OwnedCards.RemoveRange(there);
        }
        else
        {
            var added = keys.Except(there.Select(c => c.Key)).ToList();
            if (await scope.Store.OwnedCards.CountAsync(scope.Stop) + added.Count > Most)
                return Refusal.Unusable("bad-box", ("most", Most));
            scope.Store.OwnedCards.AddRange(
                added.Select(k => new OwnedCard
                {
                    SchoolId = scope.School.SchoolId,
                    Kind = kind,
                    Key = k,
                })
            );
        }
        await scope.Save();
        return await List();
    }
}

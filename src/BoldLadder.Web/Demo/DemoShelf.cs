using BoldLadder.Store;

namespace BoldLadder.Web.Demo;

/// <summary>The demo school's own texts and its shelf of books: all made up.</summary>
internal static class DemoShelf
{
    private static readonly (string Title, string Label, int Pages, int Copies, string Body)[] Books =
    [
        (
            "A tin for a cat",
            "Red 1",
            8,
            6,
            "Sid got a red tin. Pam got on the tin. A cat ran up. It sat on the tin. Sid and Pam fed the cat."
        ),
        (
            "Mud on the rug",
            "Red 2",
            8,
            6,
            "A pup ran in mud. The pup got on the rug. Mum got a mop. Dad got a rag. Sad pup!"
        ),
        (
            "The hut on the hill",
            "Blue 1",
            12,
            8,
            "A fox had a hut on the hill. A big wet dog ran up. The fox let him in. Then a hen and six chicks ran up. "
                + "The fox let them in. The hut was full. The fox had fun with the chicks."
        ),
        (
            "Night at the farm",
            "Blue 3",
            12,
            6,
            "It was night at the farm. The moon was high. A goat was up on the roof of the barn. The cow mooed. The hens "
                + "got up to see. Down in the yard a rat had a feed. Then the goat fell on the rat. The rat ran off."
        ),
        (
            "The brave crab",
            "Green 1",
            16,
            6,
            "A small crab lived under a stone. One day the tide left a huge fish on the sand. Help me, said the fish. The "
                + "crab ran for the seagulls, but they just wanted lunch. So the crab dug a ditch in the wet sand. The "
                + "waves came up the ditch and the fish swam home."
        ),
        (
            "A coat for Joe",
            "Green 3",
            16,
            4,
            "Joe had grown. His coat was too tight and the sleeves were too short. Mum took it apart and made it into a "
                + "waistcoat. When that was too tight she made a cap. When the cap wore out she made a button. Joe "
                + "still has the button in a drawer."
        ),
        (
            "The lighthouse kitchen",
            "Gold",
            24,
            2,
            "Every evening the keeper climbed the stairs with a kettle. He baked bread beside the enormous lamp, because "
                + "that was the warmest place for miles. Sailors said they could smell the lighthouse before they saw it."
        ),
        ("Bees in the chimney", "Gold", 24, 3, ""),
    ];

    public static void Add(
        BoldContext store,
        Guid school,
        User lead,
        User teacher,
        IReadOnlyList<Guid> groups,
        DateOnly today,
        DateTime now
    )
    {
        var shelf = Books
            .Select(b => new Book
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                Title = b.Title,
                Label = b.Label,
                Pages = b.Pages,
                Copies = b.Copies,
                Body = b.Body,
                Told = [],
                ChangedAt = now,
            })
            .ToList();
        store.Books.AddRange(shelf);
        store.BookUses.AddRange(
            Used(shelf[0], groups[0], BookUseKind.Read, today.AddDays(-4), 0),
            Used(shelf[1], groups[0], BookUseKind.Home, today.AddDays(-1), 5),
            Used(shelf[2], groups[1], BookUseKind.Read, today.AddDays(-1), 0),
            Used(shelf[3], groups[2], BookUseKind.Home, today.AddDays(-4), 4)
        );
        store.OwnTexts.AddRange(
            Text(
                "The duck in the sink",
                OwnTextKind.Story,
                "Dad went to get the cups. A duck sat in the sink! It had the plug. Dad got a bun and set it on the rug. "
                    + "The duck hopped off to the bun. Dad shut the back door.",
                ["Where was the duck?", "Why did Dad get a bun?"],
                lead
            ),
            Text(
                "Down at the pond",
                OwnTextKind.Sentences,
                "a frog on a log\nThe duck dips its bill.\nA moth is asleep on the bark.",
                [],
                teacher
            ),
            Text(
                "Spells for Thursday",
                OwnTextKind.Dictation,
                "The cook can bake a plum cake.\nWe ran from the storm.",
                [],
                teacher
            )
        );

        BookUse Used(Book book, Guid group, BookUseKind kind, DateOnly day, int copies) =>
            new()
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                BookId = book.Id,
                GroupId = group,
                Kind = kind,
                Day = day,
                Copies = copies,
                BackOn = null,
            };

        OwnText Text(string title, OwnTextKind kind, string body, List<string> questions, User author) =>
            new()
            {
                SchoolId = school,
                Id = Guid.CreateVersion7(),
                Kind = kind,
                Title = title,
                Body = body,
                Questions = questions,
                First = [],
                Told = [],
                Before = "",
                AuthorId = author.Id,
                MadeAt = now,
                ChangedAt = now,
                IsShared = true,
                RetiredAt = null,
            };
    }
}

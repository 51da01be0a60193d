using BoldLadder.Store;

namespace BoldLadder.Web.Demo;

/// <summary>The children of the demo school, all made up: a name and a letter, a group, a few of them away.</summary>
public static class DemoChildren
{
    private const int InAGroup = 14;

    private static readonly string[] Names =
    [
        .. (
            "Ada P,Ali R,Anya,Arlo F,Ben T,Bea,Caleb M,Chen,Dara O,Della,Edie W,Efe,Ezra L,Fay,Finn B,"
            + "Gita,Hal S,Hana K,Idris,Isla V,Ivo,Jada N,Joss,Juno A,Kai D,Kezia,Lev,Lila H,Malik,Mei C,"
            + "Mina,Nell G,Niko,Noor S,Olive,Omar J,Otto,Petra L,Priya,Quinn E,Rafi,Remy T,Rosa M,Saskia,"
            + "Sefa,Silas B,Tavi,Tess R,Uma,Viggo,Wilf N,Xanthe,Yara D,Zadie"
        ).Split(','),
    ];

    /// <summary>
    /// The children of the group that is made as the so-manieth, from 0; after the last one those in none.
    /// </summary>
    public static void Add(BoldContext store, Guid school, int at, Guid? group, DateOnly today)
    {
        foreach (var (i, name) in Names.Index().Skip(at * InAGroup).Take(InAGroup))
        {
            var child = new Child
            {
                SchoolId = school,
                ChildId = Guid.NewGuid(),
                Name = name,
            };
            store.Children.Add(child);
            if (group is { } there)
                store.ChildPlaces.Add(
                    new ChildPlace
                    {
                        SchoolId = school,
                        Id = Guid.CreateVersion7(),
                        ChildId = child.ChildId,
                        GroupId = there,
                        First = today.AddDays(-80),
                    }
                );
            if (i % 19 == 7)
                store.ChildAbsences.Add(
                    new ChildAbsence
                    {
                        SchoolId = school,
                        ChildId = child.ChildId,
                        Date = today,
                    }
                );
        }
    }
}

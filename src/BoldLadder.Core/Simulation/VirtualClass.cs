using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Simulation;

/// <summary>
/// A class of virtual children: sizes, speeds and absences are drawn, never its ability to be taught.
/// </summary>
internal sealed class VirtualClass
{
    private const int Fewest = 18;
    private const int More = 13;

    private readonly ForgettingLaw law;
    private readonly VirtualMemory[,] memories;
    private readonly double[] speed;
    private readonly double[] away;

    /// <param name="targets">How many things are taught in the year.</param>
    public VirtualClass(ForgettingLaw law, int targets, Seeded random)
    {
        this.law = law;
        Children = Fewest + random.Below(More);
        memories = new VirtualMemory[Children, targets];
        speed = new double[Children];
        away = new double[Children];
        for (var child = 0; child < Children; child++)
        {
            // About bell-shaped round 1: most between a half and twice.
            var bell = random.Fraction() + random.Fraction() + random.Fraction() - 1.5;
            speed[child] = Math.Exp(0.7 * bell);
            away[child] = random.Fraction() < 0.15 ? 0.15 : 0.04;
        }
    }

    public int Children { get; }

    public bool IsAway(int child, Seeded random) => random.Fraction() < away[child];

    public void Teach(int child, int target, double day, double ease) =>
        memories[child, target].Teach(law, day, speed[child], ease);

    public bool IsTaught(int child, int target) => memories[child, target].IsTaught;

    public double Recall(int child, int target, double day) => memories[child, target].Recall(law, day);

    /// <summary>True where the child found it.</summary>
    public bool Practise(int child, int target, double day, double share, double draw)
    {
        var found = draw < Recall(child, target, day);
        if (IsTaught(child, target))
            memories[child, target].Practise(law, day, found, speed[child], share);
        return found;
    }
}

namespace BoldLadder.Core.Simulation;

/// <summary>
/// By what law the memories of a virtual class fade; none is the model's own. Source: docs/memory.md.
/// </summary>
public enum ForgettingLaw
{
    /// <summary>At a steady rate, slower after each time it was found again.</summary>
    Exponential,

    /// <summary>Fast at first, then ever more slowly.</summary>
    Power,

    /// <summary>A store that is full at once and empty in days, and one that fills slowly and holds.</summary>
    TwoStores,
}

/// <summary>One child's memory of one thing, as it really is. Days count from the start of the year.</summary>
internal struct VirtualMemory
{
    private double strength;
    private double held;
    private double last;

    public bool IsTaught { get; private set; }

    /// <summary>It was taught on a day.</summary>
    /// <param name="speed">How well this child takes things in: 1 for most.</param>
    /// <param name="ease">How easy the thing is: 1 for most.</param>
    public void Teach(ForgettingLaw law, double day, double speed, double ease)
    {
        (IsTaught, last) = (true, day);
        strength =
            speed
            * ease
            * law switch
            {
                ForgettingLaw.Exponential => 3.5,
                ForgettingLaw.Power => 2,
                _ => 2.5,
            };
        held = law == ForgettingLaw.TwoStores ? Math.Min(0.6, 0.12 * speed * ease) : 0;
    }

    /// <summary>How likely it is found on a day.</summary>
    public readonly double Recall(ForgettingLaw law, double day)
    {
        if (!IsTaught)
            return 0;
        var gone = Math.Max(0, day - last);
        return law switch
        {
            ForgettingLaw.Exponential => Math.Exp(-gone / strength),
            ForgettingLaw.Power => Math.Pow(1 + (gone / strength), -0.6),
            _ => 1 - ((1 - Math.Exp(-gone / strength)) * (1 - (held * Math.Exp(-gone / 250)))),
        };
    }

    /// <summary>It was looked for, and told where it was not found.</summary>
    /// <param name="share">How much of a look it was: less where the whole class said it.</param>
    public void Practise(ForgettingLaw law, double day, bool found, double speed, double share)
    {
        var recall = Recall(law, day);
        switch (law)
        {
            case ForgettingLaw.Exponential:
                strength *= 1 + (share * speed * (found ? 0.08 + (1.5 * (1 - recall)) : 0.1));
                break;
            case ForgettingLaw.Power:
                strength *= 1 + (share * speed * (found ? 0.1 + (2.2 * (1 - recall)) : 0.15));
                break;
            default:
                var room = 1 - Math.Exp(-Math.Max(0, day - last) / strength);
                held += share * speed * (1 - held) * room * (found ? 0.16 : 0.08);
                held = Math.Min(0.98, held);
                break;
        }
        last += share * (day - last);
    }
}

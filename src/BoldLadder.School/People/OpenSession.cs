namespace BoldLadder.School.People;

/// <summary>How long a session lasts (OWASP ASVS 3.3).</summary>
public static class OpenSession
{
    public static readonly TimeSpan Longest = TimeSpan.FromHours(12);

    /// <summary>How long it counts that a person has shown who they are.</summary>
    public static readonly TimeSpan ConfirmedFor = TimeSpan.FromMinutes(10);
    public static readonly TimeSpan LongestUnused = TimeSpan.FromHours(4);
}

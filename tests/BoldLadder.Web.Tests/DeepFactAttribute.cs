using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>A test that needs programs which only the deep run has.</summary>
[AttributeUsage(AttributeTargets.Method)]
public sealed class DeepFactAttribute : FactAttribute
{
    public DeepFactAttribute()
    {
        if (Environment.GetEnvironmentVariable("BOLD_DEEP") != "1")
            Skip = "The deep run has the programs for it.";
    }
}

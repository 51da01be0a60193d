using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Setup;

/// <summary>Requests that bring a file may be larger than others: it comes inside the JSON, in base 64.</summary>
public static class Uploads
{
    private const int Megabyte = 1024 * 1024;

    /// <param name="megabytes">Of the file itself, as its desk allows.</param>
    public static TBuilder TakesFile<TBuilder>(this TBuilder endpoint, int megabytes)
        where TBuilder : IEndpointConventionBuilder =>
        // Base 64 takes four signs for three bytes; a little besides for what goes with the file.
        endpoint.WithMetadata(new RequestSizeLimitAttribute(((megabytes * 4L / 3) + 1) * Megabyte));
}

using System.IO.Compression;

namespace BoldLadder.Web.Schools;

/// <summary>
/// An answer as it was written. A long one is sent packed to whoever takes it so; it is packed once, when it is asked
/// for again.
/// </summary>
internal sealed class KeptAnswer(byte[] json) : IResult
{
    public const string Type = "application/json; charset=utf-8";
    private const string Gzip = "gzip";
    private const int WorthPacking = 2048;
    private readonly Lazy<byte[]> packed = new(() => Pack(json));

    public byte[] Json => json;

    public Task ExecuteAsync(HttpContext http)
    {
        var (response, sent) = (http.Response, json);
        response.ContentType = Type;
        if (json.Length >= WorthPacking)
        {
            response.Headers.Vary = "Accept-Encoding";
            if (http.Request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == Gzip && e.Quality != 0))
            {
                sent = packed.Value;
                response.Headers.ContentEncoding = Gzip;
            }
        }
        response.ContentLength = sent.Length;
        return response.Body.WriteAsync(sent, http.RequestAborted).AsTask();
    }

    private static byte[] Pack(byte[] json)
    {
        using var packed = new MemoryStream();
        using (var gzip = new GZipStream(packed, CompressionLevel.Optimal))
            gzip.Write(json);
        return packed.ToArray();
    }
}

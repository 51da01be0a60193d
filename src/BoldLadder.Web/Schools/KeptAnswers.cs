using System.Text.Json;
using BoldLadder.School.Work;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace BoldLadder.Web.Schools;

/// <summary>
/// Answers as they were written, each for one person, address and state of the school
/// (<see cref="Store.SchoolState"/>).
/// The setting VerifyKept makes every answer anew and compares: tests run with it, so that each of them also looks for
/// a
/// change that the state does not tell of.
/// </summary>
public sealed class KeptAnswers(WorkCache cache, IOptions<JsonOptions> json, IConfiguration configuration)
{
    private const int MostKilobytes = 512;
    private readonly bool verify = configuration.GetValue("VerifyKept", false);

    /// <summary>The answer that was kept, or the one that is made now and kept if it is a success with a
    /// body.</summary>
    public async ValueTask<object?> Answer(
        (Guid School, Guid User, string Address) asked,
        string state,
        Func<ValueTask<object?>> make
    )
    {
        var key = (nameof(KeptAnswers), asked);
        var known = cache.Find<KeptAnswer>(key, state);
        if (known is not null && !verify)
            return known;
        var made = await make();
        var result = made is INestedHttpResult nested ? nested.Result : made;
        if (result is not IResult and not null)
            result = TypedResults.Ok(result);
        if (result is not (IValueHttpResult { Value: { } value } and IStatusCodeHttpResult { StatusCode: 200 }))
            return made;
        var bytes = JsonSerializer.SerializeToUtf8Bytes(value, value.GetType(), json.Value.SerializerOptions);
        if (known is not null && !bytes.AsSpan().SequenceEqual(known.Json))
            throw new InvalidOperationException(
                $"{asked.Address} is answered otherwise in the same state of the school."
            );
        if (bytes.Length <= MostKilobytes * 1024)
            cache.Newest(key, state, bytes.Length / 1024 + 1, () => new KeptAnswer(bytes));
        return TypedResults.Bytes(bytes, KeptAnswer.Type);
    }
}

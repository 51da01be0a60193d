using System.Collections;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using Microsoft.AspNetCore.Http.Json;

namespace BoldLadder.Web.Setup;

/// <summary>
/// How requests are read: strictly, once, for every operation there is. What can't be read is a 400 with a sentence,
/// never a 500; what the database can't keep (U+0000) never gets as far.
/// </summary>
public static class Reading
{
    private const int Deepest = 32;
    private const string Mark = "bold:reading";

    public static void Strictly(JsonOptions options)
    {
        var json = options.SerializerOptions;
        json.MaxDepth = Deepest;
        json.AllowOutOfOrderMetadataProperties = true;
        json.RespectRequiredConstructorParameters = json.RespectNullableAnnotations = true;
        json.NumberHandling = JsonNumberHandling.Strict;
        json.Converters.Add(new JsonStringEnumConverter(EnumCode.Naming, allowIntegerValues: false));
        json.TypeInfoResolver = (json.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(
            RefuseWhatCanNotBeKept
        );
    }

    /// <summary>
    /// Marks a request until its parts are read, so that <see cref="Failures"/> knows whose fault an exception is.
    /// </summary>
    public static void UseReading(this WebApplication app) =>
        app.Use(
            (context, next) =>
            {
                context.Items[Mark] = true;
                return next(context);
            }
        );

    /// <summary>True while the parts of the request are being read: before any of our code has run.</summary>
    public static bool IsReading(HttpContext context) => context.Items.ContainsKey(Mark);

    /// <summary>
    /// The first filter of the API: everything has been read; what of it no operation can use is refused here.
    /// </summary>
    public static async ValueTask<object?> Filter(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        context.HttpContext.Items.Remove(Mark);
        // A part of the address that could not be read: the filters run all the same, with nothing in its place.
        if (context.HttpContext.Response.StatusCode == StatusCodes.Status400BadRequest)
            return Problem.Of(StatusCodes.Status400BadRequest);
        foreach (var argument in context.Arguments)
        {
            if (argument is string text && text.Contains('\0', StringComparison.Ordinal))
                return Problem.Of(StatusCodes.Status400BadRequest);
            if (argument is DateOnly date && !CalendarCheck.IsDay(date))
            {
                return Problem.Of(
                    StatusCodes.Status422UnprocessableEntity,
                    "day-out-of-range",
                    ("first", CalendarCheck.Years.First),
                    ("last", CalendarCheck.Years.Last)
                );
            }
        }
        return await next(context);
    }

    /// <summary>
    /// No list of ours has holes, which annotations can't say of elements at run time; and no text has U+0000.
    /// </summary>
    private static void RefuseWhatCanNotBeKept(JsonTypeInfo type)
    {
        switch (type.Kind)
        {
            case JsonTypeInfoKind.Object:
                var texts = type.Properties.Where(p => p.PropertyType == typeof(string)).ToList();
                var never = type.Properties.Where(IsNeverNull).ToList();
                if (texts.Count + never.Count > 0)
                {
                    type.OnDeserialized = read =>
                    {
                        if (never.Exists(n => n.Get!(read) is null))
                            throw new JsonException("A value is missing.");
                        texts.ForEach(t => Check(t.Get?.Invoke(read) as string));
                    };
                }
                break;
            case JsonTypeInfoKind.Enumerable
                when type.ElementType is { } element
                    && (!element.IsValueType || Nullable.GetUnderlyingType(element) is not null):
                type.OnDeserialized = list =>
                {
                    foreach (var one in (IEnumerable)list)
                        Check((one ?? throw new JsonException("A list has an empty place.")) as string);
                };
                break;
            case JsonTypeInfoKind.Dictionary when type.KeyType == typeof(string):
                type.OnDeserialized = read =>
                {
                    foreach (DictionaryEntry entry in (IDictionary)read)
                    {
                        Check(entry.Key as string);
                        Check((entry.Value ?? throw new JsonException("A value is missing.")) as string);
                    }
                };
                break;
        }
    }

    /// <summary>
    /// What is not given by a constructor: a body that is read while it comes in lets null through there, whatever the
    /// annotations say.
    /// </summary>
    private static bool IsNeverNull(JsonPropertyInfo property) =>
        property is { Set: not null, Get: not null, AssociatedParameter: null, IsSetNullable: false }
        && !property.PropertyType.IsValueType;

    private static void Check(string? text)
    {
        if (text?.Contains('\0', StringComparison.Ordinal) == true)
            throw new JsonException("A text has a character that can't be kept.");
    }
}

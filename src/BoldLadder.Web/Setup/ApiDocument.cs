using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace BoldLadder.Web.Setup;

/// <summary>The OpenAPI document that the front end's types are made from.</summary>
public static class ApiDocument
{
    /// <summary>
    /// Names the school in every path that has one: it is read by a filter, so no handler's signature shows it.
    /// </summary>
    public static void NameTheSchool(OpenApiOptions options) =>
        options.AddOperationTransformer(
            (operation, context, _) =>
            {
                var parameters = operation.Parameters ??= [];
                if (
                    context.Description.RelativePath?.Contains("{schoolId", StringComparison.Ordinal) == true
                    && parameters.All(p => p.Name != "schoolId")
                )
                {
                    parameters.Insert(
                        0,
                        new OpenApiParameter
                        {
                            Name = "schoolId",
                            In = ParameterLocation.Path,
                            Required = true,
                            Schema = new OpenApiSchema { Type = JsonSchemaType.String, Format = "uuid" },
                        }
                    );
                }
                return Task.CompletedTask;
            }
        );
}

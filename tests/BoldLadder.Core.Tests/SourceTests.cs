using BoldLadder.Tool;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>How the source is written, beyond what its formatter settles (docs/architecture.md, conventions).</summary>
public class SourceTests
{
    private const int Columns = 120;
    private const int MostUnnamed = 6;

    private static readonly SyntaxTree[] Sources =
    [
        .. new[] { "src", "tests", "bench" }
            .SelectMany(f =>
                Directory.EnumerateFiles(Path.Combine(ProjectFolders.Root, f), "*.cs", SearchOption.AllDirectories)
            )
            .Where(f => !new[] { "obj", "bin", "Migrations" }.Intersect(f.Split(Path.DirectorySeparatorChar)).Any())
            .Select(f => CSharpSyntaxTree.ParseText(File.ReadAllText(f), path: f)),
    ];

    /// <summary>A sentence for people may be longer than a line; nothing else is.</summary>
    [Fact]
    public void A_line_beyond_the_width_holds_a_sentence()
    {
        Assert.True(Sources.Length > 300, $"Only {Sources.Length} files found.");
        Nowhere(
            Sources.SelectMany(
                s => s.GetText().Lines.Where(l => l.Span.Length > Columns && !IsText(s.GetRoot(), l.Start + Columns)),
                Place
            )
        );
    }

    private static bool IsText(SyntaxNode root, int at) =>
        root.FindToken(at) is var token
        && token.Span.IntersectsWith(at)
        && (
            token.IsKind(SyntaxKind.StringLiteralToken)
            || token.IsKind(SyntaxKind.InterpolatedStringTextToken)
            || token.IsKind(SyntaxKind.InterpolatedStringEndToken)
            || token.IsKind(SyntaxKind.SingleLineRawStringLiteralToken)
            || token.GetPreviousToken() is var before
                && before.Span.IntersectsWith(at)
                && IsText(root, before.SpanStart)
        );

    /// <summary>Who reads "false, null, []" in the ninth place must not have to count.</summary>
    [Fact]
    public void Whatever_is_made_of_more_than_six_values_names_them() =>
        Nowhere(
            Sources.SelectMany(
                s =>
                    s.GetRoot()
                        .DescendantNodes()
                        .OfType<BaseObjectCreationExpressionSyntax>()
                        .Where(n => n.ArgumentList?.Arguments.Count(a => a.NameColon is null) > MostUnnamed)
                        .Where(n => (n as ObjectCreationExpressionSyntax)?.Type.ToString() != "XElement")
                        .Select(n => s.GetText().Lines.GetLineFromPosition(n.SpanStart)),
                Place
            )
        );

    private static void Nowhere(IEnumerable<string> places) =>
        Assert.Equal("", string.Join(Environment.NewLine, places));

    private static string Place(SyntaxTree source, Microsoft.CodeAnalysis.Text.TextLine line) =>
        $"{Path.GetRelativePath(ProjectFolders.Root, source.FilePath)}:{line.LineNumber + 1}";
}

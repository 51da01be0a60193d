using BoldLadder.Tool.Building;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold build-lexicon: makes the committed lexicon again, or with --check says whether it would come out the same.
/// </summary>
public static class BuildLexiconCommand
{
    public static int Run(Arguments arguments, Session session)
    {
        try
        {
            return Build(arguments.Has("--check"), session.Errors);
        }
        catch (Exception problem) when (problem is DirectoryNotFoundException or FormatException)
        {
            session.Errors.WriteLine(problem.Message);
            return 1;
        }
    }

    private static int Build(bool check, TextWriter errors)
    {
        var sources = WordSources.Read(Path.Combine(ProjectFolders.Data, "sources"));
        var builder = new LexiconBuilder(sources, HandWork.Read(ProjectFolders.Data));
        var words = builder.Build();
        foreach (var complaint in builder.Complaints)
            errors.WriteLine(complaint);
        if (builder.Complaints.Count > 0)
        {
            errors.WriteLine(
                $"{builder.Complaints.Count} rows of hand work match nothing. Mend or remove them; no file was written."
            );
            return 1;
        }
        var folder = Directory.CreateDirectory(Path.Combine(ProjectFolders.Data, "lexicon")).FullName;
        var different = 0;
        var heardOf = Path.Combine(ProjectFolders.Data, "inventory", "heard-of.tsv");
        foreach (
            var (file, content) in LexiconBuilder
                .Shards(words)
                .Select(s => (Path.Combine(folder, s.Name), s.Content))
                .Append((heardOf, builder.HeardOf(words)))
        )
        {
            if (File.Exists(file) && File.ReadAllText(file) == content)
                continue;
            different++;
            if (check)
                errors.WriteLine($"{file} would come out different.");
            else
                File.WriteAllText(file, content);
        }
        errors.WriteLine($"{words.Count} words, {different} files {(check ? "different" : "written")}.");
        return check && different > 0 ? 1 : 0;
    }
}

using System.Globalization;
using System.Text;
using BoldLadder.Core.Simulation;

namespace BoldLadder.Bench;

/// <summary>
/// A picture of what years came to under one law of forgetting: a dot for each seed, a stroke at the mean, a row for
/// each policy; on the left the mean of the class, on the right its worst-served tenth.
/// </summary>
internal static class RevisitPlot
{
    private const int Panel = 300;
    private const int Names = 100;
    private const int Row = 34;
    private const int Head = 40;
    private const int Gap = 40;

    public static string Of(ForgettingLaw law, IReadOnlyDictionary<RevisitPolicy, IReadOnlyList<YearResult>> results)
    {
        var height = Head + (results.Count * Row) + 30;
        var svg = new StringBuilder();
        svg.AppendLine(
            Said(
                $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{Names + (2 * Panel) + Gap + 20}\" height=\"{height}\""
            )
        );
        svg.AppendLine("  font-family=\"sans-serif\" font-size=\"13\">");
        svg.AppendLine("<rect width=\"100%\" height=\"100%\" fill=\"#fff\"/>");
        Draw(svg, results, Names, $"{law}: mean of the class", r => r.Mean);
        Draw(svg, results, Names + Panel + Gap, "worst-served tenth", r => r.Worst);
        foreach (var (i, policy) in results.Keys.Index())
            svg.AppendLine(Said($"<text x=\"8\" y=\"{Head + (i * Row) + 21}\">{policy}</text>"));
        return svg.AppendLine("</svg>").ToString();
    }

    private static void Draw(
        StringBuilder svg,
        IReadOnlyDictionary<RevisitPolicy, IReadOnlyList<YearResult>> results,
        int left,
        string title,
        Func<YearResult, double> of
    )
    {
        var all = results.Values.SelectMany(r => r).Select(of).ToList();
        var (low, high) = (Math.Floor(all.Min() * 20) / 20, Math.Ceiling(all.Max() * 20) / 20);
        double X(double value) => left + (Panel * (value - low) / (high - low));
        svg.AppendLine(Said($"<text x=\"{left}\" y=\"22\" font-weight=\"bold\">{title}</text>"));
        var bottom = Head + (results.Count * Row);
        for (var tick = low; tick <= high + 0.001; tick += 0.05)
        {
            svg.AppendLine(Said($"<path d=\"M{X(tick):F1} {Head}V{bottom}\" stroke=\"#ddd\"/>"));
            svg.AppendLine(
                Said($"<text x=\"{X(tick):F1}\" y=\"{bottom + 18}\" text-anchor=\"middle\">{tick:F2}</text>")
            );
        }
        foreach (var (i, (policy, years)) in results.Index())
        {
            var y = Head + (i * Row) + 17;
            var colour = policy == RevisitPolicy.Ours ? "#0b6e69" : "#777";
            foreach (var value in years.Select(of))
                svg.AppendLine(
                    Said($"<circle cx=\"{X(value):F1}\" cy=\"{y}\" r=\"3\" fill=\"{colour}\" fill-opacity=\"0.35\"/>")
                );
            svg.AppendLine(
                Said($"<path d=\"M{X(years.Average(of)):F1} {y - 12}v24\" stroke=\"#000\" stroke-width=\"2\"/>")
            );
        }
    }

    private static string Said(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

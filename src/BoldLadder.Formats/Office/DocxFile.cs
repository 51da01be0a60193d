using System.Collections.Immutable;
using System.Globalization;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Wordprocessing;
using A = DocumentFormat.OpenXml.Drawing;
using D = DocumentFormat.OpenXml.Drawing.Wordprocessing;
using P = DocumentFormat.OpenXml.Drawing.Pictures;

namespace BoldLadder.Formats.Office;

/// <summary>A document as a Word file (Office Open XML, ISO/IEC 29500), black on white.</summary>
public static class DocxFile
{
    private const double TwipsPerMillimetre = 1440 / 25.4;
    private const int Margin = 14;
    private const int LineHeight = 12;

    public static byte[] Write(PagedText document)
    {
        using var stream = new MemoryStream();
        using (var file = WordprocessingDocument.Create(stream, WordprocessingDocumentType.Document))
        {
            OfficePackage.Name(file.AddCoreFilePropertiesPart(), document.Title, document.Language);
            var main = file.AddMainDocumentPart();
            main.AddNewPart<StyleDefinitionsPart>("rStyles").Styles = Styles(document.Language);
            main.AddNewPart<FooterPart>("rFooter").Footer = new Footer(
                Paragraph([Letters(new Span(document.Footer, Pale: true), 8, document.ReadingFont)])
            );
            new Writing(main, document).Fill();
        }
        return OfficePackage.Timeless(stream);
    }

    /// <summary>What one document is written with: its pictures are numbered, and kept once each.</summary>
    private sealed class Writing(MainDocumentPart main, PagedText document)
    {
        private readonly Dictionary<byte[], string> images = [];
        private uint pictures;

        private (int Width, int Height) Paper => document.Paper == "Letter" ? (216, 279) : (210, 297);

        private int Room => Paper.Width - (2 * Margin);

        public void Fill()
        {
            var body = new Body();
            foreach (var block in document.Blocks)
                body.Append(Written(block));
            body.Append(
                new SectionProperties(
                    new FooterReference { Type = HeaderFooterValues.Default, Id = "rFooter" },
                    new PageSize { Width = (uint)Twips(Paper.Width), Height = (uint)Twips(Paper.Height) },
                    new PageMargin
                    {
                        Top = Twips(Margin),
                        Bottom = Twips(Margin),
                        Left = (uint)Twips(Margin),
                        Right = (uint)Twips(Margin),
                        Header = (uint)Twips(8),
                        Footer = (uint)Twips(8),
                        Gutter = 0,
                    }
                )
            );
            main.Document = new Document(body);
        }

        private IEnumerable<OpenXmlElement> Written(Block block) =>
            block switch
            {
                HeadingBlock heading =>
                [
                    new Paragraph(
                        new ParagraphProperties(
                            new ParagraphStyleId
                            {
                                Val = string.Create(CultureInfo.InvariantCulture, $"Heading{heading.Level}"),
                            }
                        ),
                        Letters(new Span(heading.Text, heading.Reading), null, document.ReadingFont)
                    ),
                ],
                TextBlock text => [Paragraph(Runs(text.Spans, text.Points), text.Boxed)],
                GridBlock grid => [Table(grid), Small()],
                LinesBlock lines => Enumerable.Range(0, lines.Count).Select(_ => Line()),
                NewPageBlock => [new Paragraph(new Run(new Break { Type = BreakValues.Page }))],
                _ => throw new InvalidOperationException($"Word has no {block.GetType().Name}."),
            };

        private Table Table(GridBlock grid)
        {
            var (total, room) = (grid.Widths.Sum(), Room * grid.Percent / 100.0);
            var widths = grid.Widths.Select(w => Twips(room * w / total)).ToList();
            var table = new Table(
                new TableProperties(
                    new TableWidth { Width = Number(Twips(room)), Type = TableWidthUnitValues.Dxa },
                    Borders(grid.Ruled),
                    new TableLayout { Type = TableLayoutValues.Fixed }
                ),
                new TableGrid(widths.Select(w => new GridColumn { Width = Number(w) }))
            );
            foreach (var row in grid.Cells)
            {
                var written = new TableRow(new TableRowProperties(new CantSplit()));
                if (grid.RowHeight > 0)
                {
                    written.TableRowProperties!.AppendChild(
                        new TableRowHeight { Val = (uint)Twips(grid.RowHeight), HeightType = HeightRuleValues.AtLeast }
                    );
                }
                foreach (var (place, cell) in row.Index())
                {
                    written.Append(
                        new TableCell(
                            new TableCellProperties(
                                new TableCellWidth { Width = Number(widths[place]), Type = TableWidthUnitValues.Dxa },
                                new Shading
                                {
                                    Val = ShadingPatternValues.Clear,
                                    Fill = cell.Filled ? "BBBBBB" : "auto",
                                },
                                new TableCellVerticalAlignment { Val = TableVerticalAlignmentValues.Center }
                            ),
                            Paragraph(Runs(cell.Spans, cell.Points), centred: cell.Centred)
                        )
                    );
                }
                table.Append(written);
            }
            return table;
        }

        private IEnumerable<Run> Runs(ImmutableArray<Span> spans, int points) =>
            spans.Select(s =>
                s.Picture is { } picture
                    ? new Run(Drawing(picture, s.Millimetres))
                    : Letters(s, points, document.ReadingFont)
            );

        private Drawing Drawing(OfficePicture picture, int millimetres)
        {
            if (!images.TryGetValue(picture.Png, out var id))
            {
                id = string.Create(CultureInfo.InvariantCulture, $"rImage{images.Count + 1}");
                images[picture.Png] = id;
                var part = main.AddImagePart(ImagePartType.Png, id);
                using var content = new MemoryStream(picture.Png);
                part.FeedData(content);
            }
            var (width, height) = picture.Fitted(millimetres);
            pictures++;
            var name = string.Create(CultureInfo.InvariantCulture, $"Picture {pictures}");
            return new Drawing(
                new D.Inline(
                    new D.Extent { Cx = width, Cy = height },
                    new D.DocProperties
                    {
                        Id = pictures,
                        Name = name,
                        Description = OfficeText.Clean(picture.Says),
                    },
                    new A.Graphic(
                        new A.GraphicData(
                            new P.Picture(
                                new P.NonVisualPictureProperties(
                                    new P.NonVisualDrawingProperties { Id = pictures, Name = name },
                                    new P.NonVisualPictureDrawingProperties()
                                ),
                                new P.BlipFill(new A.Blip { Embed = id }, new A.Stretch(new A.FillRectangle())),
                                new P.ShapeProperties(
                                    new A.Transform2D(
                                        new A.Offset { X = 0, Y = 0 },
                                        new A.Extents { Cx = width, Cy = height }
                                    ),
                                    new A.PresetGeometry(new A.AdjustValueList())
                                    {
                                        Preset = A.ShapeTypeValues.Rectangle,
                                    }
                                )
                            )
                        )
                        {
                            Uri = "http://schemas.openxmlformats.org/drawingml/2006/picture",
                        }
                    )
                )
                {
                    DistanceFromTop = 0,
                    DistanceFromBottom = 0,
                    DistanceFromLeft = 0,
                    DistanceFromRight = 0,
                }
            );
        }
    }

    private static Paragraph Paragraph(IEnumerable<Run> runs, bool boxed = false, bool centred = false)
    {
        var look = new ParagraphProperties();
        if (boxed)
        {
            look.Append(
                new ParagraphBorders(
                    new TopBorder
                    {
                        Val = BorderValues.Single,
                        Size = 6,
                        Space = 4,
                    },
                    new LeftBorder
                    {
                        Val = BorderValues.Single,
                        Size = 6,
                        Space = 4,
                    },
                    new BottomBorder
                    {
                        Val = BorderValues.Single,
                        Size = 6,
                        Space = 4,
                    },
                    new RightBorder
                    {
                        Val = BorderValues.Single,
                        Size = 6,
                        Space = 4,
                    }
                )
            );
        }
        if (centred)
            look.Append(new Justification { Val = JustificationValues.Center });
        return new Paragraph([look, .. runs]);
    }

    /// <summary>A line to write on: an empty paragraph with a border under it.</summary>
    private static Paragraph Line() =>
        new(
            new ParagraphProperties(
                new ParagraphBorders(
                    new BottomBorder
                    {
                        Val = BorderValues.Single,
                        Size = 4,
                        Space = 1,
                    },
                    // Lines that look alike are drawn one by one only with a border between them.
                    new BetweenBorder
                    {
                        Val = BorderValues.Single,
                        Size = 4,
                        Space = 1,
                    }
                ),
                new SpacingBetweenLines
                {
                    Before = "0",
                    After = "0",
                    Line = Number(Twips(LineHeight)),
                    LineRule = LineSpacingRuleValues.Exact,
                }
            )
        );

    /// <summary>What must stand after a table, and is hardly seen.</summary>
    private static Paragraph Small() =>
        new(
            new ParagraphProperties(
                new SpacingBetweenLines
                {
                    Before = "0",
                    After = "0",
                    Line = "220",
                    LineRule = LineSpacingRuleValues.Exact,
                }
            )
        );

    /// <param name="points">Null for the style's.</param>
    private static Run Letters(Span span, int? points, string readingFont)
    {
        var look = new RunProperties();
        if (span.Reading)
            look.Append(new RunFonts { Ascii = readingFont, HighAnsi = readingFont });
        if (span.Bold)
            look.Append(new Bold());
        if (span.Pale)
            look.Append(new Color { Val = "666666" });
        if (points is { } size)
            look.Append(new FontSize { Val = Number(size * 2) });
        if (span.Underlined)
            look.Append(new Underline { Val = UnderlineValues.Single });
        return new Run(look, new Text(OfficeText.Clean(span.Text)) { Space = SpaceProcessingModeValues.Preserve });
    }

    private static TableBorders Borders(bool ruled)
    {
        var kind = ruled ? BorderValues.Single : BorderValues.None;
        return new TableBorders(
            new TopBorder { Val = kind, Size = 6 },
            new LeftBorder { Val = kind, Size = 6 },
            new BottomBorder { Val = kind, Size = 6 },
            new RightBorder { Val = kind, Size = 6 },
            new InsideHorizontalBorder { Val = kind, Size = 6 },
            new InsideVerticalBorder { Val = kind, Size = 6 }
        );
    }

    private static Styles Styles(string language) =>
        new(
            new DocDefaults(
                new RunPropertiesDefault(
                    new RunPropertiesBaseStyle(
                        new RunFonts { Ascii = "Arial", HighAnsi = "Arial" },
                        new FontSize { Val = "22" },
                        new Languages { Val = language }
                    )
                ),
                new ParagraphPropertiesDefault(
                    new ParagraphPropertiesBaseStyle(new SpacingBetweenLines { Before = "0", After = "80" })
                )
            ),
            new Style(new StyleName { Val = "Normal" })
            {
                Type = StyleValues.Paragraph,
                StyleId = "Normal",
                Default = true,
            },
            HeadingStyle(1, 16),
            HeadingStyle(2, 13),
            HeadingStyle(3, 11)
        );

    private static Style HeadingStyle(int level, int points) =>
        new(
            new StyleName { Val = string.Create(CultureInfo.InvariantCulture, $"heading {level}") },
            new BasedOn { Val = "Normal" },
            new NextParagraphStyle { Val = "Normal" },
            new PrimaryStyle(),
            new StyleParagraphProperties(
                new KeepNext(),
                new SpacingBetweenLines { Before = "120", After = "40" },
                new OutlineLevel { Val = level - 1 }
            ),
            new StyleRunProperties(new Bold(), new FontSize { Val = Number(points * 2) })
        )
        {
            Type = StyleValues.Paragraph,
            StyleId = string.Create(CultureInfo.InvariantCulture, $"Heading{level}"),
        };

    private static int Twips(double millimetres) => (int)Math.Round(millimetres * TwipsPerMillimetre);

    private static string Number(int number) => number.ToString(CultureInfo.InvariantCulture);
}

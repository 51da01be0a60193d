using System.Globalization;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using A = DocumentFormat.OpenXml.Drawing;
using P = DocumentFormat.OpenXml.Presentation;

namespace BoldLadder.Formats.Office;

/// <summary>Slides as a PowerPoint file (Office Open XML, ISO/IEC 29500), 16 by 9, black on white.</summary>
public static class PptxFile
{
    private const int Millimetre = 36000;
    private const int Width = 12192000;
    private const int Height = 6858000;
    private const uint FirstSlideId = 256;
    private const uint FirstMasterId = 2147483648;
    private const int Margin = 14 * Millimetre;
    private const int HeadingTop = 8 * Millimetre;
    private const int HeadingHeight = 14 * Millimetre;
    private const int BodyTop = 26 * Millimetre;
    private const int BodyHeight = Height - BodyTop - (10 * Millimetre);
    private const int PictureRow = 62;
    private const int PictureAlone = 110;
    private const int Gap = 10 * Millimetre;

    public static byte[] Write(Deck deck)
    {
        using var stream = new MemoryStream();
        using (var file = PresentationDocument.Create(stream, PresentationDocumentType.Presentation))
        {
            OfficePackage.Name(file.AddCoreFilePropertiesPart(), deck.Title, deck.Language);
            var main = file.AddPresentationPart();
            var master = main.AddNewPart<SlideMasterPart>("rMaster");
            var layout = master.AddNewPart<SlideLayoutPart>("rLayout");
            layout.AddPart(master, "rMaster");
            var theme = master.AddNewPart<ThemePart>("rTheme");
            theme.Theme = new A.Theme(OfficeTheme.Xml);
            layout.SlideLayout = new P.SlideLayout(Tree(Placeholder(2, deck))) { Type = P.SlideLayoutValues.TitleOnly };
            master.SlideMaster = new P.SlideMaster(
                Tree(Placeholder(2, deck)),
                ColourMap(),
                new P.SlideLayoutIdList(new P.SlideLayoutId { Id = FirstMasterId + 1, RelationshipId = "rLayout" })
            );
            var notes = main.AddNewPart<NotesMasterPart>("rNotes");
            notes.AddNewPart<ThemePart>("rTheme").Theme = new A.Theme(OfficeTheme.Xml);
            notes.NotesMaster = new P.NotesMaster(Tree(), ColourMap());
            var ids = new P.SlideIdList();
            foreach (var (place, slide) in deck.Slides.Index())
            {
                var id = $"rSlide{place + 1}";
                var part = main.AddNewPart<SlidePart>(id);
                part.AddPart(layout, "rLayout");
                part.Slide = SlideOf(part, slide, deck);
                var said = part.AddNewPart<NotesSlidePart>("rNotes");
                said.AddPart(notes, "rMaster");
                said.AddPart(part, "rSlide");
                said.NotesSlide = new P.NotesSlide(Tree(NotesBody(slide.Notes, deck)));
                ids.Append(new P.SlideId { Id = FirstSlideId + (uint)place, RelationshipId = id });
            }
            main.Presentation = new P.Presentation(
                new P.SlideMasterIdList(new P.SlideMasterId { Id = FirstMasterId, RelationshipId = "rMaster" }),
                new P.NotesMasterIdList(new P.NotesMasterId { Id = "rNotes" }),
                ids,
                new P.SlideSize { Cx = Width, Cy = Height },
                new P.NotesSize { Cx = Height, Cy = Width }
            );
        }
        return OfficePackage.Timeless(stream);
    }

    private static P.Slide SlideOf(SlidePart part, Slide slide, Deck deck)
    {
        var shapes = new List<OpenXmlElement> { Heading(slide.Heading, deck) };
        var hasText = !slide.Lines.IsEmpty;
        var pictured = !slide.Pictures.IsEmpty;
        var textHeight = pictured ? BodyHeight - (PictureRow * Millimetre) - Gap : BodyHeight;
        if (hasText)
            shapes.Add(Body(slide, deck, textHeight));
        var side = hasText || slide.Pictures.Length > 1 ? PictureRow : PictureAlone;
        var sizes = slide.Pictures.Select(p => p.Fitted(side)).ToList();
        var left = (Width - sizes.Sum(s => s.Width) - (Gap * Math.Max(0, sizes.Count - 1))) / 2;
        var top = hasText ? BodyTop + textHeight + Gap : BodyTop + ((BodyHeight - (side * Millimetre)) / 2);
        foreach (var (place, picture) in slide.Pictures.Index())
        {
            var image = part.AddImagePart(ImagePartType.Png, $"rImage{place + 1}");
            using (var content = new MemoryStream(picture.Png))
                image.FeedData(content);
            shapes.Add(PictureShape((uint)(10 + place), $"rImage{place + 1}", picture.Says, (left, top), sizes[place]));
            left += sizes[place].Width + Gap;
        }
        return new P.Slide(Tree([.. shapes]));
    }

    /// <summary>The part of a slide, a layout or a master that holds its shapes.</summary>
    private static P.CommonSlideData Tree(params OpenXmlElement[] shapes) =>
        new(
            new P.ShapeTree([
                new P.NonVisualGroupShapeProperties(
                    new P.NonVisualDrawingProperties { Id = 1, Name = "" },
                    new P.NonVisualGroupShapeDrawingProperties(),
                    new P.ApplicationNonVisualDrawingProperties()
                ),
                new P.GroupShapeProperties(new A.TransformGroup()),
                .. shapes,
            ])
        );

    private static P.Shape Placeholder(uint id, Deck deck) => TitleShape(id, [Paragraph([], deck.Language)]);

    private static P.Shape Heading(string text, Deck deck) =>
        TitleShape(2, [Paragraph([Run(text, 20, null, deck.Language)], deck.Language, A.TextAlignmentTypeValues.Left)]);

    private static P.Shape TitleShape(uint id, A.Paragraph[] paragraphs) =>
        new(
            new P.NonVisualShapeProperties(
                new P.NonVisualDrawingProperties { Id = id, Name = "Title" },
                new P.NonVisualShapeDrawingProperties(new A.ShapeLocks { NoGrouping = true }),
                new P.ApplicationNonVisualDrawingProperties(new P.PlaceholderShape { Type = P.PlaceholderValues.Title })
            ),
            new P.ShapeProperties(Placed((Margin, HeadingTop), (Width - (2 * Margin), HeadingHeight))),
            new P.TextBody([new A.BodyProperties(), new A.ListStyle(), .. paragraphs])
        );

    private static P.Shape Body(Slide slide, Deck deck, long height) =>
        new(
            new P.NonVisualShapeProperties(
                new P.NonVisualDrawingProperties { Id = 3, Name = "Text" },
                new P.NonVisualShapeDrawingProperties { TextBox = true },
                new P.ApplicationNonVisualDrawingProperties()
            ),
            new P.ShapeProperties(
                Placed((Margin, BodyTop), (Width - (2 * Margin), height)),
                new A.PresetGeometry(new A.AdjustValueList()) { Preset = A.ShapeTypeValues.Rectangle }
            ),
            new P.TextBody([
                new A.BodyProperties(new A.NoAutoFit())
                {
                    Wrap = A.TextWrappingValues.Square,
                    Anchor = A.TextAnchoringTypeValues.Center,
                },
                new A.ListStyle(),
                .. slide.Lines.Select(l =>
                    Paragraph(
                        [Run(l.Text, l.Points, l.Reading ? deck.ReadingFont : null, deck.Language)],
                        deck.Language,
                        A.TextAlignmentTypeValues.Center
                    )
                ),
            ])
        );

    private static P.Shape NotesBody(string notes, Deck deck) =>
        new(
            new P.NonVisualShapeProperties(
                new P.NonVisualDrawingProperties { Id = 2, Name = "Notes" },
                new P.NonVisualShapeDrawingProperties(new A.ShapeLocks { NoGrouping = true }),
                new P.ApplicationNonVisualDrawingProperties(
                    new P.PlaceholderShape { Type = P.PlaceholderValues.Body, Index = 1 }
                )
            ),
            new P.ShapeProperties(),
            new P.TextBody([
                new A.BodyProperties(),
                new A.ListStyle(),
                .. notes.Split('\n').Select(line => Paragraph([Run(line, 14, null, deck.Language)], deck.Language)),
            ])
        );

    private static A.Paragraph Paragraph(A.Run[] runs, string language, A.TextAlignmentTypeValues? align = null)
    {
        var paragraph = new A.Paragraph();
        if (align is { } to)
            paragraph.Append(new A.ParagraphProperties { Alignment = to });
        paragraph.Append(runs);
        paragraph.Append(new A.EndParagraphRunProperties { Language = language });
        return paragraph;
    }

    /// <param name="font">Null for the theme's.</param>
    private static A.Run Run(string text, int points, string? font, string language)
    {
        var look = new A.RunProperties
        {
            Language = language,
            FontSize = points * 100,
            Dirty = false,
        };
        look.Append(new A.SolidFill(new A.RgbColorModelHex { Val = "000000" }));
        if (font is not null)
            look.Append(new A.LatinFont { Typeface = font });
        return new A.Run(look, new A.Text(OfficeText.Clean(text)));
    }

    private static P.Picture PictureShape(
        uint id,
        string image,
        string says,
        (long Left, long Top) at,
        (long Width, long Height) size
    ) =>
        new(
            new P.NonVisualPictureProperties(
                new P.NonVisualDrawingProperties
                {
                    Id = id,
                    Name = string.Create(CultureInfo.InvariantCulture, $"Picture {id}"),
                    Description = OfficeText.Clean(says),
                },
                new P.NonVisualPictureDrawingProperties(new A.PictureLocks { NoChangeAspect = true }),
                new P.ApplicationNonVisualDrawingProperties()
            ),
            new P.BlipFill(new A.Blip { Embed = image }, new A.Stretch(new A.FillRectangle())),
            new P.ShapeProperties(
                Placed(at, size),
                new A.PresetGeometry(new A.AdjustValueList()) { Preset = A.ShapeTypeValues.Rectangle }
            )
        );

    private static A.Transform2D Placed((long Left, long Top) at, (long Width, long Height) size) =>
        new(new A.Offset { X = at.Left, Y = at.Top }, new A.Extents { Cx = size.Width, Cy = size.Height });

    private static P.ColorMap ColourMap() =>
        new()
        {
            Background1 = A.ColorSchemeIndexValues.Light1,
            Text1 = A.ColorSchemeIndexValues.Dark1,
            Background2 = A.ColorSchemeIndexValues.Light2,
            Text2 = A.ColorSchemeIndexValues.Dark2,
            Accent1 = A.ColorSchemeIndexValues.Accent1,
            Accent2 = A.ColorSchemeIndexValues.Accent2,
            Accent3 = A.ColorSchemeIndexValues.Accent3,
            Accent4 = A.ColorSchemeIndexValues.Accent4,
            Accent5 = A.ColorSchemeIndexValues.Accent5,
            Accent6 = A.ColorSchemeIndexValues.Accent6,
            Hyperlink = A.ColorSchemeIndexValues.Hyperlink,
            FollowedHyperlink = A.ColorSchemeIndexValues.FollowedHyperlink,
        };
}

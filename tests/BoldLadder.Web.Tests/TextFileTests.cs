using System.IO.Compression;
using System.Text;
using BoldLadder.Core;
using BoldLadder.Formats.Office;
using BoldLadder.Formats.Texts;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>The text of files that people have, and what is said of those that have none for us.</summary>
public sealed class TextFileTests
{
    private const string Word = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";

    private static byte[] Zip(params (string Name, string Content)[] files)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var (name, content) in files)
            {
                using var entry = new StreamWriter(zip.CreateEntry(name).Open());
                entry.Write(content);
            }
        }
        return stream.ToArray();
    }

    private static byte[] Docx(string body) =>
        Zip(("word/document.xml", $"<w:document xmlns:w=\"{Word}\"><w:body>{body}</w:body></w:document>"));

    private static byte[] Epub(string page, string encryption = "") =>
        Zip([
            ("mimetype", "application/epub+zip"),
            (
                "META-INF/container.xml",
                "<container><rootfiles><rootfile full-path=\"OEBPS/book.opf\"/></rootfiles></container>"
            ),
            (
                "OEBPS/book.opf",
                "<package><manifest><item id=\"b\" href=\"two%20b.xhtml\"/><item id=\"a\" href=\"../OEBPS/one.xhtml\"/>"
                    + "</manifest><spine><itemref idref=\"a\"/><itemref idref=\"b\"/></spine></package>"
            ),
            ("OEBPS/one.xhtml", page),
            (
                "OEBPS/two b.xhtml",
                "<html><head><title>no</title></head><body><p>The end.</p><script>no()</script></body></html>"
            ),
            .. encryption.Length > 0 ? [("META-INF/encryption.xml", encryption)] : Array.Empty<(string, string)>(),
        ]);

    private static string Refused(byte[] file) => Assert.Throws<RefusedException>(() => TextFile.Read(file)).Code;

    [Fact]
    public void A_document_gives_its_paragraphs_without_what_was_struck_out_or_only_counted()
    {
        var text = TextFile.Read(
            Docx(
                "<w:p><w:r><w:t>A cat</w:t><w:tab/><w:t xml:space=\"preserve\">sat. </w:t></w:r>"
                    + "<w:del><w:r><w:delText>gone</w:delText></w:r></w:del><w:r><w:instrText>PAGE</w:instrText></w:r></w:p>"
                    + "<w:p><w:r><w:t>It ran</w:t><w:br/><w:t>off.</w:t></w:r></w:p><w:tbl><w:tr><w:tc><w:p><w:r><w:t>Mud"
                    + "</w:t></w:r></w:p></w:tc></w:tr></w:tbl>"
            )
        );
        Assert.Equal("A cat sat.\nIt ran\noff.\nMud", text.Replace(" \n", "\n", StringComparison.Ordinal));
    }

    [Fact]
    public void What_this_product_writes_as_a_document_it_reads_again()
    {
        var text = TextFile.Read(
            DocxFile.Write(
                new PagedText("a", "en-GB", "A4", "Andika", "", [TextBlock.Of("The cat sat."), TextBlock.Of("It ran.")])
            )
        );
        Assert.Contains("The cat sat.\nIt ran.", text, StringComparison.Ordinal);
    }

    [Fact]
    public void An_open_document_gives_its_paragraphs_and_headings()
    {
        var text = TextFile.Read(
            Zip(
                ("mimetype", "application/vnd.oasis.opendocument.text"),
                (
                    "content.xml",
                    "<o:body xmlns:o=\"o\" xmlns:t=\"t\"><t:tracked-changes><t:p>no</t:p></t:tracked-changes><t:h>The pup"
                        + "</t:h><t:p>A <t:span>pup</t:span><t:s/>sat<t:line-break/>down.<o:annotation><t:p>no</t:p>"
                        + "</o:annotation></t:p></o:body>"
                )
            )
        );
        Assert.Equal("The pup\nA pup sat\ndown.", text);
    }

    [Fact]
    public void A_book_gives_its_pages_in_the_order_of_its_spine()
    {
        var text = TextFile.Read(
            Epub(
                "<!DOCTYPE html><html xmlns=\"http://www.w3.org/1999/xhtml\"><head><style>no</style></head><body>"
                    + "<nav><p>no</p></nav><h1>One</h1><p>A cat&nbsp;sat\n   on a mat &mdash; \n and slept.</p></body></html>"
            )
        );
        Assert.Equal("One\nA cat\u00A0sat on a mat — and slept.\nThe end.", text);
    }

    [Fact]
    public void A_book_whose_fonts_alone_are_hidden_can_be_read_and_a_locked_one_can_not()
    {
        const string page = "<html><body><p>A cat.</p></body></html>";
        Assert.Contains(
            "A cat.",
            TextFile.Read(Epub(page, "<e><m Algorithm=\"http://www.idpf.org/2008/embedding\"/></e>")),
            StringComparison.Ordinal
        );
        Assert.Equal(
            "text-file-locked",
            Refused(Epub(page, "<e><m Algorithm=\"http://www.w3.org/2001/04/xmlenc#aes256-cbc\"/></e>"))
        );
        Assert.Equal(
            "text-file-locked",
            Refused(
                Zip(
                    ("mimetype", "application/vnd.oasis.opendocument.text"),
                    ("META-INF/manifest.xml", "<m><encryption-data/></m>"),
                    ("content.xml", "x")
                )
            )
        );
    }

    [Theory]
    [InlineData("%PDF-1.7", "text-file-pdf")]
    [InlineData("\u00D0\u00CF\u0011\u00E0\u00A1", "text-file-locked")]
    [InlineData("{\\rtf1 A cat.}", "text-file-kind")]
    [InlineData("\u0089PNG", "text-file-kind")]
    public void A_file_of_another_kind_is_named(string begin, string code) =>
        Assert.Equal(code, Refused(Encoding.Latin1.GetBytes(begin)));

    [Fact]
    public void What_is_broken_or_packed_without_end_is_refused_before_it_fills_the_memory()
    {
        Assert.Equal("text-file-broken", Refused(Docx("<w:p><w:r>")));
        Assert.Equal("not-packed", Refused([.. "PK\u0003\u0004 nothing more"u8]));
        Assert.Equal("text-file-kind", Refused(Zip(("a.txt", "A cat."))));
        Assert.Equal("text-file-broken", Refused(Zip(("mimetype", "application/epub+zip"))));
        Assert.Equal("packed-too-large", Refused(Docx(new string(' ', 20_000_000))));
        Assert.Equal("text-too-long", Refused(Docx($"<w:p><w:r><w:t>{new string('a', 2_500_000)}</w:t></w:r></w:p>")));
        Assert.Equal("text-too-long", Refused(Encoding.UTF8.GetBytes(new string('a', 2_500_000))));
        // A document may name another that is to be fetched, or an entity that grows: neither is looked at.
        Assert.Equal(
            "text-file-broken",
            Refused(
                Zip(
                    (
                        "word/document.xml",
                        "<!DOCTYPE d [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]><d><t>&b;</t></d>"
                    )
                )
            )
        );
    }

    [Fact]
    public void However_much_a_file_unpacks_to_no_more_is_taken_than_its_largest_part_may_need()
    {
        const int Megabyte = 1024 * 1024;
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            using var entry = zip.CreateEntry("word/document.xml").Open();
            for (var i = 0; i < 300; i++)
                entry.Write(new byte[Megabyte]);
        }
        var file = stream.ToArray();
        Assert.InRange(file.Length, 1, Megabyte);
        var before = GC.GetAllocatedBytesForCurrentThread();
        Assert.Equal("packed-too-large", Refused(file));
        Assert.InRange(GC.GetAllocatedBytesForCurrentThread() - before, 0, 48 * Megabyte);
    }

    [Fact]
    public void Plain_text_is_read_in_any_usual_encoding()
    {
        Assert.Equal("café", TextFile.Read(Encoding.UTF8.GetBytes("café")));
        Assert.Equal("café", TextFile.Read(Encoding.Latin1.GetBytes("café")));
        Assert.Equal("café", TextFile.Read([.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes("café")]));
    }

    [Fact]
    public void A_table_of_books_takes_its_columns_by_name_and_says_what_it_leaves_out()
    {
        var table = BookTable.Read(
            Encoding.UTF8.GetBytes(
                "Label;Title;Shelf;Pages;Copies;Words\nRed;A cat;x;8;6;\"A cat sat.\nIt ran.\"\n;;;;;x\nRed;Pup;;ten;1;\nRed;Hen;;;;\n"
            )
        );
        Assert.Equal([("A cat", 8, 6), ("Hen", 0, 1)], table.Books.Select(b => (b.Title, b.Pages, b.Copies)));
        Assert.Equal("A cat sat.\nIt ran.", table.Books[0].Words);
        Assert.Equal([(4, "no-title"), (5, "pages")], table.LeftOut.Select(l => (l.Line, l.Why)));
        Assert.Equal("Shelf", Assert.Single(table.OtherColumns));
        Assert.Equal(
            "books-without-title",
            Assert.Throws<RefusedException>(() => BookTable.Read("a,b\n1,2"u8.ToArray())).Code
        );
    }
}

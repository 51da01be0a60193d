namespace BoldLadder.Formats.Office;

/// <summary>The theme that every presentation must have: black on white, and quiet greys.</summary>
internal static class OfficeTheme
{
    private const string Fill = """<a:solidFill><a:schemeClr val="phClr"/></a:solidFill>""";
    private const string Line = $"""<a:ln w="9525">{Fill}</a:ln>""";
    private const string Effect = "<a:effectStyle><a:effectLst/></a:effectStyle>";

    public const string Xml = $"""
        <a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="Bold Ladder"><a:themeElements>
        <a:clrScheme name="Paper"><a:dk1><a:srgbClr val="000000"/></a:dk1><a:lt1><a:srgbClr val="FFFFFF"/></a:lt1>
        <a:dk2><a:srgbClr val="333333"/></a:dk2><a:lt2><a:srgbClr val="F2F2F2"/></a:lt2>
        <a:accent1><a:srgbClr val="444444"/></a:accent1><a:accent2><a:srgbClr val="666666"/></a:accent2>
        <a:accent3><a:srgbClr val="888888"/></a:accent3><a:accent4><a:srgbClr val="AAAAAA"/></a:accent4>
        <a:accent5><a:srgbClr val="CCCCCC"/></a:accent5><a:accent6><a:srgbClr val="222222"/></a:accent6>
        <a:hlink><a:srgbClr val="000000"/></a:hlink><a:folHlink><a:srgbClr val="000000"/></a:folHlink></a:clrScheme>
        <a:fontScheme name="Plain"><a:majorFont><a:latin typeface="Arial"/><a:ea typeface=""/><a:cs typeface=""/>
        </a:majorFont><a:minorFont><a:latin typeface="Arial"/><a:ea typeface=""/><a:cs typeface=""/></a:minorFont>
        </a:fontScheme><a:fmtScheme name="Flat"><a:fillStyleLst>{Fill}{Fill}{Fill}</a:fillStyleLst>
        <a:lnStyleLst>{Line}{Line}{Line}</a:lnStyleLst>
        <a:effectStyleLst>{Effect}{Effect}{Effect}</a:effectStyleLst>
        <a:bgFillStyleLst>{Fill}{Fill}{Fill}</a:bgFillStyleLst></a:fmtScheme></a:themeElements></a:theme>
        """;
}

using BoldLadder.Core.Children;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Of a child's name only what is needed is kept. Source: docs/handbook.md, section 10.</summary>
public class ChildNameTests
{
    [Theory]
    [InlineData("Aisha", "Aisha", false)]
    [InlineData("  Aisha  ", "Aisha", false)]
    [InlineData("Aisha B", "Aisha B", false)]
    [InlineData("Aisha B.", "Aisha B", false)]
    [InlineData("Aisha Begum", "Aisha B", true)]
    [InlineData("Begum, Aisha", "Aisha B", true)]
    [InlineData("Anna Maria Lopez", "Anna L", true)]
    [InlineData("Mary-Ann O'Neil", "Mary-Ann O", true)]
    [InlineData("A.B.", "A.B.", false)]
    [InlineData("AB", "AB", false)]
    [InlineData("Zoë de la Cruz", "Zoë C", true)]
    [InlineData("Łukasz żak", "Łukasz Ż", true)]
    [InlineData("小龙 李", "小龙 李", false)]
    public void A_name_is_a_given_name_and_at_most_a_letter(string line, string name, bool isShortened) =>
        Assert.Equal(new ChildName(name, isShortened), ChildName.Read(line));

    [Theory]
    [InlineData("")]
    [InlineData("12")]
    [InlineData("Aisha 7")]
    [InlineData("2019-05-03")]
    [InlineData("aisha@school.example")]
    [InlineData("=CMD()")]
    [InlineData("+Aisha")]
    [InlineData("---")]
    [InlineData("Aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa")]
    public void What_is_no_name_is_not_taken_for_one(string line) => Assert.Null(ChildName.Read(line));

    [Theory]
    [InlineData("Aisha Noor", "Begum", "Aisha B", true)]
    [InlineData("Aisha", "", "Aisha", false)]
    [InlineData("Zoë", "de la Cruz", "Zoë D", true)]
    public void Two_columns_give_a_name(string given, string family, string name, bool isShortened) =>
        Assert.Equal(new ChildName(name, isShortened), ChildName.Of(given, family));

    [Fact]
    public void A_name_that_was_read_reads_the_same_again()
    {
        foreach (var line in new[] { "Aisha Begum", "Begum, Aisha", "Anna Maria Lopez", "A.B.", "Łukasz Żak" })
            Assert.Equal(
                ChildName.Read(line)! with
                {
                    IsShortened = false,
                },
                ChildName.Read(ChildName.Read(line)!.Text)
            );
    }
}

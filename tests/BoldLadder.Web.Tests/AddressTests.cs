using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Web.Setup;
using Xunit;

namespace BoldLadder.Web.Tests;

public class AddressTests
{
    [Theory]
    [InlineData("sound-family", LessonDay.SoundFamily)]
    [InlineData("new", LessonDay.New)]
    [InlineData("New", LessonDay.New)]
    [InlineData("3", null)]
    [InlineData("none", null)]
    [InlineData("", null)]
    [InlineData(null, null)]
    public void An_address_names_an_enum_in_kebab_case(string? name, LessonDay? day) =>
        Assert.Equal(day, Kebab.Parse<LessonDay>(name));
}

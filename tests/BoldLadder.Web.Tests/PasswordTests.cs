using BoldLadder.School.People;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Which passwords will do. Source: OWASP ASVS 2.1.</summary>
public class PasswordTests
{
    private static readonly Passwords Rules = Passwords.Shipped();

    [Theory]
    [InlineData("three-calm-boats-drift", null)]
    [InlineData("ëlf-ünder-ä-böat", null)]
    [InlineData("eleven-long", "bad-password")]
    [InlineData("password1234", "common-password.guessed")]
    [InlineData("Unbelievable", "common-password.guessed")]
    [InlineData("dragondragon", "common-password.guessed")]
    [InlineData("abcdabcdabcdabcd", "common-password.guessed")]
    [InlineData("aaaaaaaaaaaaaaaa", "common-password.guessed")]
    [InlineData("quill-likes-boats", "common-password.person")]
    [InlineData("under-the-harbour-sky", "common-password.person")]
    public void A_password_is_long_not_common_and_has_nothing_of_the_person(string password, string? why) =>
        Assert.Equal(why, Rules.Wrong(password, "Ada Quill", "ada@harbour.example")?.Sentence);

    [Fact]
    public void The_longest_password_will_do_and_one_more_sign_will_not()
    {
        var longest = string.Concat(Enumerable.Range(0, Passwords.Longest).Select(i => (char)('a' + (i * 7 % 26))));
        Assert.Null(Rules.Wrong(longest));
        Assert.Equal("bad-password", Rules.Wrong(longest + "x")?.Code);
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Editing;
using BoldLadder.Core.Lessons.Planning;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>A change of a lesson can be taken back, under what others changed elsewhere in it.</summary>
public class LessonEditsTests
{
    private static readonly Lesson One = LessonPlanner.Plan(Given.Request(30, 1));
    private static readonly Lesson Other = LessonPlanner.Plan(Given.Request(31, 2));
    private static readonly ImmutableArray<Activity> Activities = [.. One.Activities];

    /// <summary>
    /// Any change a command could make: items left out, lengths, places, activities gone or new, the note, another
    /// lesson.
    /// </summary>
    private static readonly Gen<Func<Lesson, Lesson>> Change = Gen.Select(
            Gen.Int[0, 6],
            Gen.Int[0, Activities.Length - 1],
            Gen.Int[0, 5]
        )
        .Select(
            (kind, which, place) =>
                new Func<Lesson, Lesson>(lesson =>
                {
                    var activity = lesson.Find(Activities[which].Id);
                    return (kind, activity) switch
                    {
                        (0, { Items.Length: > 1 }) => lesson.With(activity with { Items = activity.Items.RemoveAt(0) }),
                        (1, not null) => lesson.With(activity with { Seconds = 60 + place, SetByHand = true }),
                        (2, not null) when lesson.Activities.Count() > 1 => lesson.Without(activity.Id),
                        (3, not null) => Moved(lesson, activity, place),
                        (4, null) => lesson.WithNew(PartKind.Practise, place, Activities[which]),
                        (5, _) => lesson with { Remark = place == 0 ? null : $"Note {place}" },
                        (6, _) when place == 0 => Other,
                        _ => lesson,
                    };
                })
        );

    private static Lesson Moved(Lesson lesson, Activity activity, int place) =>
        lesson with
        {
            Parts =
            [
                .. lesson.Parts.Select(p =>
                    p.Activities.Contains(activity)
                        ? p with
                        {
                            Activities = p
                                .Activities.Remove(activity)
                                .Insert(Math.Min(place, p.Activities.Length - 1), activity),
                        }
                        : p
                ),
            ],
        };

    [Fact]
    public void What_is_between_two_lessons_makes_the_one_of_the_other() =>
        Change
            .Array[1, 6]
            .Sample(changes =>
            {
                var after = changes.Aggregate(One, (lesson, change) => change(lesson));
                Assert.Equal(
                    LessonDocument.Write(after),
                    LessonDocument.Write(LessonEditing.Apply(One, LessonEditing.Between(One, after)))
                );
                var inverse = LessonEditing.Read(LessonEditing.Write(LessonEditing.Between(after, One)));
                Assert.Equal(LessonDocument.Write(One), LessonDocument.Write(LessonEditing.Apply(after, inverse)));
            });

    [Fact]
    public void A_change_that_collides_with_no_other_is_taken_back_from_under_it() =>
        Gen.Select(Change, Change)
            .Sample(
                (mine, theirs) =>
                {
                    var first = mine(One);
                    var both = theirs(first);
                    var (inverse, since) = (LessonEditing.Between(first, One), LessonEditing.Between(both, first));
                    // What changes nothing is no change that anyone could lose.
                    if (since.IsEmpty || LessonEditing.Collide(inverse, since))
                        return;
                    Assert.Equal(
                        LessonDocument.Write(theirs(One)),
                        LessonDocument.Write(LessonEditing.Apply(both, inverse))
                    );
                }
            );

    [Fact]
    public void One_item_kept_is_one_activity_to_remember()
    {
        var activity = Activities.First(a => a.Items.Length > 2);
        var kept = One.With(
            activity with
            {
                Items = activity.Items.SetItem(0, activity.Items[0] with { Kept = true }),
            }
        );
        Assert.Equal(
            activity.Id,
            Assert.IsType<ChangeActivity>(Assert.Single(LessonEditing.Between(kept, One))).Activity.Id
        );
    }

    [Fact]
    public void Another_lesson_altogether_collides_with_everything()
    {
        var anew = LessonEditing.Between(Other, One);
        Assert.IsType<MakeAnew>(Assert.Single(anew));
        Assert.True(LessonEditing.Collide(anew, [new WriteRemark("x")]));
        Assert.False(LessonEditing.Collide(anew, []));
    }

    [Fact]
    public void An_older_lesson_inside_an_edit_is_brought_up_to_date()
    {
        var edits = LessonEditing.Read(
            """[{"$type":"anew","lesson":{"format":1,"rungId":"ai=eɪ","target":["ai=eɪ"],"patterns":[],"notes":[],"parts":[]}}]"""
        );
        Assert.Equal("ai", Assert.IsType<MakeAnew>(Assert.Single(edits)).Lesson.Title.Label);
        Assert.Throws<FormatException>(() => LessonEditing.Read("""[{"$type":"burn"}]"""));
    }
}

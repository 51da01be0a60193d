using System.Globalization;
using System.Text.RegularExpressions;
using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Style;
using BoldLadder.Wording;

namespace BoldLadder.School.Papers;

/// <summary>
/// The catalogue as a school says it: its own names for things, its way of showing sounds, its language.
/// </summary>
public sealed partial class Saying(Catalogue catalogue, HouseStyle style)
{
    private static readonly CultureInfo British = CultureInfo.InvariantCulture;

    public string Language => catalogue.Language;

    public string Say(string key, params (string Name, object Value)[] values)
    {
        var said = catalogue.Say(key, values.ToDictionary(v => v.Name, v => v.Value));
        if (style.Labels.GetValueOrDefault("tricky") is { } tricky)
            said = TrickyWord().Replace(said, m => tricky + m.Groups[1].Value);
        if (style.Labels.GetValueOrDefault("double") is { } twice)
            said = Double().Replace(said, m => twice + m.Groups[1].Value);
        return said;
    }

    /// <summary>A key that is put together of a code; the code itself where the catalogue has none.</summary>
    public string Of(string room, string code) => catalogue.Has($"{room}.{code}") ? Say($"{room}.{code}") : code;

    public string Of(ActivityKind kind) => Of("activity", kind.Code());

    public string Of(PartKind kind) => style.Labels.GetValueOrDefault(kind.Code()) ?? Of("part", kind.Code());

    /// <summary>What a day is called: graphemes as they are, patterns and quiet days by name.</summary>
    public string Label(string label) => catalogue.Label(label);

    /// <summary>Tuesday 24 November, or Tuesday, November 24.</summary>
    public string Day(DateOnly date) =>
        date.ToString(catalogue.Language == "en-US" ? "dddd, MMMM d" : "dddd d MMMM", British);

    /// <summary>/eɪ/, or “ai as in rain”, as the school shows sounds.</summary>
    public string Sound(string sounds)
    {
        if (style.SoundLabels == SoundLabels.Ipa)
            return $"/{sounds.Replace('+', ' ')}/";
        return string.Join(
            " + ",
            sounds
                .Split('+')
                .Select(s =>
                    Core.Sounds.Sound.All.FirstOrDefault(known => known.Symbol == s) is { } sound
                        ? Say("sound.plain", ("label", sound.PlainLabel), ("word", sound.KeyWord))
                        : s
                )
        );
    }

    /// <summary>A sound with its key word, said once: a plain label has its key word in it.</summary>
    public string Says(string sounds, string keyWord) =>
        style.SoundLabels == SoundLabels.Ipa
            ? Say("card.says", ("sound", Sound(sounds)), ("word", keyWord))
            : Sound(sounds);

    /// <summary>A sound for who never met such signs: “or” as in corn, whatever the school shows.</summary>
    public string Plain(string sounds, string keyWord) =>
        Say(
            "sound.plain",
            (
                "label",
                string.Join(
                    ' ',
                    sounds
                        .Split('+')
                        .Select(s => Core.Sounds.Sound.All.FirstOrDefault(known => known.Symbol == s)?.PlainLabel ?? s)
                )
            ),
            ("word", keyWord)
        );

    /// <summary>How many fingers or boxes a word takes, as the school counts.</summary>
    public int Count(WordItem word) =>
        style.Counting == Counting.Sounds ? word.Phonemes.Split('|', '+').Length : word.Taps;

    /// <summary>What an adult who is no specialist says and does in an activity.</summary>
    public string ToSay(Activity activity)
    {
        var way = activity.Kind == ActivityKind.ReadWords ? style.Blending.Code() : style.TrickyWay.Code();
        var kind = activity.Kind.Code();
        var line = catalogue.Has($"say.{kind}.{way}") ? Say($"say.{kind}.{way}") : Of("say", kind);
        if (activity.Kind == ActivityKind.Formation && style.Lettering.Lines.Count > 0)
            line += " " + Say("say.lines", ("lines", string.Join(", ", style.Lettering.Lines)));
        if (
            activity.Kind == ActivityKind.NewCorrespondence
            && activity.Items.OfType<CardItem>().FirstOrDefault() is { } card
        )
            return $"{line} {Say(card.CanBeHeld ? "say.held" : "say.short")}";
        return Shared(activity) is { Length: > 0 } shared ? $"{shared} {line}" : line;
    }

    /// <summary>What all of an activity's words or answers share, said once.</summary>
    private string Shared(Activity activity) =>
        activity.Items.FirstOrDefault() switch
        {
            WordItem word when activity.Kind == ActivityKind.HearSound => Of("shared", word.Reasons[0].Code),
            ClueItem clue when clue.Reasons.FirstOrDefault(r => r.Code == "shares-sound") is { } shares => Say(
                "shared.answers",
                ("sound", Sound(shares.Arguments[0]))
            ),
            _ => "",
        };

    [GeneratedRegex(@"\btricky word(s?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex TrickyWord();

    [GeneratedRegex(@"\bdouble(s?)\b")]
    private static partial Regex Double();
}

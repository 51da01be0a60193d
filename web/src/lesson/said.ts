import { lineNames, saysText, soundText, text, textOf, waySayText } from '../text/text';
import { cardsOf, type Activity, type CardItem, type WordItem } from './kinds';

/** What an adult who is no specialist says and does; of what is new, how its sound is said cleanly. */
export function sayText(activity: Activity): string {
  const line = [waySayText(activity.kind), linesText(activity)].filter(Boolean).join(' ');
  const card = activity.kind === 'new-correspondence' ? cardsOf(activity.items)[0] : undefined;
  const shared = sharedText(activity);
  if (card) return `${line} ${text(card.canBeHeld ? 'say.held' : 'say.short')}`;
  return shared ? `${shared} ${line}` : line;
}

/** What all of an activity's words or answers share, said once: where they have the sound, which sound it is. */
export function sharedText(activity: Activity): string {
  const item = activity.items[0];
  if (activity.kind === 'hear-sound' && item?.$type === 'word') return textOf('shared', item.reasons[0]!.code);
  const sound = item?.$type === 'clue' && item.reasons.find((r) => r.code === 'shares-sound')?.arguments[0];
  return sound ? text('shared.answers', { sound: soundText(sound) }) : '';
}

/** How many the adult shows, how many are done together, how many alone; none is not said. */
export function releaseText(steps: NonNullable<Activity['steps']>): string {
  return (['iDo', 'weDo', 'youDo'] as const)
    .filter((step) => steps[step] > 0)
    .map((step) => text(`lesson.${step}`, { count: steps[step] }))
    .join(' · ');
}

/** The school's names of the writing lines, where a letter is formed. */
export const linesText = (activity: Activity) =>
  activity.kind === 'formation' && lineNames().length > 0 ? text('say.lines', { lines: lineNames().join(', ') }) : '';

/** How a word is blended, in the school's way: s · u · n → sun. */
export const blendSteps = (word: WordItem) =>
  word.blend
    ? [word.blend.slice(0, -1).join(' · '), word.blend[word.blend.length - 1]].filter(Boolean).join(' → ')
    : '';

/** How the first word to read is blended. */
export function blendText(activity: Activity): string {
  const first = activity.items[0];
  return activity.kind === 'read-words' && first?.$type === 'word' ? blendSteps(first) : '';
}

/** How the mouth makes the sound, or the phrase for it: in the school's own words where it has some. */
export function cueText(card: CardItem, kind: 'mouth-cue' | 'memory-phrase'): string {
  if (kind === 'memory-phrase') return `${card.grapheme}: ${card.own?.phrase ?? ''}`;
  const cue =
    card.own?.mouthCue ||
    card.sounds
      .split('+')
      .map((s) => textOf('mouth', s))
      .join(' ');
  return `${saysText(card.sounds, card.keyWord)}: ${cue}`;
}

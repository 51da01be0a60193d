import { cardsOf, type Activity, type Item, type LessonView } from './kinds';

/** A grapheme with its sound that a teacher may mark as having wobbled. */
export interface Wobble {
  correspondence: string;
  grapheme: string;
}

const once = (found: readonly Wobble[]) =>
  found.filter((c, i) => found.findIndex((o) => o.correspondence === c.correspondence) === i);

/** What may wobble while a slide is shown: the graphemes of a word that is read or written, or the activity's cards. */
export function wobblesOf(activity: Activity, item: Item | null): Wobble[] {
  if ((item?.$type === 'word' && !item.oral && item.tricky.length === 0) || item?.$type === 'made-up') {
    const sounds = item.phonemes.split('|');
    return once(
      item.graphemes.split('|').map((grapheme, i) => ({ grapheme, correspondence: `${grapheme}=${sounds[i]}` })),
    );
  }
  return once(cardsOf(activity.items));
}

/** What may have wobbled in a lesson: its cards, what is new first, and what was marked while it was taught. */
export function wobblesIn(lesson: LessonView['lesson'], marked: readonly string[]): Wobble[] {
  const cards = once(lesson.parts.flatMap((p) => p.activities.flatMap((a) => cardsOf(a.items))));
  const isNew = (w: Wobble) => Number(lesson.target.includes(w.correspondence));
  return once([
    ...cards.sort((a, b) => isNew(b) - isNew(a)),
    ...marked.map((correspondence) => ({ correspondence, grapheme: correspondence.split('=')[0]! })),
  ]);
}

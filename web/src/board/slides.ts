import { activityFacts, itemFacts, type Facts } from '../facts/facts';
import type { Activity, Item, LessonView } from '../lesson/kinds';

/** One thing on the board at a time: an activity's name, or one of its items. */
export interface Slide {
  part: LessonView['lesson']['parts'][number]['kind'];
  activity: Activity;
  /** Null on the slide that names the activity. */
  item: Item | null;
  /** Where the item is among those of its activity, from 1. */
  at: number;
}

/** True for what children only hear. */
export const isOnlySaid = (item: Item) =>
  (item.$type === 'word' && item.oral) || item.$type === 'clue' || (item.$type === 'pair' && item.by === 'ear');

/** The slides of a lesson in order. What only the adult says gets one slide without print. */
export function slidesOf(lesson: LessonView['lesson'], facts: Facts): Slide[] {
  return lesson.parts.flatMap((part) =>
    part.activities.flatMap((activity): Slide[] => {
      const name: Slide = { part: part.kind, activity, item: null, at: 0 };
      if (activity.items.some(isOnlySaid) || activityFacts(facts, activity.kind).told) return [name];
      return [name, ...activity.items.map((item, i) => ({ part: part.kind, activity, item, at: i + 1 }))];
    }),
  );
}

/** The pictures of a lesson, each once. */
export function picturesOf(lesson: LessonView['lesson']): string[] {
  const items = lesson.parts.flatMap((p) => p.activities.flatMap((a) => a.items));
  return [
    ...new Set(
      items.flatMap((i) => (i.$type === 'picture' ? [i.picture] : i.$type === 'sentence' ? (i.pictures ?? []) : [])),
    ),
  ];
}

/** The slides with the items of one activity in another order; the first item is a new one where it can be. */
export function shuffled(slides: Slide[], activityId: string, random: () => number = Math.random): Slide[] {
  const places = slides.flatMap((s, i) => (s.activity.id === activityId && s.item ? [i] : []));
  const items = places.map((i) => slides[i]!.item);
  for (let i = items.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [items[i], items[j]] = [items[j]!, items[i]!];
  }
  const first = slides[places[0] ?? -1]?.item;
  if (items.length > 1 && items[0] === first) items.push(items.shift()!);
  const result = [...slides];
  places.forEach((place, i) => {
    result[place] = { ...slides[place]!, item: items[i]! };
  });
  return result;
}

/**
 * True when something is hidden until the teacher reveals it: a word to spell, the marks of a word, a gap, an answer.
 */
export function canReveal(slide: Slide, facts: Facts): boolean {
  const type = slide.item?.$type;
  if (type === 'sentence')
    return (
      slide.activity.kind === 'dictate-sentence' || Boolean(slide.item?.$type === 'sentence' && slide.item.pictures)
    );
  return type !== undefined && itemFacts(facts, type).reveals;
}

/** Whose turn it is in an activity that is released in steps; null where all do it together. */
export function stepOf({ activity, item, at }: Slide): 'board.iDo' | 'board.weDo' | 'board.youDo' | null {
  if (!item || !activity.steps) return null;
  const { iDo, weDo } = activity.steps;
  return at <= iDo ? 'board.iDo' : at <= iDo + weDo ? 'board.weDo' : 'board.youDo';
}

import { activityFacts, type Facts } from '../facts/facts';
import type { Activity, Item, LessonView } from '../lesson/kinds';
import { isMet, isWritten, pointsOf, stepsOf } from './steps';

/** One thing on the board at a time: an activity's name, or one of its items. */
export interface Slide {
  /** What is put or drawn on it goes by this. */
  id: string;
  part: LessonView['lesson']['parts'][number]['kind'];
  activity: Activity;
  /** Null on the slide that names the activity. */
  item: Item | null;
  /** Where the item is among those of its activity, from 1. */
  at: number;
  /** How often something more is revealed, until all is. */
  steps: number;
  /** How far the pointer goes: letters of a word and the word, words of a sentence and the sentence. */
  points: number;
  /** True where what is hidden is an answer: going on shows it first. */
  asks: boolean;
}

/** True for what children only hear. */
export const isOnlySaid = (item: Item) =>
  (item.$type === 'word' && item.oral) || item.$type === 'clue' || (item.$type === 'pair' && item.by === 'ear');

/** The slides of a lesson in order. What only the adult says gets one slide without print. */
export function slidesOf(lesson: LessonView['lesson'], facts: Facts): Slide[] {
  return lesson.parts.flatMap((part) =>
    part.activities.flatMap((activity): Slide[] => {
      const slide = (item: Item | null, at: number): Slide => ({
        id: item ? `${activity.id}/${item.id}` : activity.id,
        part: part.kind,
        activity,
        item,
        at,
        ...revealed(item, activity, at, facts),
      });
      if (activity.items.some(isOnlySaid) || activityFacts(facts, activity.kind).told) return [slide(null, 0)];
      return [slide(null, 0), ...activity.items.map((item, i) => slide(item, i + 1))];
    }),
  );
}

/** What is hidden on a slide, and how far its pointer goes. */
export function revealed(item: Item | null, activity: Activity, at: number, facts: Facts) {
  const steps = item ? stepsOf(item, activity, at, facts) : 0;
  return {
    steps,
    points: item ? pointsOf(item, activity) : 0,
    asks: steps > 0 && !isMet(item!, activity, at),
  };
}

/** True for activities whose words can stand in a list, one let out after the other. */
export const canList = (activity: Activity) =>
  activity.items.length > 1 &&
  activity.kind !== 'word-chain' &&
  !isWritten(activity.kind) &&
  activity.items.every((i) => (i.$type === 'word' && !i.oral) || i.$type === 'made-up');

/** The pictures of a lesson, each once. */
export function picturesOf(lesson: LessonView['lesson']): string[] {
  const items = lesson.parts.flatMap((p) => p.activities.flatMap((a) => a.items));
  const named = new Set(
    items.flatMap((i) => {
      if (i.$type === 'picture') return [i.picture];
      if (i.$type === 'scene') return [i.backdrop, ...i.things.map((t) => t.picture)];
      if (i.$type === 'card') return i.own?.picture ? [i.own.picture] : [];
      if (i.$type === 'word') return i.picture ? [i.picture] : [];
      if (i.$type === 'crossword') return i.lines.flatMap((l) => (l.picture ? [l.picture] : []));
      return i.$type === 'sentence' ? (i.pictures ?? []) : [];
    }),
  );
  // One of the school's own that is gone has no name.
  return [...named].filter(Boolean);
}

/** The items of an activity in another order, by their ids; the first is another one where it can be. */
export function shuffledItems(
  slides: readonly Slide[],
  activityId: string,
  random: () => number = Math.random,
): string[] {
  const items = slides.flatMap((s) => (s.activity.id === activityId && s.item ? [s.item.id] : []));
  const first = items[0];
  for (let i = items.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [items[i], items[j]] = [items[j]!, items[i]!];
  }
  if (items.length > 1 && items[0] === first) items.push(items.shift()!);
  return items;
}

/** Whose turn it is in an activity that is released in steps; null where all do it together. */
export function stepOf({ activity, item, at }: Slide): 'board.iDo' | 'board.weDo' | 'board.youDo' | null {
  if (!item || !activity.steps) return null;
  const { iDo, weDo } = activity.steps;
  return at <= iDo ? 'board.iDo' : at <= iDo + weDo ? 'board.weDo' : 'board.youDo';
}

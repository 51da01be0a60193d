import { itemFacts, type Facts } from '../facts/facts';
import type { Activity, ActivityKind, Item, WordItem, MadeUpItem, TextItem } from '../lesson/kinds';
import { trickyWay } from '../text/text';
import { isHuntedText, pagesOf } from './shown/pages';
import { runsOf } from '../words/spelling';

/** Written on boards: counted first, then boxes, then a grapheme at a time, then a tick for each. */
export const isWritten = (kind: ActivityKind) =>
  kind === 'spell-words' || kind === 'spell-tricky' || kind === 'dictate-name';

/** Words that lie as tiles, each made of the one before. */
export const isChained = (activity: Activity, at: number) => activity.kind === 'word-chain' && at > 1;

/** A box of a word that is written: the letters of one grapheme, or a letter of a word learnt by heart. */
export interface Box {
  letters: string;
  /** Which of the boxes it is, in the order of the sounds. */
  part: number;
  /** True for the e of a split digraph: it has no box of its own. */
  isTail: boolean;
}

export function boxesOf(item: WordItem | MadeUpItem): Box[] {
  if (item.$type === 'word' && byHeart(item))
    return [...item.word].map((letters, part) => ({ letters, part, isTail: false }));
  return runsOf(item.word, item.marks).map((run, i, all) => ({
    letters: run.letters,
    part: run.part,
    isTail: all.findIndex((r) => r.part === run.part) < i,
  }));
}

const boxCount = (item: WordItem | MadeUpItem) => boxesOf(item).filter((b) => !b.isTail).length;

export const byHeart = (item: WordItem) => item.tricky.length > 0 && trickyWay() === 'by-heart';

/** How often something more of an item is revealed, until all is. */
export function stepsOf(item: Item, activity: Activity, at: number, facts: Facts): number {
  const { kind } = activity;
  // The pictures to choose from, then which of them fits.
  if (item.$type === 'sentence' && item.pictures) return 2;
  if (item.$type === 'sentence') return kind === 'dictate-sentence' || isHunted(item.words) ? 1 : 0;
  // Of a text its further pages; where it is hunted through, what was found on each.
  if (item.$type === 'text') return pagesOf(item as TextItem).length * (isHuntedText(item as TextItem) ? 2 : 1) - 1;
  if (!item.$type || !itemFacts(facts, item.$type).reveals) return 0;
  switch (item.$type) {
    case 'card':
      // The picture of a phrase comes after it.
      if (kind === 'memory-phrase') return item.own?.picture ? 1 : 0;
      return kind === 'formation' || kind === 'mouth-cue' ? 0 : 1;
    case 'word':
      // The number of boxes, each of them filled, the ticks; where there is a picture, it is the last.
      if (isWritten(kind)) return boxCount(item) + 2;
      if (isChained(activity, at)) return 2;
      return item.picture && !item.hunt ? 2 : 1;
    case 'made-up':
      return isWritten(kind) ? boxCount(item) + 2 : 1;
    case 'spellings':
      return item.graphemes.length;
    case 'scene':
      return item.things.length;
    default:
      return 1;
  }
}

const isHunted = (words: readonly Pick<WordItem, 'hunt'>[]) => words.some((w) => w.hunt?.some((p) => p.isTarget));

/** How far the pointer goes on an item. */
export function pointsOf(item: Item, { kind }: Activity): number {
  switch (item.$type) {
    case 'word':
    case 'made-up':
      // Its graphemes one by one, then the whole word.
      return isWritten(kind) || kind === 'word-chain' ? 0 : Math.max(...item.marks, 0) + 2;
    case 'line':
      return item.words.length;
    case 'sentence':
      return kind === 'dictate-sentence' || item.words.length > 1 ? item.words.length + 1 : 0;
    case 'crossword':
      return item.lines.length;
    case 'text':
      return item.sentences.length;
    default:
      return 0;
  }
}

/**
 * True for what stands there to be read: what it hides helps, and going on leaves it hidden. What is hunted, sorted or
 * solved is shown before the lesson goes on.
 */
export function isMet(item: Item, activity: Activity, at: number): boolean {
  switch (item.$type) {
    case 'card':
      return activity.kind !== 'memory-phrase';
    case 'chunk':
      return true;
    case 'word':
      return !isWritten(activity.kind) && !isChained(activity, at) && !isHunted([item]);
    case 'made-up':
      return !isWritten(activity.kind);
    case 'sentence':
      return activity.kind !== 'dictate-sentence' && !item.pictures && !isHunted(item.words);
    default:
      return false;
  }
}

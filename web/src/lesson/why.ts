import { labelText, reasonText, soundText, text, textOf } from '../text/text';
import { activityFacts, itemFacts, type Facts } from '../facts/facts';
import type { Activity, Item } from './kinds';

/** An item that says why it is there: as a tile it can be asked about, kept or changed alone. */
export type TileItem = Exclude<Extract<Item, { reasons?: unknown }>, { $type?: 'text' }>;

/** The item as a tile; null for one that is not: what is new is told, not chosen, and a chain hangs together. */
export function tileOf(item: Item, kind: Activity['kind'], facts: Facts): TileItem | null {
  return itemFacts(facts, item.$type!).tile && !activityFacts(facts, kind).whole ? (item as TileItem) : null;
}

/**
 * Why an item is there, a line for each thing to know: its sounds or its answer with the reasons, what it means, what
 * is said when it is dictated.
 */
export function whyOf(item: TileItem): string[] {
  const reasons = (item.reasons ?? []).map((r) => reasonText({ ...r, arguments: r.arguments.map(labelText) }));
  const line = (...parts: string[]) => [...parts, ...reasons].filter(Boolean).join(' · ');
  switch (item.$type) {
    case 'word': {
      const tricky = item.tricky.map((i) => item.graphemes.split('|')[i]).join(', ');
      return [
        [line(`/${item.phonemes.replaceAll('|', ' ')}/`), tricky && text('tricky.part', { letters: tricky })]
          .filter(Boolean)
          .join(' · '),
        item.meaning ? text('lesson.means', { meaning: item.meaning }) : '',
        item.sentence ? text('lesson.dictated', { sentence: item.sentence }) : '',
      ].filter(Boolean);
    }
    case 'card':
      return [line(soundText(item.sounds))];
    case 'made-up':
      return [line(`/${item.phonemes.replaceAll('|', ' ')}/`)];
    case 'spellings':
    case 'sentence':
      return [line()];
    case 'pair':
      return [line(textOf('pair', item.by))];
    case 'mend':
      return [line(textOf('mend', item.point))];
    default:
      return [line('word' in item ? item.word : '')];
  }
}

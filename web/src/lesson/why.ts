import { labelText, reasonText, soundText, text } from '../text/text';
import type { Activity, Item } from './lesson';

/** What can be asked about by itself, and be kept or changed alone. */
export type TileItem = Extract<Item, { $type?: 'word' | 'card' | 'made-up' | 'gap' | 'choice' | 'clue' | 'picture' | 'syllables' | 'spellings' | 'missing-word' | 'sentence' }>;

/** What the engine chose one by one. What is new is told, not chosen; a chain hangs together; words read again stand where they were read first. */
const WITHOUT_TILES: Activity['kind'][] = ['word-chain', 'read-unmarked', 'read-at-speed', 'new-correspondence', 'where-it-stands', 'mouth-cue', 'memory-phrase', 'formation'];
const TILES: Item['$type'][] = ['word', 'card', 'made-up', 'gap', 'choice', 'clue', 'picture', 'syllables', 'spellings', 'missing-word', 'sentence'];

/** The item as a tile; null for one that is not. */
export function tileOf(item: Item, kind: Activity['kind']): TileItem | null {
  return TILES.includes(item.$type) && !WITHOUT_TILES.includes(kind) ? (item as TileItem) : null;
}

/** Why an item is there, a line for each thing to know: its sounds or its answer with the reasons, what it means, what is said when it is dictated. */
export function whyOf(item: TileItem): string[] {
  const reasons = (item.reasons ?? []).map((r) => reasonText({ ...r, arguments: r.arguments.map(labelText) }));
  const line = (...parts: string[]) => [...parts, ...reasons].filter(Boolean).join(' · ');
  switch (item.$type) {
    case 'word': {
      const tricky = item.tricky.map((i) => item.graphemes.split('|')[i]).join(', ');
      return [
        [line(`/${item.phonemes.replaceAll('|', ' ')}/`), tricky && text('tricky.part', { letters: tricky })].filter(Boolean).join(' · '),
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
    default:
      return [line('word' in item ? item.word : '')];
  }
}

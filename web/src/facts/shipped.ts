import { readFileSync } from 'node:fs';
import type { Facts } from './facts';

/** For tests: the facts of activities and items as the core reads them, from the same tables. */
function rows(table: string): string[][] {
  return readFileSync(`${import.meta.dirname}/../../../data/templates/${table}.tsv`, 'utf8')
    .trimEnd()
    .split('\n')
    .slice(1)
    .map((line) => line.split('\t'));
}

const has = (marks: string | undefined, mark: string) => (marks ?? '').split('|').includes(mark);

export const shippedFacts = {
  activities: rows('activities').map(([kind, , part, response, seconds, , takes, marks]) => ({
    kind,
    part,
    parts: [part],
    response,
    seconds: Number(seconds),
    takes: takes || 'none',
    fixed: has(marks, 'fixed'),
    whole: has(marks, 'whole'),
    told: has(marks, 'told'),
    once: has(marks, 'once'),
  })),
  items: rows('items').map(([item, marks]) => ({ item, tile: has(marks, 'tile'), reveals: has(marks, 'reveals') })),
  changeOver: 15,
  lengths: [15, 20, 25, 30],
  days: [],
  patterns: [],
  leniencies: [],
  accentSwitches: [],
  ladders: [],
  longBreak: 9,
} as unknown as Facts;

import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { datesBefore, datesInOrder, gapsBefore, railDates } from './rail';

const LONG_BREAK = 9;

const quiet = (date: string, kind = 'review-day') => ({ date, kind });

test('between two rungs the rail names quiet days once, with how many there are', () => {
  expect(gapsBefore('2026-11-30', '2026-11-26', [quiet('2026-11-27')], LONG_BREAK)).toBe('Review day Fri 27 Nov');
  expect(
    gapsBefore(
      '2026-12-07',
      '2026-11-26',
      [quiet('2026-11-30', 'settle-day'), quiet('2026-12-01', 'settle-day'), quiet('2026-12-02', 'check-day')],
      LONG_BREAK,
    ),
  ).toBe('Before assessment Mon 30 Nov (2 days) · Assessment day Wed 2 Dec');
  expect(gapsBefore('2026-11-27', '2026-11-26', [quiet('2026-11-20'), quiet('2026-11-30')], LONG_BREAK)).toBe('');
});

test('a long break is told in weeks', () => {
  expect(gapsBefore('2027-01-04', '2026-12-18', [], LONG_BREAK)).toBe('2 weeks without lessons');
  expect(gapsBefore('2026-12-21', '2026-12-18', [], LONG_BREAK)).toBe('');
});

test('a rung that is carried along takes the day of its place', () => {
  const group = { planned: { b: '2026-11-25', c: '2026-11-26', d: '2026-11-30' } } as unknown as Schemas['GroupDates'];
  expect([...datesInOrder([{ id: 'a' }, { id: 'd' }, { id: 'b' }, { id: 'c' }], group)]).toEqual([
    ['d', '2026-11-25'],
    ['b', '2026-11-26'],
    ['c', '2026-11-30'],
  ]);
});

test('wherever a rung is tried, the dates of the rail never run backwards', () => {
  const ids = ['a', 'b', 'c', 'd', 'e', 'f'];
  const group = {
    taught: { a: '2026-11-23', b: '2026-11-24', c: '2026-11-25' },
    planned: { d: '2026-11-26', e: '2026-11-30', f: '2026-12-01' },
  } as unknown as Schemas['GroupDates'];
  for (const carried of ids) {
    const others = ids.filter((id) => id !== carried);
    for (let to = 0; to <= others.length; to++) {
      const order = [...others.slice(0, to), carried, ...others.slice(to)].map((id) => ({ id }));
      const rail = railDates(order, group);
      const shown = rail.flatMap((r) => r.date ?? []);
      expect(shown).toEqual([...shown].sort());
      // Every rung says something: its date, or that it was taught.
      expect(rail.every((r) => r.date !== undefined || r.outOfTurn)).toBe(true);
    }
  }
  expect(railDates([{ id: 'd' }, { id: 'c' }], group)).toEqual([{ date: '2026-11-26' }, { outOfTurn: true }]);
});

test('the date above a place is the last one there is', () => {
  expect(datesBefore(['x', undefined, 'y', undefined])).toEqual([undefined, 'x', 'x', 'y']);
});

import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { datesInOrder, gapsBefore } from './rail';

const quiet = (date: string, kind = 'review-day') => ({ date, kind });

test('between two rungs the rail names quiet days once, with how many there are', () => {
  expect(gapsBefore('2026-11-30', '2026-11-26', [quiet('2026-11-27')])).toBe('Review day Fri 27 Nov');
  expect(gapsBefore('2026-12-07', '2026-11-26', [quiet('2026-11-30', 'settle-day'), quiet('2026-12-01', 'settle-day'), quiet('2026-12-02', 'check-day')])).toBe(
    'Before assessment Mon 30 Nov (2 days) · Assessment day Wed 2 Dec',
  );
  expect(gapsBefore('2026-11-27', '2026-11-26', [quiet('2026-11-20'), quiet('2026-11-30')])).toBe('');
});

test('a long break is told in weeks', () => {
  expect(gapsBefore('2027-01-04', '2026-12-18', [])).toBe('2 weeks without lessons');
  expect(gapsBefore('2026-12-21', '2026-12-18', [])).toBe('');
});

test('a rung that is carried along takes the day of its place', () => {
  const group = { planned: { b: '2026-11-25', c: '2026-11-26', d: '2026-11-30' } } as unknown as Schemas['GroupDates'];
  expect([...datesInOrder([{ id: 'a' }, { id: 'd' }, { id: 'b' }, { id: 'c' }], group)]).toEqual([
    ['d', '2026-11-25'],
    ['b', '2026-11-26'],
    ['c', '2026-11-30'],
  ]);
});

import { describe, expect, it } from 'vitest';
import { eventOf, withoutInk } from './messages';
import { START } from '../state';

describe('what a phone says', () => {
  const of = (event: unknown) => eventOf({ is: 'event', event });
  it('is what can be pressed', () => {
    for (const event of [
      { is: 'on', now: 5 },
      { is: 'went', to: 3, now: 5 },
      { is: 'revealed' },
      { is: 'laid', sheet: null },
      { is: 'shuffled', activityId: 'a', items: ['x', 'y'] },
    ])
      expect(of(event)).toEqual(event);
  });
  it('is nothing that is drawn, nonsense, or lacks what it needs', () => {
    for (const odd of [
      null,
      'on',
      { is: 'drew', stroke: {} },
      { is: 'renewed', of: 'x', to: 0, now: 1 },
      { is: 'went', to: NaN, now: 1 },
      { is: 'went', now: 1 },
      { is: 'shuffled', activityId: 'a', items: [3] },
      { is: 'wobbled', correspondence: { a: 1 } },
    ])
      expect(of(odd)).toBeNull();
    expect(eventOf({ is: 'hello' })).toBeNull();
    expect(eventOf(undefined)).toBeNull();
  });
});

describe('what it is told', () => {
  it('has nothing that was drawn or laid', () => {
    const state = { ...START, ink: { a: [{ tool: 'pen' as const, points: [1, 2, 3] }] }, put: { a: ['x'] } };
    expect(withoutInk(state)).toEqual(START);
  });
});

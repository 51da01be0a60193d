import { describe, expect, it } from 'vitest';
import type { Facts } from '../facts/facts';
import { shippedFacts } from '../facts/shipped';
import { added, changed, moved, removed, secondsOf, type Template } from './template';

const facts: Facts = {
  ...shippedFacts,
  activities: shippedFacts.activities.filter((a) =>
    ['read-words', 'spell-words', 'has-sound', 'new-correspondence'].includes(a.kind),
  ),
};

const template: Template = {
  day: 'new',
  minutes: 20,
  parts: [
    { kind: 'teach', slots: [{ kinds: ['new-correspondence'], takeTurns: false, need: 'must', items: 9 }] },
    {
      kind: 'practise',
      slots: [
        { kinds: ['read-words'], takeTurns: false, need: 'must', items: 6 },
        { kinds: ['has-sound'], takeTurns: false, need: 'room', items: 4 },
      ],
    },
  ],
};

describe('a template', () => {
  it('moves a place, but not past an end', () => {
    expect(moved(template, 1, 0, 1).parts[1]!.slots.map((s) => s.kinds[0])).toEqual(['has-sound', 'read-words']);
    expect(moved(template, 1, 1, 1)).toBe(template);
  });

  it('adds the first activity of the part that has no place yet, and nothing when all have one', () => {
    expect(added(template, 1, facts).parts[1]!.slots[2]!.kinds).toEqual(['spell-words']);
    expect(added(template, 0, facts)).toBe(template);
  });

  it('changes and removes a place and leaves the other part as it is', () => {
    const slot = { ...template.parts[1]!.slots[0]!, items: 8 };
    expect(changed(template, 1, 0, slot).parts[1]!.slots[0]!.items).toBe(8);
    expect(removed(template, 1, 0).parts[1]!.slots).toHaveLength(1);
    expect(removed(template, 1, 0).parts[0]).toBe(template.parts[0]);
  });

  it('counts what always comes and what comes if minutes are left apart, and what is new once', () => {
    expect(secondsOf(template, facts)).toEqual({ must: 15 + 60 + 15 + 6 * 18, 'if-any': 0, room: 15 + 4 * 8 });
  });
});

import { describe, expect, it } from 'vitest';
import { shippedFacts } from '../facts/shipped';
import type { Activity, LessonView, WordItem } from '../lesson/kinds';
import { canReveal, shuffled, slidesOf } from './slides';

const word = (spelling: string, oral = false): WordItem => ({
  $type: 'word',
  id: `read:${spelling}`,
  kept: false,
  word: spelling,
  graphemes: '',
  phonemes: '',
  marks: [],
  taps: 3,
  tricky: [],
  oral,
  reasons: [],
});

const activity = (id: string, items: Activity['items']): Activity => ({
  id,
  kind: 'read-words',
  response: 'say-together',
  seconds: 60,
  items,
  steps: null,
  levels: null,
  setByHand: false,
});

const lesson = {
  parts: [
    { kind: 'revisit', activities: [activity('oral', [word('fish', true), word('moon', true)])] },
    { kind: 'practise', activities: [activity('read', [word('sheep'), word('tree'), word('feet')])] },
  ],
} as unknown as LessonView['lesson'];

describe('slidesOf', () => {
  it('shows one thing at a time, each activity named first', () => {
    expect(slidesOf(lesson, shippedFacts).map((s) => (s.item ? s.item.id : s.activity.id))).toEqual([
      'oral',
      'read',
      'read:sheep',
      'read:tree',
      'read:feet',
    ]);
  });

  it('never shows print that only the adult says', () => {
    expect(slidesOf(lesson, shippedFacts).some((s) => s.item?.id === 'read:fish')).toBe(false);
  });
});

describe('shuffled', () => {
  it('keeps the items of the activity, changes the first, and leaves other slides', () => {
    const before = slidesOf(lesson, shippedFacts);
    for (const draw of [0, 0.3, 0.6, 0.99]) {
      const after = shuffled(before, 'read', () => draw);
      expect(after.map((s) => s.item?.id).sort()).toEqual(before.map((s) => s.item?.id).sort());
      expect(after[2]!.item!.id).not.toBe('read:sheep');
      expect(after[0]).toBe(before[0]);
    }
  });
});

describe('canReveal', () => {
  it('is for words only', () => {
    expect(slidesOf(lesson, shippedFacts).map((s) => canReveal(s, shippedFacts))).toEqual([
      false,
      false,
      true,
      true,
      true,
    ]);
  });
});

describe('what is hidden at first', () => {
  const slide = (item: Activity['items'][number] | null) => ({
    part: 'practise' as const,
    activity: activity('x', []),
    item,
    at: 1,
  });
  it('is the gap of a word, the marks of a made-up one, the spellings of a sound', () => {
    expect(
      canReveal(
        slide({
          $type: 'gap',
          id: 'g',
          kept: false,
          word: 'rain',
          graphemes: 'r|ai|n',
          marks: [0, 1, 1, 2],
          gap: 1,
          reasons: [],
        }),
        shippedFacts,
      ),
    ).toBe(true);
    expect(
      canReveal(
        slide({
          $type: 'made-up',
          id: 'm',
          kept: false,
          word: 'vob',
          graphemes: 'v|o|b',
          phonemes: 'v|ɒ|b',
          marks: [0, 1, 2],
          taps: 3,
          reasons: [],
        }),
        shippedFacts,
      ),
    ).toBe(true);
    expect(
      canReveal(
        slide({
          $type: 'spellings',
          id: 's',
          kept: false,
          sounds: 's',
          keyWord: 'sock',
          graphemes: ['s', 'ss'],
          correspondences: ['s=s', 'ss=s'],
        }),
        shippedFacts,
      ),
    ).toBe(true);
  });
  it('is nothing on the slide that names an activity, and the word on how a pattern is built', () => {
    expect(canReveal(slide(null), shippedFacts)).toBe(false);
    expect(canReveal(slide({ $type: 'pattern', id: 'p', kept: false, pattern: 'suffix-s' }), shippedFacts)).toBe(true);
  });
});

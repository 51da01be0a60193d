import { describe, expect, it } from 'vitest';
import { runsOf, shown } from './spelling';

describe('runsOf', () => {
  it('joins the letters of a digraph', () => {
    expect(runsOf('sheep', [0, 0, 1, 1, 2]).map((r) => r.letters)).toEqual(['sh', 'ee', 'p']);
  });

  it('gives a split digraph two runs that know they are split', () => {
    expect(runsOf('cake', [0, 1, 2, 1])).toEqual([
      { letters: 'c', part: 0, split: false },
      { letters: 'a', part: 1, split: true },
      { letters: 'k', part: 2, split: false },
      { letters: 'e', part: 1, split: true },
    ]);
  });

  it('keeps a double consonant apart from the same letter of another grapheme', () => {
    expect(runsOf('egg', [0, 1, 1]).map((r) => r.letters)).toEqual(['e', 'gg']);
  });
});

describe('shown', () => {
  it('gives the pronoun its capital and leaves other words alone', () => {
    expect(shown('i')).toBe('I');
    expect(shown('in')).toBe('in');
  });
});

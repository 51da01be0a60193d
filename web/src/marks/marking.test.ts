import { describe, expect, it } from 'vitest';
import { ticks } from './marking';

describe('ticks as the school counts them', () => {
  it('one for each grapheme that is right, and one more for the word where the school gives it', () => {
    expect(ticks(['right', 'wrong', 'right'], false)).toBe(2);
    expect(ticks(['right', 'wrong', 'right'], true)).toBe(2);
    expect(ticks(['right', 'right'], false)).toBe(2);
    expect(ticks(['right', 'right'], true)).toBe(3);
    expect(ticks([null, null], true)).toBe(0);
  });
});

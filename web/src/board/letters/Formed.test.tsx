import { cleanup, render } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { Formed } from './Formed';
import { setPenDown } from './style';

afterEach(() => {
  cleanup();
  setPenDown(false);
});

const strokes = (letters: string) =>
  render(<Formed letters={letters} note="" />).container.querySelectorAll('.stroke-drawn').length;

describe('a letter that is formed', () => {
  it('is lifted as the school lifts the pen', () => {
    expect(strokes('k')).toBe(2);
    cleanup();
    setPenDown(true);
    expect(strokes('k')).toBe(1);
  });

  it('has the strokes of each letter of a grapheme; what a split digraph leaves out has none', () => {
    expect(strokes('ai')).toBe(3);
    cleanup();
    expect(strokes('a-e')).toBe(2);
  });
});

import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { WritingLines } from './WritingLines';

afterEach(cleanup);

/** How many strokes begin on the lines, and how far to the right the last of them does. */
function traced(trace: string, times: number) {
  const letters = [...render(<WritingLines trace={trace} times={times} />).container.querySelectorAll('svg > g')];
  const drawn = letters.filter((g) => g.querySelector('circle'));
  return {
    letters: drawn.length,
    last: Number(/\((\d+)/.exec(drawn[drawn.length - 1]!.getAttribute('transform')!)![1]),
  };
}

it('a word to trace stands as often as asked, or as often as there is room', () => {
  expect(traced('cat', 2).letters).toBe(6);
  const long = traced('competition', 2);
  expect(long.letters).toBe(11);
  expect(long.last).toBeLessThan(1250);
});

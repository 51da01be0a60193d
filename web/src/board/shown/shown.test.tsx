import { describe, expect, it } from 'vitest';
import { eraseFrom, withPoint } from '../ink/strokes';
import { letterOf, startOf } from '../letters/strokes';
import { boxesOf } from '../steps';
import { changed } from './Tiles';
import { pagesOf } from './pages';

describe('a chain', () => {
  it.each([
    ['s i t', 's a t', [1]],
    ['sh o p', 'sh o t', [2]],
    ['s t o p', 's o p', [1]],
    ['p i n', 's p i n', [0]],
    ['c a k e', 'c a m e', [2]],
  ])('from %s to %s changes at', (from, to, places) => {
    expect([...changed(from.split(' '), to.split(' '))]).toEqual(places);
  });
});

describe('boxes', () => {
  it('are one for each grapheme: the end of a split digraph has none', () => {
    const word = { word: 'cake', marks: [0, 1, 2, 1], tricky: [] };
    expect(boxesOf(word as never).map((b) => [b.letters, b.part, b.isTail])).toEqual([
      ['c', 0, false],
      ['a', 1, false],
      ['k', 2, false],
      ['e', 1, true],
    ]);
  });
});

describe('pages of a text', () => {
  it('hold whole sentences, all of them, in order', () => {
    const sentences = [40, 90, 60, 10, 200, 5].map((n) => ({ text: 'x'.repeat(n) }));
    expect(pagesOf({ sentences } as never)).toEqual([[0, 1], [2, 3], [4], [5]]);
  });
});

describe('letters', () => {
  const all = [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  it('are all there, each stroke between the lines and beginning where its dot is', () => {
    for (const sign of all) {
      for (const down of [false, true]) {
        const letter = letterOf(sign, down)!;
        expect(letter.strokes.length, sign).toBeGreaterThan(0);
        for (const stroke of letter.strokes) {
          const { x, y } = startOf(stroke);
          expect(stroke.startsWith(`M${x} ${y} `), sign).toBe(true);
          expect(y >= -90 && y <= 0 && x >= 0 && x <= letter.width + 3, `${sign} ${stroke}`).toBe(true);
          for (const [, , toY] of stroke.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g))
            expect(Number(toY) >= -90 && Number(toY) <= 40, `${sign} ${stroke}`).toBe(true);
        }
      }
    }
  });
  it('are lifted less often where the pen stays down', () => {
    const lifts = (down: boolean) => all.map((sign) => letterOf(sign, down)!.strokes.length);
    const [often, seldom] = [lifts(false), lifts(true)];
    expect(often.every((n, i) => n >= seldom[i]!)).toBe(true);
    expect(seldom.reduce((a, b) => a + b)).toBeLessThan(often.reduce((a, b) => a + b) - 5);
  });
  it('round letters begin at the top and go round to the left', () => {
    for (const sign of 'acdgoq')
      expect(letterOf(sign, false)!.strokes[0], sign).toMatch(/^M4\d(\.\d)? -(36|40) A22 25 0 1 0 /);
    expect(letterOf('1', false)).toBeNull();
  });
});

describe('ink', () => {
  it('leaves out points that say nothing new', () => {
    const one = withPoint([], 100, 100, 0.5);
    expect(withPoint(one, 105, 100, 0.9)).toBe(one);
    expect(withPoint(one, 200, 100.4, 0.25)).toEqual([100, 100, 50, 200, 100, 25]);
  });
  it('is erased where the eraser comes near, between two points too', () => {
    const line = { tool: 'pen', points: [0, 0, 50, 4000, 0, 50] } as const;
    expect(eraseFrom([line], [2000, 100, 50])).toEqual([]);
    expect(eraseFrom([line], [2000, 400, 50])).toEqual([line]);
  });
});

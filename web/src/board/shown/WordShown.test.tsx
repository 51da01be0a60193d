import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import type { WordItem } from '../../lesson/kinds';
import { setWording, wordingNow } from '../../text/text';
import { WrittenShown } from './WordShown';

const usual = wordingNow();
afterEach(() => {
  cleanup();
  setWording(usual);
});

const box = { word: 'box', phonemes: 'b|ɒ|k+s', marks: [0, 1, 2], taps: 3, tricky: [] } as unknown as WordItem;
const shown = () =>
  render(
    <WrittenShown
      item={box}
      slide={{ activity: { kind: 'spell-words' }, steps: 5 } as never}
      step={1}
      pointer={0}
      put={[]}
      onPut={() => undefined}
    />,
  ).container;

it('boxes count as the school counts: taps, or sounds where a grapheme has two', () => {
  const taps = shown();
  expect([taps.querySelector('.board-number')!.textContent, taps.querySelectorAll('.board-box-two').length]).toEqual([
    '3',
    0,
  ]);
  cleanup();
  setWording({ ...usual, countsSounds: true });
  const sounds = shown();
  expect(sounds.querySelector('.board-number')!.textContent).toBe('4');
  expect(sounds.querySelectorAll('.board-box-two')).toHaveLength(1);
});

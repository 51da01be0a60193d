import type { Slide } from '../slides';

/** What a slide is shown with: how far it is, what was put on it, and how something is put. */
export interface Shown {
  slide: Slide;
  step: number;
  pointer: number;
  put: readonly string[];
  onPut: (what: readonly string[]) => void;
}

/** With one more, or without it where it was there. */
export const toggled = (put: readonly string[], what: string): readonly string[] =>
  put.includes(what) ? put.filter((p) => p !== what) : [...put, what];

/** Long words are smaller, so that they fit. */
export const lengthOf = (word: string) => `board-word literacy board-length-${word.length > 7 ? 'long' : 'short'}`;

import type { MarkGiven } from './queue';
import type { Shown } from './marking';
import type { MarkedWord, MarkingView } from './queries';

/** What every way of marking is given: a word, what is seen of it so far, and how to mark. */
export interface WayProps {
  view: MarkingView;
  word: MarkedWord;
  all: Shown;
  mark: (...marks: MarkGiven[]) => void;
  /** Goes on to the next word. */
  next: () => void;
}

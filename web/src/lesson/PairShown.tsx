import { MarkedWord } from '../words/MarkedWord';
import type { PairItem } from './kinds';

/** Two words side by side; by ear they have no marks, since nobody reads them. */
export function PairShown({ item, marks = true }: { item: PairItem; marks?: boolean }) {
  const hideMarks = !marks || item.by === 'ear';
  return (
    <span className="pair-words d-inline-flex literacy">
      <MarkedWord word={item.first} marks={item.firstMarks} hideMarks={hideMarks} />
      <MarkedWord word={item.second} marks={item.secondMarks} hideMarks={hideMarks} />
    </span>
  );
}

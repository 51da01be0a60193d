import { runsOf, shown } from './spelling';
import { text } from '../text/text';

interface Props {
  word: string;
  marks: readonly number[];
  /** The place of the grapheme that is left out. */
  gap: number;
  revealed: boolean;
  /** True where children choose what to put in: then the line says nothing of how many letters are gone. */
  even?: boolean;
}

/** A word with one grapheme left out, a line for each of its letters; once revealed, the letters stand on the lines. */
export function GapWord({ word, marks, gap, revealed, even = false }: Props) {
  const runs = runsOf(shown(word), marks);
  return (
    <span>
      <span className="visually-hidden">
        {revealed ? shown(word) : runs.map((r) => (r.part === gap ? text('gap.here') : r.letters)).join(' ')}
      </span>
      <span aria-hidden="true">
        {runs.map((run, i) =>
          run.part === gap ? (
            <span key={i} className={`gap${revealed ? ' gap-shown' : even ? ' gap-even d-inline-block' : ''}`}>
              {even && !revealed ? '\u00a0' : run.letters}
            </span>
          ) : (
            <span key={i}>{run.letters}</span>
          ),
        )}
      </span>
    </span>
  );
}

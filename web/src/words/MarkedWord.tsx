import { runsOf, shown } from './spelling';

interface Props {
  word: string;
  marks: readonly number[];
  tricky?: readonly number[];
  hideMarks?: boolean;
}

/** A word in the literacy typeface with a tray under each grapheme; the tricky part has a wavy one. */
export function MarkedWord({ word, marks, tricky = [], hideMarks = false }: Props) {
  return (
    <span className="marked-word text-nowrap" data-shown={hideMarks ? 'off' : 'on'}>
      <span className="visually-hidden">{shown(word)}</span>
      <span aria-hidden="true">
        {runsOf(shown(word), marks).map((run, i) => (
          <span
            key={i}
            className={`run d-inline-block position-relative${run.split ? ' run-split' : ''}${tricky.includes(run.part) ? ' run-tricky' : ''}`}
          >
            {run.letters}
          </span>
        ))}
      </span>
    </span>
  );
}

import type { Schemas } from '../api/client';
import { trickyWay } from '../text/text';
import { runsOf, shown } from './spelling';

interface Props {
  word: string;
  marks: readonly number[];
  tricky?: readonly number[];
  /** The school's chunks in the word. */
  chunks?: readonly Schemas['ChunkInWord'][];
  hideMarks?: boolean;
  /** The place of the grapheme that is pointed at. */
  pointed?: number | undefined;
}

/**
 * A word in the literacy typeface with a mark under each grapheme and a bar over each chunk; a tricky word as the school
 * goes about it: its tricky part wavy, its graphemes in boxes with the odd one marked, or its letters alone.
 */
export function MarkedWord({ word, marks, tricky = [], chunks = [], hideMarks = false, pointed }: Props) {
  const way = tricky.length > 0 ? trickyWay() : 'tricky-part';
  const inChunk = (part: number) => chunks.some((c) => c.from <= part && part <= c.to);
  const marked = !hideMarks && way !== 'by-heart';
  return (
    <span className="marked-word text-nowrap" data-shown={marked ? 'on' : 'off'} data-way={way}>
      <span className="visually-hidden">{shown(word)}</span>
      <span aria-hidden="true">
        {runsOf(shown(word), marks).map((run, i) => (
          <span
            key={i}
            className={[
              'run d-inline-block position-relative',
              run.split && 'run-split',
              tricky.includes(run.part) && way !== 'by-heart' && 'run-tricky',
              marked && inChunk(run.part) && 'run-chunk',
              run.part === pointed && 'run-pointed',
            ]
              .filter(Boolean)
              .join(' ')}
          >
            {run.letters}
          </span>
        ))}
      </span>
    </span>
  );
}

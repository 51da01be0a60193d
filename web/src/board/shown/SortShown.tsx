import { useState } from 'react';
import type { SortItem } from '../../lesson/kinds';
import { headingText, text } from '../../text/text';
import { useActions } from '../../shell/actions';
import type { Shown } from './shown';
import { useDrag } from './useDrag';

/**
 * Words to sort under headings: dragged, or touched and then the heading touched, or sent by the heading's number.
 * Revealed, each stands where it belongs, and those that were put elsewhere are marked.
 */
export function SortShown({ item, step, put, onPut }: Shown & { item: SortItem }) {
  const [chosen, setChosen] = useState<number | null>(null);
  const placed = new Map(put.map((p) => p.split(':').map(Number) as [number, number]));
  const isRevealed = step > 0;
  const headingOf = (word: number) => (isRevealed ? item.words[word]!.heading : placed.get(word));
  const place = (word: number, heading: number | null) => {
    setChosen(null);
    const others = put.filter((p) => !p.startsWith(`${word}:`));
    onPut(heading === null ? others : [...others, `${word}:${heading}`]);
  };
  const { dragged, handlers } = useDrag({
    onDrop: (what, on) => place(Number(what), on === null ? null : Number(on)),
    onTap: (what) => setChosen(chosen === Number(what) ? null : Number(what)),
  });
  const left = item.words.findIndex((_, i) => headingOf(i) === undefined);
  useActions(
    item.headings.map((_, i) => ({
      keys: [`${i + 1}`],
      label: 'keys.boardSort' as const,
      run: () => {
        const word = chosen ?? left;
        if (word >= 0) place(word, i);
      },
    })),
    !isRevealed,
  );
  const tile = (i: number) => (
    <button
      key={item.words[i]!.word}
      type="button"
      className={[
        'board-touch board-tile text-reset',
        chosen === i && 'board-chosen',
        isRevealed && placed.has(i) && placed.get(i) !== item.words[i]!.heading && 'board-moved',
      ]
        .filter(Boolean)
        .join(' ')}
      aria-pressed={chosen === i}
      {...handlers(`${i}`)}
    >
      {item.words[i]!.word}
    </button>
  );
  const all = item.words.map((_, i) => i);
  return (
    <span className="board-stack literacy">
      <span className="board-columns">
        {item.headings.map((h, i) => (
          <span key={h} className="board-column" data-drop={i}>
            <button
              type="button"
              className="board-touch board-heading bg-transparent border-0 text-reset"
              onClick={() => chosen !== null && place(chosen, i)}
            >
              <strong>{headingText(item.by, h)}</strong>
            </button>
            {all.filter((w) => headingOf(w) === i).map(tile)}
          </span>
        ))}
      </span>
      <span className="board-sort d-flex flex-wrap justify-content-center">
        {all.filter((w) => headingOf(w) === undefined).map(tile)}
      </span>
      {left < 0 && !isRevealed && <span className="board-aside">{text('board.allSorted')}</span>}
      {dragged && (
        <span className="board-dragged board-tile" style={{ left: dragged.x, top: dragged.y }}>
          {item.words[Number(dragged.what)]!.word}
        </span>
      )}
    </span>
  );
}

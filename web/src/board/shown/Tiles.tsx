import { useEffect, useState } from 'react';
import type { WordItem } from '../../lesson/kinds';
import { text } from '../../text/text';
import { runsOf } from '../../words/spelling';
import type { Shown } from './shown';
import { Tray } from './tray';
import { useDrag } from './useDrag';

/** How long a letter waits for the next one of its grapheme. */
const NEXT_LETTER = 700;

/** The tiles of a word: one for each run of letters that belong together. */
export const lettersOf = (word: WordItem) => runsOf(word.word, word.marks).map((r) => r.letters);

/**
 * A word of a chain, made of the one before with tiles: drag one into the row, or touch a place and then a tile, or
 * press the place's number and type. What was asked first, which place changes, is shown before the word is.
 */
export function Tiles({
  item,
  before,
  tray,
  step,
  put,
  onPut,
}: Shown & { item: WordItem; before: WordItem; tray: readonly string[] }) {
  const start = lettersOf(before);
  const aim = lettersOf(item);
  const row = step > 1 ? aim : put.length > 0 ? put : start;
  const isMade = row.join('') === item.word;
  const changes = step > 0 ? changed(start, aim) : new Set<number>();
  const [chosen, setChosen] = useState<number | null>(null);
  const lay = (next: readonly string[]) => {
    setChosen(null);
    onPut(next);
  };
  // A tile that lies in the row is replaced; past its end one is added.
  const layAt = (at: number, tile: string) => lay([...row.slice(0, at), tile, ...row.slice(at + 1)]);
  const takeOut = (at: number) => lay(row.filter((_, i) => i !== at));
  const { dragged, handlers } = useDrag({
    onDrop: (what, on) => {
      const [from, tile] = [what[0], what.slice(1)];
      if (from === 'r' && on === null) takeOut(Number(tile));
      else if (from === 't' && on !== null) {
        const at = Number(on.slice(1));
        if (on[0] === 'p') layAt(at, tile);
        else lay([...row.slice(0, at), tile, ...row.slice(at)]);
      }
    },
    onTap: (what) => {
      const [from, tile] = [what[0], what.slice(1)];
      if (from === 'r') setChosen(chosen === Number(tile) ? null : Number(tile));
      else layAt(chosen ?? row.length, tile);
    },
  });
  useTileKeys({ row, tray, chosen, setChosen, layAt, takeOut });
  return (
    <span className="board-stack">
      <span className={`board-row literacy${isMade ? ' board-made' : ''}`} aria-live="polite">
        {row.map((tile, i) => (
          <span key={`${i}${tile}`} className="d-flex align-items-stretch">
            <span className="board-gap" data-drop={`g${i}`} />
            <button
              type="button"
              className={[
                'board-touch board-tile text-reset',
                chosen === i && 'board-chosen',
                changes.has(i) && 'board-changes',
              ]
                .filter(Boolean)
                .join(' ')}
              data-drop={`p${i}`}
              aria-label={text('board.tileAt', { tile, at: i + 1 })}
              aria-pressed={chosen === i}
              {...handlers(`r${i}`)}
            >
              {tile}
            </button>
          </span>
        ))}
        <span className="board-gap board-gap-last" data-drop={`g${row.length}`} />
        {isMade && <span className="visually-hidden">{text('board.right')}</span>}
      </span>
      <span className="board-ask">
        {text(step === 0 ? 'board.whichPlace' : isMade ? 'board.readIt' : 'board.changeIt')}
      </span>
      <Tray tiles={tray} handlers={(tile) => handlers(`t${tile}`)} />
      {dragged && (
        <span className="board-dragged literacy board-tile" style={{ left: dragged.x, top: dragged.y }}>
          {dragged.what[0] === 't' ? dragged.what.slice(1) : row[Number(dragged.what.slice(1))]}
        </span>
      )}
    </span>
  );
}

/** The places of a row that are another in the next word; where a tile goes away, the one after it. */
export function changed(start: readonly string[], aim: readonly string[]): ReadonlySet<number> {
  let first = 0;
  while (first < start.length && first < aim.length && start[first] === aim[first]) first++;
  let [end, endAim] = [start.length, aim.length];
  while (end > first && endAim > first && start[end - 1] === aim[endAim - 1]) {
    end--;
    endAim--;
  }
  const places = new Set<number>();
  for (let i = first; i < Math.max(end, first + 1); i++) places.add(Math.min(i, start.length - 1));
  return places;
}

/** A digit chooses a place; then letters lay a tile there, Delete takes it out: no key means another thing then. */
function useTileKeys({
  row,
  tray,
  chosen,
  setChosen,
  layAt,
  takeOut,
}: {
  row: readonly string[];
  tray: readonly string[];
  chosen: number | null;
  setChosen: (at: number | null) => void;
  layAt: (at: number, tile: string) => void;
  takeOut: (at: number) => void;
}) {
  const [typed, setTyped] = useState('');
  useEffect(() => {
    if (chosen === null || !tray.includes(typed)) return undefined;
    const longer = tray.some((t) => t !== typed && t.startsWith(typed));
    const timer = setTimeout(
      () => {
        setTyped('');
        layAt(chosen, typed);
      },
      longer ? NEXT_LETTER : 0,
    );
    return () => clearTimeout(timer);
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      const isDigit = /^[1-9]$/.test(e.key) && Number(e.key) <= row.length + 1;
      if (!isDigit && chosen === null) return;
      if (isDigit) {
        setTyped('');
        setChosen(Number(e.key) - 1);
      } else if (e.key === 'Delete') takeOut(chosen!);
      else if (e.key === 'Escape') setChosen(null);
      else if (/^[a-z]$/i.test(e.key)) {
        const next = typed + e.key.toLowerCase();
        if (tray.some((t) => t.startsWith(next))) setTyped(next);
      } else return;
      e.preventDefault();
      e.stopImmediatePropagation();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  });
}

import { createContext, use, useState, type ComponentProps } from 'react';
import { text } from '../../text/text';

/** Every grapheme taught so far, for the tray; null where only the day's are known. */
export const TrayContext = createContext<readonly string[] | null>(null);

/** The tiles to choose from: those of the day's words, or of all that was taught. */
export function Tray({
  tiles,
  handlers,
}: {
  tiles: readonly string[];
  handlers: (tile: string) => ComponentProps<'button'>;
}) {
  const taught = use(TrayContext);
  const [isAll, setAll] = useState(false);
  const shown = isAll && taught ? [...new Set([...taught.filter((t) => !t.includes('-')), ...tiles])] : tiles;
  return (
    <span
      className={`board-tray literacy${shown.length > 14 ? ' board-tray-many' : ''}`}
      role="group"
      aria-label={text('board.tray')}
    >
      {shown.map((tile) => (
        <button key={tile} type="button" className="board-touch board-tile text-reset" {...handlers(tile)}>
          {tile}
        </button>
      ))}
      {taught && (
        <button type="button" className="board-touch board-more" aria-pressed={isAll} onClick={() => setAll(!isAll)}>
          {text(isAll ? 'board.trayDay' : 'board.trayAll')}
        </button>
      )}
    </span>
  );
}

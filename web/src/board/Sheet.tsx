import { lineNames } from '../text/text';
import type { Sheet as SheetKind } from './state';
import { LINES } from './letters/strokes';

/** Rows of writing lines that stand on a page. */
const ROWS = 3;

/** From one row of writing lines to the next. */
const A_ROW = 165;

/** A page that lies over what is taught, to write on: the school's writing lines with their names, or nothing. */
export function Sheet({ kind }: { kind: SheetKind }) {
  if (kind === 'blank') return null;
  const names = lineNames();
  return (
    <svg className="board-page" viewBox={`-60 -110 960 ${ROWS * A_ROW}`} aria-hidden="true">
      {Array.from({ length: ROWS }, (_, row) => (
        <g key={row} transform={`translate(0 ${row * A_ROW})`}>
          {LINES.map((y, i) => (
            <g key={y}>
              <line x1="0" x2="880" y1={y} y2={y} className={y === 0 ? 'board-baseline' : ''} />
              {row === 0 && (
                <text x="-6" y={y + 4} className="board-line-name" textAnchor="end">
                  {names[i] ?? ''}
                </text>
              )}
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}

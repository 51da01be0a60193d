import { lineNames } from '../text/text';

/**
 * Where the lines stand, from the baseline up, as shares of the size of the letters: those of the face that the board
 * uses (ascenders, small letters, baseline, descenders).
 */
const LINES = [0.79, 0.5, 0, -0.24];
const SIZE = 100;

/** Letters on writing lines, with the school's names of the lines beside them, and its note on how they are formed. */
export function OnLines({ letters, note }: { letters: string; note: string }) {
  const names = lineNames();
  const width = 90 + 62 * letters.length;
  return (
    <span className="board-stack">
      <svg className="board-lines" viewBox={`-70 -86 ${width + 70} 122`} role="img" aria-label={letters}>
        {LINES.map((at, i) => (
          <g key={at}>
            <line x1="0" x2={width} y1={-at * SIZE} y2={-at * SIZE} className={at === 0 ? 'board-baseline' : ''} />
            <text x="-6" y={-at * SIZE + 3} className="board-line-name" textAnchor="end">
              {names[i] ?? ''}
            </text>
          </g>
        ))}
        <text x={width / 2} y="0" className="board-formed" textAnchor="middle">
          {letters}
        </text>
      </svg>
      {note && <span className="board-sentence">{note}</span>}
    </span>
  );
}

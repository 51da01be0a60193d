import { text } from '../text/text';
import type { CrosswordItem } from './kinds';

/**
 * A crossword's boxes, its numbers in them, and its letters once they are shown.
 * @param answers true for all its letters, or the words whose letters are shown.
 */
export function CrosswordGrid({ item, answers }: { item: CrosswordItem; answers: boolean | readonly string[] }) {
  const isShown = (word: string) => (typeof answers === 'boolean' ? answers : answers.includes(word));
  const cells = new Map<string, { letter: string; number?: number; isShown: boolean }>();
  for (const line of item.lines) {
    [...line.word].forEach((letter, i) => {
      const key = `${line.row + (line.across ? 0 : i)},${line.column + (line.across ? i : 0)}`;
      const number = i === 0 ? line.number : cells.get(key)?.number;
      const shown = isShown(line.word) || (cells.get(key)?.isShown ?? false);
      cells.set(key, { letter, isShown: shown, ...(number !== undefined && { number }) });
    });
  }
  const box = 30;
  return (
    <svg
      className="crossword"
      viewBox={`0 0 ${item.width * box} ${item.height * box}`}
      role="img"
      aria-label={text('crossword.label', { count: item.lines.length })}
    >
      {[...cells].map(([key, cell]) => {
        const [row = 0, column = 0] = key.split(',').map(Number);
        return (
          <g key={key} transform={`translate(${column * box} ${row * box})`}>
            <rect x="0.5" y="0.5" width={box - 1} height={box - 1} />
            {cell.number && (
              <text x="3" y="9" className="crossword-number">
                {cell.number}
              </text>
            )}
            {cell.isShown && (
              <text x={box / 2} y={box - 8} textAnchor="middle" className="crossword-letter">
                {cell.letter}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

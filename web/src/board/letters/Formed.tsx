import { useEffect, useRef, useState } from 'react';
import { useActions } from '../../shell/actions';
import { lineNames, text } from '../../text/text';
import { letterOf, LINES, startOf, type Letter } from './strokes';
import { keepsPenDown } from './style';

/** Between two letters, and between two strokes in milliseconds. */
const GAP = 22;
const A_LIFT = 350;

/** Units of the drawing in a second, by the speed that is chosen. */
const SPEEDS = [60, 110, 200] as const;

/** What stands for a letter that is left out between the two of a split digraph. */
const LEFT_OUT: Letter = { width: 30, strokes: [] };

/**
 * Letters on writing lines, formed stroke by stroke: each begins at its dot, in the order of the numbers. What is drawn
 * over them with the pen traces them. Beside the lines stand the school's names of them, below its note.
 */
export function Formed({ letters, note }: { letters: string; note: string }) {
  const [run, setRun] = useState(0);
  const [speed, setSpeed] = useState(1);
  const again = () => setRun(run + 1);
  const slower = () => {
    setSpeed((speed + SPEEDS.length - 1) % SPEEDS.length);
    again();
  };
  useActions([
    { keys: ['f'], label: 'keys.boardForm', run: again },
    { keys: ['g'], label: 'keys.boardFormSpeed', run: slower },
  ]);
  const names = lineNames();
  let x = 0;
  const placed = [...letters].map((sign) => {
    const letter = letterOf(sign, keepsPenDown()) ?? LEFT_OUT;
    const from = x;
    x += letter.width + GAP;
    return { letter, from };
  });
  const width = Math.max(x - GAP, 40);
  return (
    <span className="board-stack">
      <svg
        className="board-lines"
        viewBox={`-64 -104 ${width + 108} 158`}
        role="img"
        aria-label={text('board.formed', { letters })}
      >
        {LINES.map((y, i) => (
          <g key={y}>
            <line x1="-24" x2={width + 24} y1={y} y2={y} className={y === 0 ? 'board-baseline' : ''} />
            <text x="-28" y={y + 3} className="board-line-name" textAnchor="end">
              {names[i] ?? ''}
            </text>
          </g>
        ))}
        <Strokes key={`${run}-${speed}`} placed={placed} speed={SPEEDS[speed]!} />
      </svg>
      <span className="d-flex justify-content-center gap-3">
        <button type="button" className="board-touch board-more" onClick={again}>
          {text('board.formAgain')}
        </button>
        <button type="button" className="board-touch board-more" onClick={slower}>
          {text('board.formSpeed', { speed: speed + 1 })}
        </button>
      </span>
      {note && <span className="board-sentence">{note}</span>}
    </span>
  );
}

/** The strokes one after the other: grey from the beginning, dark where the pen has been. */
function Strokes({ placed, speed }: { placed: readonly { letter: Letter; from: number }[]; speed: number }) {
  const here = useRef<SVGGElement>(null);
  useEffect(() => {
    let start = 400;
    const paths = [...(here.current?.querySelectorAll<SVGPathElement>('.stroke-drawn') ?? [])];
    const running = paths.map((path) => {
      // What can't be measured is a short stroke.
      const length = path.getTotalLength?.() ?? 50;
      const duration = Math.max(150, (length / speed) * 1000);
      const timing = { delay: start, duration, fill: 'both' as const };
      start += duration + A_LIFT;
      const drawn = path.animate?.([{ strokeDashoffset: 1 }, { strokeDashoffset: 0 }], timing);
      // Leaving the letter in the middle is no fault.
      drawn?.finished.catch(() => undefined);
      return drawn;
    });
    return () => running.forEach((r) => r?.cancel());
  }, [placed, speed]);
  return (
    <g ref={here}>
      {placed.map(({ letter, from }, i) => (
        <g key={i} transform={`translate(${from} 0)`}>
          {letter.strokes.map((stroke, j) => (
            <path key={`below${j}`} d={stroke} className="stroke-below" />
          ))}
          {letter.strokes.map((stroke, j) => (
            <path key={`drawn${j}`} d={stroke} pathLength={1} className="stroke-drawn" />
          ))}
          {letter.strokes.map((stroke, j) => (
            <Start key={`start${j}`} {...startOf(stroke)} nth={letter.strokes.length > 1 ? j + 1 : null} among={j} />
          ))}
          {letter.strokes.length === 0 && <line x1="4" x2="26" y1="0" y2="0" className="stroke-below" />}
        </g>
      ))}
    </g>
  );
}

/** Where a stroke begins, with its number where there are several; later ones stand a little aside. */
function Start({ x, y, nth, among }: { x: number; y: number; nth: number | null; among: number }) {
  const aside = among * 9;
  return (
    <g transform={`translate(${x + aside} ${y})`}>
      <circle r="4" className="stroke-start" />
      {nth && (
        <text y="2.2" textAnchor="middle" className="stroke-number">
          {nth}
        </text>
      )}
    </g>
  );
}

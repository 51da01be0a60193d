import { letterOf, LINES, startOf } from '../board/letters/strokes';
import { keepsPenDown } from '../board/letters/style';

const GAP = 22;

/** Writing lines across the page; letters on them to trace, each stroke from its dot. */
export function WritingLines({ trace = '', times = 1 }: { trace?: string; times?: number }) {
  let x = 8;
  const placed = [...Array.from({ length: times }, () => trace).join(' ')].map((sign) => {
    const letter = letterOf(sign, keepsPenDown());
    const from = x;
    x += (letter?.width ?? 34) + GAP;
    return { letter, from };
  });
  return (
    <svg className="paper-lines" viewBox="0 -96 1000 142" aria-hidden="true">
      {LINES.map((y) => (
        <line key={y} x1="0" x2="1000" y1={y} y2={y} className={y === 0 ? 'paper-baseline' : ''} />
      ))}
      {placed.map(({ letter, from }, i) => (
        <g key={i} transform={`translate(${from} 0)`}>
          {letter?.strokes.map((stroke, s) => (
            <g key={s}>
              <path d={stroke} />
              <circle cx={startOf(stroke).x} cy={startOf(stroke).y} r="4.5" />
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}

import { letterOf, LINES, startOf } from '../board/letters/strokes';
import { keepsPenDown } from '../board/letters/style';

const GAP = 22;
/** In the units of the strokes: lines of 21 mm on A4. */
const WIDTH = 1250;
const FROM = 8;
/** Between two words, and what stands for a sign that is none of ours. */
const SPACE = 34;

const widthOf = (sign: string) => (letterOf(sign, keepsPenDown())?.width ?? SPACE) + GAP;

/** Writing lines across the page; letters on them to trace, as often as asked and as there is room. */
export function WritingLines({ trace = '', times = 1 }: { trace?: string; times?: number }) {
  const once = [...trace].reduce((sum, sign) => sum + widthOf(sign), 0);
  const room = Math.floor((WIDTH - FROM + SPACE + GAP) / (once + SPACE + GAP));
  let x = FROM;
  const placed = [...Array.from({ length: Math.max(1, Math.min(times, room)) }, () => trace).join(' ')].map((sign) => {
    const from = x;
    x += widthOf(sign);
    return { letter: letterOf(sign, keepsPenDown()), from };
  });
  return (
    <svg className="paper-lines" viewBox={`0 -96 ${WIDTH} 142`} aria-hidden="true">
      {LINES.map((y) => (
        <line key={y} x1="0" x2={WIDTH} y1={y} y2={y} className={y === 0 ? 'paper-baseline' : ''} />
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

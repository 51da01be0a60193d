import { text, textOf } from '../text/text';
import { minutesOf, type LessonView } from './kinds';
import { partColours } from './partColours';

/** The parts side by side, each as wide as it is long; stays in sight, and leads to each. */
export function PartStrip({ view }: { view: LessonView }) {
  return (
    <nav className="part-strip d-flex" aria-label={text('lesson.parts')}>
      {view.lesson.parts.map((part) => (
        <a
          key={part.kind}
          href={`#part-${part.kind}`}
          style={{ ...partColours(part.kind), flexGrow: Math.max(1, part.seconds ?? 0) }}
        >
          {textOf('part', part.kind)}{' '}
          <span className="fw-normal">{text('part.minutes', { minutes: minutesOf(part.seconds ?? 0) })}</span>
        </a>
      ))}
    </nav>
  );
}

import { text } from '../text/text';

const RADIUS = 26;
const ROUND = 2 * Math.PI * RADIUS;

/** How much of an activity's time is gone: a ring that fills quietly, and goes on in another colour when it is over. */
export function TimeRing({ spent, of }: { spent: number; of: number }) {
  const share = of > 0 ? spent / of : 1;
  const isOver = share > 1;
  return (
    <svg
      className={`time-ring flex-shrink-0${isOver ? ' time-over' : ''}`}
      viewBox="0 0 64 64"
      role="img"
      aria-label={text('teacher.ring', { spent: minutesText(spent), of: minutesText(of) })}
    >
      <circle cx="32" cy="32" r={RADIUS} className="time-all" />
      <circle
        cx="32"
        cy="32"
        r={RADIUS}
        className="time-gone"
        strokeDasharray={`${Math.min(1, isOver ? share - 1 : share) * ROUND} ${ROUND}`}
        transform="rotate(-90 32 32)"
      />
      <text x="32" y="37" textAnchor="middle">
        {minutesText(spent)}
      </text>
    </svg>
  );
}

/** 2:05. */
const minutesText = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

import { sayText } from '../lesson/said';
import { text } from '../text/text';
import { isOnlySaid, type Slide } from './slides';
import { isWritten } from './steps';
import { ApplyNudge, StepButtons, TimeLine } from './TeacherParts';
import type { BoardHere } from './useBoard';

/** On a screen that children see, too: what to say and the time. No answer stands here, and nothing is marked. */
export function TeacherStrip({ board, minutes }: { board: BoardHere; minutes: number }) {
  const { slide } = board;
  return (
    <div className="teacher d-flex flex-wrap align-items-center column-gap-4 row-gap-2 p-3">
      <TimeLine board={board} minutes={minutes} />
      <p className="m-0 fs-5 flex-grow-1 strip-say">
        {slide && sayText(slide.activity)}
        {slide && isForTheEar(slide) && <span className="quiet d-block">{text('strip.where')}</span>}
      </p>
      <ApplyNudge board={board} minutes={minutes} />
      <StepButtons board={board} />
    </div>
  );
}

/** True where the adult says what must not be seen: children write it, or listen. */
const isForTheEar = ({ activity }: Slide) =>
  isWritten(activity.kind) || activity.kind === 'dictate-sentence' || activity.items.some(isOnlySaid);

import { useEffect, useState } from 'react';
import { Button, ButtonGroup } from 'react-bootstrap';
import { text, textOf } from '../text/text';
import { canList, shuffledItems } from './slides';
import { tookIn } from './state';
import { applyDue } from './time';
import { TimeRing } from './TimeRing';
import type { BoardHere } from './useBoard';

const A_SECOND = 1000;

/** What is being done, how much of its time is gone, and what is left of the lesson. */
export function TimeLine({ board: { state, slides }, minutes }: { board: BoardHere; minutes: number }) {
  const now = useNow();
  const slide = slides[state.at];
  const left = state.began === null ? minutes : Math.round(minutes - (now - state.began) / A_SECOND / 60);
  return (
    <div className="d-flex align-items-center gap-3">
      {slide && (
        <TimeRing
          spent={tookIn(state, slide.activity.id, slide.activity.id, now) / A_SECOND}
          of={slide.activity.seconds}
        />
      )}
      <div className="flex-grow-1">
        <strong className="d-block fs-5">
          {slide ? textOf('activity', slide.activity.kind) : text('board.end')}
          {slide?.item && (
            <span className="quiet fw-normal">
              {' '}
              {text('board.position', { at: slide.at, total: slide.activity.items.length })}
            </span>
          )}
        </strong>
        <span className={left < 0 ? 'text-danger' : 'quiet'}>
          {text(left < 0 ? 'teacher.over' : 'teacher.left', { minutes: Math.abs(left) })}
        </span>
      </div>
    </div>
  );
}

/** A nudge once Apply would lose of its time, and the way there. */
export function ApplyNudge({ board: { state, slides, happen }, minutes }: { board: BoardHere; minutes: number }) {
  const now = useNow();
  const due = applyDue(state, slides, minutes, now);
  if (!due) return null;
  return (
    <p className="flag-note m-0 py-2 px-3 rounded d-flex flex-wrap align-items-center gap-3" role="status">
      {text('teacher.applyDue', { minutes: due.minutes })}
      <Button variant="outline-primary" onClick={() => happen({ is: 'went', to: due.at, now: Date.now() })}>
        {text('teacher.toApply', { apply: textOf('part', 'apply') })}
      </Button>
    </p>
  );
}

/** On and back, reveal, shuffle, blank: as large as a finger. */
export function StepButtons({ board: { state, slides, slide, happen, on, back } }: { board: BoardHere }) {
  const shuffle = () => {
    const items = slide && shuffledItems(slides, slide.activity.id);
    if (items) happen({ is: 'shuffled', activityId: slide.activity.id, items });
  };
  return (
    <div className="d-flex flex-wrap gap-2">
      <ButtonGroup>
        <Button variant="outline-primary" onClick={back}>
          {text('teacher.back')}
        </Button>
        <Button className="px-4" onClick={on}>
          {text('teacher.on')}
        </Button>
      </ButtonGroup>
      <Button
        variant={state.step > 0 ? 'primary' : 'outline-primary'}
        disabled={!slide?.steps}
        onClick={() => happen({ is: 'revealed' })}
      >
        {text('teacher.reveal')}
        {slide && slide.steps > 1 && ` ${state.step}/${slide.steps}`}
      </Button>
      <Button variant="outline-secondary" disabled={!slide} onClick={shuffle}>
        {text('teacher.shuffle')}
      </Button>
      {slide && canList(slide.activity) && (
        <Button
          variant={state.isList ? 'primary' : 'outline-secondary'}
          aria-pressed={state.isList}
          onClick={() => happen({ is: 'listed' })}
        >
          {text('teacher.list')}
        </Button>
      )}
      {slide && (slide.points > 0 || state.isList) && (
        <ButtonGroup>
          <Button
            variant="outline-secondary"
            aria-label={text('keys.boardPointBack')}
            onClick={() => happen({ is: 'pointed', by: -1 })}
          >
            ↑
          </Button>
          <Button
            variant="outline-secondary"
            aria-label={text('keys.boardPoint')}
            onClick={() => happen({ is: 'pointed', by: 1 })}
          >
            ↓
          </Button>
        </ButtonGroup>
      )}
      <Button
        variant={state.isBlank ? 'primary' : 'outline-secondary'}
        aria-pressed={state.isBlank}
        onClick={() => happen({ is: 'blanked' })}
      >
        {text('teacher.blank')}
      </Button>
    </div>
  );
}

/** The time, each second. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), A_SECOND);
    return () => clearInterval(timer);
  }, []);
  return now;
}

import { Button, Form } from 'react-bootstrap';
import { ActivityOptions } from '../lesson/ActivityOptions';
import { AdultItem } from '../lesson/AdultItem';
import { LevelsLine } from '../lesson/LevelsLine';
import { sayText } from '../lesson/said';
import { wobblesOf } from '../lesson/wobbles';
import { text, textOf } from '../text/text';
import { ApplyNudge, StepButtons, TimeLine } from './TeacherParts';
import type { Slide } from './slides';
import type { BoardHere } from './useBoard';

interface Props {
  board: BoardHere;
  /** How long the lesson is. */
  minutes: number;
  /** To where the lesson is closed; null for who closes none. */
  onClose: (() => void) | null;
}

/** For the teacher alone: what is shown and its answer, what to say, what comes next, time, wobbles, and where to go. */
export function TeacherPanel({ board, minutes, onClose }: Props) {
  const { state, slides, slide, lesson, happen } = board;
  const next = slides[state.at + 1];
  const activities = lesson.parts.flatMap((p) => p.activities);
  const place = slide ? activities.findIndex((a) => a.id === slide.activity.id) : activities.length;
  const wobbles = slide ? wobblesOf(slide.activity, slide.item) : [];
  const jump = (activityId: string) =>
    happen({ is: 'went', to: slides.findIndex((s) => s.activity.id === activityId), now: Date.now() });
  return (
    <div className="teacher d-grid gap-3 p-3">
      <TimeLine board={board} minutes={minutes} />
      <ApplyNudge board={board} minutes={minutes} />
      {slide && <p className="m-0 fs-5">{sayText(slide.activity)}</p>}
      {slide?.item && (
        <section aria-label={text('teacher.now')} className="panel teacher-now">
          <AdultItem item={slide.item} activity={slide.activity} />
        </section>
      )}
      {slide && !slide.item && (
        // What it holds: words to say and answers to listen for have no print of their own on the board.
        <section aria-label={text('teacher.holds')} className="teacher-holds">
          {slide.activity.items.map((item) => (
            <AdultItem key={item.id} item={item} activity={slide.activity} />
          ))}
        </section>
      )}
      {slide && (slide.activity.levels || slide.activity.kind === 'read-words') && (
        <LevelsLine activity={slide.activity} />
      )}
      <StepButtons board={board} />
      {wobbles.length > 0 && (
        <section aria-label={text('teacher.wobbled')}>
          <p className="quiet mb-1">{text('teacher.wobbled')}</p>
          {wobbles.map((c) => (
            <Button
              key={c.correspondence}
              variant={state.wobbled.includes(c.correspondence) ? 'primary' : 'outline-secondary'}
              className="literacy fs-5 me-1 mb-1 px-3"
              aria-pressed={state.wobbled.includes(c.correspondence)}
              onClick={() => happen({ is: 'wobbled', correspondence: c.correspondence })}
            >
              {c.grapheme}
            </Button>
          ))}
        </section>
      )}
      <div className="d-flex flex-wrap align-items-end gap-3">
        <Form.Group controlId="teacher-jump" className="flex-grow-1">
          <Form.Label className="quiet mb-1">{text('teacher.jump')}</Form.Label>
          <Form.Select value={slide?.activity.id ?? ''} onChange={(e) => jump(e.target.value)}>
            {!slide && <option value="">{text('board.end')}</option>}
            <ActivityOptions lesson={lesson} />
          </Form.Select>
        </Form.Group>
        {onClose && (
          <Button variant={slide ? 'outline-primary' : 'primary'} onClick={onClose}>
            {text('board.close')}
          </Button>
        )}
        <p className="m-0 quiet">
          {[
            next && text('teacher.next', { what: nextText(next) }),
            place < activities.length && `${place + 1}/${activities.length}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
    </div>
  );
}

/** Its word or letters where it has some: an adult may know before the children do. */
function nextText({ item, activity }: Slide): string {
  if (!item) return textOf('activity', activity.kind);
  if ('word' in item) return item.word;
  return item.$type === 'card' ? item.grapheme : text('teacher.oneMore');
}

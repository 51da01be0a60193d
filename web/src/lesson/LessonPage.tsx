import { useState } from 'react';
import { Alert, Button } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import { ErrorNote } from '../shell/ErrorNote';
import { useKeys } from '../shell/keys';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, isQuietDay, labelText, reasonText, text, textOf } from '../text/text';
import { ActivityView } from './ActivityView';
import { CloseDialog } from './CloseDialog';
import { minutesOf, useLesson, useLessonChanges, type LessonView } from './lesson';
import { PartIcon } from './PartIcon';

/** A group's lesson on a day: four parts in a strip of minutes, each word changeable with a key. */
export function LessonPage() {
  const { groupId = '', date = '' } = useParams();
  const lesson = useLesson(groupId, date);
  if (lesson.isPending) return <Loading />;
  if (lesson.error && !lesson.data) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <OpenLesson key={lesson.data.id} view={lesson.data} />;
}

function OpenLesson({ view }: { view: LessonView }) {
  const [closing, setClosing] = useState(false);
  const { change, close } = useLessonChanges(view);
  const navigate = useNavigate();
  const here = `/groups/${view.groupId}/lessons/${view.date}`;
  const planned = view.status === 'planned';
  const title = text('lesson.title', { group: view.groupName, date: dayText(view.date) });
  usePageTitle(title);
  useKeys(
    {
      b: () => void navigate(`${here}/board`),
      p: () => void navigate(`${here}/print`),
      c: () => setClosing(true),
      u: () => planned && view.canUndo && change.mutate({ type: 'undo' }),
    },
    !closing,
  );
  const when = view.isToday ? 'lesson.today' : planned ? 'lesson.nextDay' : 'lesson.pastDay';
  const obstacles = [...new Set(view.problems.flatMap((p) => p.reasons.map(reasonText)))];

  return (
    <>
      <header className="lesson-head">
        <div>
          <p className="quiet mb-0">{text(when)}</p>
          <h1>{title}</h1>
          <p className="lesson-new">
            {!isQuietDay(view.rungLabel) && `${text('lesson.new', { what: '' })} `}
            <span className={view.lesson.target.length > 0 ? 'literacy lesson-target' : 'lesson-target'}>{labelText(view.rungLabel)}</span>
          </p>
        </div>
        <div className="lesson-actions">
          <Link className="btn btn-primary btn-lg" to={`${here}/board`}>
            {text('lesson.board')} <kbd>B</kbd>
          </Link>
          <Button variant="outline-primary" size="lg" onClick={() => setClosing(true)}>
            {text('lesson.close')} <kbd>C</kbd>
          </Button>
        </div>
      </header>
      <div className="lesson-bar">
        {view.previous && <Link to={`/groups/${view.groupId}/lessons/${view.previous}`}>← {text('lesson.previous')}</Link>}
        {view.next && <Link to={`/groups/${view.groupId}/lessons/${view.next}`}>{text('lesson.next')} →</Link>}
        <span className={`status status-${view.status}`}>{textOf('status', view.status ?? 'planned')}</span>
        <span className="quiet">{text('lesson.minutes', { minutes: view.minutes, available: view.lessonMinutes })}</span>
        <Link className="ms-auto" to={`${here}/print`}>
          {text('lesson.print')}
        </Link>
        <Button variant="link" disabled={!planned || !view.canUndo || change.isPending} onClick={() => change.mutate({ type: 'undo' })}>
          {text('lesson.undo')}
        </Button>
      </div>
      {change.error && <ErrorNote problem={change.error} />}
      {view.expectedRung && (
        <Alert variant="warning" className="error-note">
          <span>{text('lesson.slipped', { expected: labelText(view.expectedRung), planned: labelText(view.rungLabel) })}</span>
          <Button size="sm" onClick={() => change.mutate({ type: 'plan-again' })}>
            {text('lesson.planAgain')}
          </Button>
        </Alert>
      )}
      {obstacles.length > 0 && (
        <Alert variant="warning" className="error-note">
          <span>{text('lesson.broken', { count: view.problems.length, what: obstacles.join('; ') })}</span>
          <Button size="sm" onClick={() => change.mutate({ type: 'plan-again' })}>
            {text('lesson.planAgain')}
          </Button>
        </Alert>
      )}
      {!planned && <p className="quiet">{text('lesson.frozen')}</p>}
      {view.lesson.notes.map((note) => (
        <p key={note.code} className="flag-note">
          {reasonText({ ...note, arguments: note.arguments.map(labelText) })}
        </p>
      ))}
      <MinuteStrip view={view} />
      {view.lesson.parts.map((part) => (
        <section key={part.kind} className={`part part-${part.kind}`} aria-labelledby={`part-${part.kind}`}>
          <h2 id={`part-${part.kind}`}>
            <PartIcon part={part.kind} /> {textOf('part', part.kind)}
            <span className="part-minutes">{text('part.minutes', { minutes: minutesOf(part.seconds ?? 0) })}</span>
          </h2>
          <div className="activities">
            {part.activities.map((activity) => (
              <ActivityView key={activity.id} activity={activity} problems={view.problems} editable={planned} busy={change.isPending} onCommand={(c) => change.mutate(c)} />
            ))}
          </div>
        </section>
      ))}
      {closing && <CloseDialog view={view} close={close} onHide={() => setClosing(false)} />}
    </>
  );
}

function MinuteStrip({ view }: { view: LessonView }) {
  const parts = view.lesson.parts;
  const total = parts.reduce((sum, p) => sum + (p.seconds ?? 0), 0);
  const starts = parts.map((_, i) => parts.slice(0, i).reduce((sum, p) => sum + (p.seconds ?? 0), 0));
  return (
    <svg className="strip" viewBox="0 0 100 6" preserveAspectRatio="none" role="img" aria-label={text('lesson.parts')}>
      {parts.map((part, i) => (
        <rect key={part.kind} className={`strip-${part.kind}`} x={(100 * (starts[i] ?? 0)) / total} y="0" height="6" width={Math.max(0, (100 * (part.seconds ?? 0)) / total - 0.3)} />
      ))}
    </svg>
  );
}

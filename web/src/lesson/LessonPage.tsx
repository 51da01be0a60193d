import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Alert, Button } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import { ApiProblem } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { tileActions } from './tileActions';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, isQuietDay, labelText, reasonText, text, textOf } from '../text/text';
import { ActivityView } from './ActivityView';
import { AddActivity } from './AddActivity';
import { CloseDialog } from './CloseDialog';
import { CoverDialog } from './CoverDialog';
import { CopyDialog, Remark } from './LessonTools';
import { TooFewNote } from './TooFewNote';
import { lessonQuery } from './queries';
import { useLessonChanges } from './useLessonChanges';
import { notesQuery } from '../ladder/queries';
import { minutesOf, type LessonView } from './kinds';
import { LessonBar } from './LessonBar';
import { partColours } from './partColours';
import { PartIcon } from './PartIcon';

/** A group's lesson on a day: four parts in a strip of minutes, each word changeable with a key. */
export function LessonPage() {
  const { groupId = '', date = '' } = useParams();
  const { school } = useSchool();
  const lesson = useQuery(lessonQuery(school.id, groupId, date));
  if (lesson.isPending) return <Loading />;
  if (lesson.error && !lesson.data) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  return <OpenLesson key={lesson.data.id} view={lesson.data} />;
}

function OpenLesson({ view }: { view: LessonView }) {
  const [dialog, setDialog] = useState<'close' | 'cover' | 'copy' | null>(null);
  const [say, setSay] = useState(false);
  const phrases = usePhrases();
  const { change, close } = useLessonChanges(view);
  const navigate = useNavigate();
  const here = `/groups/${view.groupId}/lessons/${view.date}`;
  const planned = view.status === 'planned';
  const past = view.date < useSchool().school.today;
  const title = text('lesson.title', { group: view.groupName, date: dayText(view.date) });
  usePageTitle(title);
  const undo = () => planned && view.canUndo && change.mutate({ type: 'undo' });
  const redo = () => planned && view.canRedo && change.mutate({ type: 'redo' });
  useActions(
    [
      { keys: ['b'], label: 'keys.b', run: () => void navigate(`${here}/board`) },
      { keys: ['p'], label: 'keys.p', run: () => void navigate(`${here}/print`) },
      { keys: ['c'], label: 'keys.c', run: () => setDialog('close') },
      { keys: ['s'], label: 'keys.say', run: () => setSay(!say) },
      { keys: ['g'], label: 'keys.g', run: () => void navigate(`/groups/${view.groupId}/gather/${view.date}`) },
      { keys: ['u'], label: 'keys.u', run: undo },
      { keys: ['y'], label: 'keys.y', run: redo },
      ...tileActions(planned),
    ],
    dialog === null,
  );
  const when = view.isToday ? 'lesson.today' : planned ? 'lesson.nextDay' : 'lesson.pastDay';
  const obstacles = [...new Set(view.problems.flatMap((p) => p.reasons.map(reasonText)))];

  return (
    <>
      <header className="d-md-flex justify-content-between align-items-end gap-4">
        <div>
          <p className="quiet mb-0">{text(when)}</p>
          <h1>{title}</h1>
          <p className="fs-5 m-0">
            {!isQuietDay(view.rungLabel) && `${text('lesson.new', { what: '' })} `}
            <span
              className={
                view.lesson.target.length > 0 ? 'literacy lesson-target fs-3 fw-bold' : 'lesson-target fs-3 fw-bold'
              }
            >
              {labelText(view.rungLabel)}
            </span>
          </p>
        </div>
        <div className="lesson-actions d-grid d-md-flex mt-2 mt-md-0 gap-2 flex-wrap justify-content-end">
          <Link className="btn btn-primary btn-lg" to={`${here}/board`}>
            {text('lesson.board')} <Kbd of="B" />
          </Link>
          <Button variant="outline-primary" size="lg" onClick={() => setDialog('close')}>
            {text('lesson.close')} <Kbd of="C" />
          </Button>
        </div>
      </header>
      <LessonBar
        view={view}
        say={say}
        canUndo={planned && view.canUndo && !change.isPending}
        canRedo={planned && view.canRedo && !change.isPending}
        onSay={() => setSay(!say)}
        onCover={past ? null : () => setDialog('cover')}
        onCopy={planned ? () => setDialog('copy') : null}
        onUndo={undo}
        onRedo={redo}
      />
      {change.error &&
        (change.error instanceof ApiProblem && change.error.code === 'too-few-words' && change.variables ? (
          <TooFewNote problem={change.error} asked={change.variables} onCommand={(c) => change.mutate(c)} />
        ) : (
          <ErrorNote problem={change.error} />
        ))}
      {view.expectedRung && (
        <Alert
          variant="warning"
          className="d-flex align-items-center justify-content-between gap-3 py-2 px-3 my-2 mx-0 text-body"
        >
          <span>
            {text('lesson.slipped', { expected: labelText(view.expectedRung), planned: labelText(view.rungLabel) })}
          </span>
          <Button size="sm" onClick={() => change.mutate({ type: 'plan-again' })}>
            {text('lesson.planAgain')}
          </Button>
        </Alert>
      )}
      {obstacles.length > 0 && (
        <Alert
          variant="warning"
          className="d-flex align-items-center justify-content-between gap-3 py-2 px-3 my-2 mx-0 text-body"
        >
          <span>
            {text('lesson.broken', { count: view.problems.length, what: obstacles.join('; ') })}{' '}
            {text('lesson.repairHelp')}
          </span>
          <Button size="sm" disabled={change.isPending} onClick={() => change.mutate({ type: 'repair' })}>
            {text('lesson.repair')}
          </Button>
          <Button
            size="sm"
            variant="outline-primary"
            disabled={change.isPending}
            onClick={() => change.mutate({ type: 'plan-again' })}
          >
            {text('lesson.planAgain')}
          </Button>
        </Alert>
      )}
      {!planned && <p className="quiet">{text('lesson.frozen')}</p>}
      {view.lesson.notes.map((note) => (
        <p key={note.code + note.arguments.join()} className="flag-note py-2 px-3 rounded">
          {reasonText(note.code === 'few-words' ? { ...note, arguments: note.arguments.map(labelText) } : note)}
        </p>
      ))}
      <MinuteStrip view={view} />
      {view.lesson.parts.map((part) => (
        <section
          key={part.kind}
          className={`part part-${part.kind} border rounded mb-3 py-3 px-2 px-md-3`}
          style={partColours(part.kind)}
          aria-labelledby={`part-${part.kind}`}
        >
          <h2 id={`part-${part.kind}`} className="d-flex align-items-center gap-2 mb-3">
            <PartIcon part={part.kind} /> {textOf('part', part.kind)}
            <span className="small fw-normal text-body">
              {text('part.minutes', { minutes: minutesOf(part.seconds ?? 0) })}
            </span>
          </h2>
          <div className="d-grid gap-2">
            {part.activities.map((activity, i) => (
              <ActivityView
                key={activity.id}
                view={view}
                part={part.kind}
                activity={activity}
                at={i}
                of={part.activities.length}
                problems={view.problems}
                phrases={phrases}
                editable={planned}
                say={say}
                busy={change.isPending}
                onCommand={(c) => change.mutate(c)}
              />
            ))}
            {planned && (
              <AddActivity part={part.kind} view={view} busy={change.isPending} onCommand={(c) => change.mutate(c)} />
            )}
          </div>
        </section>
      ))}
      <Remark
        key={view.lesson.remark ?? ''}
        view={view}
        editable={planned}
        busy={change.isPending}
        onCommand={(c) => change.mutate(c)}
      />
      {dialog === 'close' && <CloseDialog view={view} close={close} onHide={() => setDialog(null)} />}
      {dialog === 'cover' && <CoverDialog view={view} onHide={() => setDialog(null)} />}
      {dialog === 'copy' && (
        <CopyDialog view={view} onCommand={(c) => change.mutate(c)} onHide={() => setDialog(null)} />
      )}
    </>
  );
}

/** The school's own memory phrases, by what they are for. */
function usePhrases(): ReadonlyMap<string, string> {
  const { school } = useSchool();
  const notes = useQuery(notesQuery(school.id));
  return new Map((notes.data?.notes ?? []).map((n) => [n.subject, n.phrase]));
}

function MinuteStrip({ view }: { view: LessonView }) {
  const parts = view.lesson.parts;
  const total = parts.reduce((sum, p) => sum + (p.seconds ?? 0), 0);
  const starts = parts.map((_, i) => parts.slice(0, i).reduce((sum, p) => sum + (p.seconds ?? 0), 0));
  return (
    <svg
      className="strip d-block w-100 mb-2"
      viewBox="0 0 100 6"
      preserveAspectRatio="none"
      role="img"
      aria-label={text('lesson.parts')}
    >
      {parts.map((part, i) => (
        <rect
          key={part.kind}
          style={partColours(part.kind)}
          x={(100 * (starts[i] ?? 0)) / total}
          y="0"
          height="6"
          width={Math.max(0, (100 * (part.seconds ?? 0)) / total - 0.3)}
        />
      ))}
    </svg>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Alert, Button } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { useActions } from '../shell/actions';
import { Kbd } from '../shell/Kbd';
import { tileActions } from './tileActions';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, isQuietDay, labelText, reasonText, text } from '../text/text';
import { CloseDialog } from './CloseDialog';
import { CoverDialog } from './CoverDialog';
import { CopyDialog, Remark } from './LessonTools';
import { lessonQuery } from './queries';
import { useLessonChanges } from './useLessonChanges';
import type { LessonView } from './kinds';
import { isTooFew, LessonPart } from './LessonPart';
import { PartStrip } from './PartStrip';
import { LessonBar } from './LessonBar';

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
  // From the end of the board one comes here to close the lesson.
  const [params] = useSearchParams();
  const [dialog, setDialog] = useState<'close' | 'cover' | 'copy' | null>(() =>
    params.has('close') && view.status === 'planned' ? 'close' : null,
  );
  const [say, setSay] = useState(false);
  const { change, close } = useLessonChanges(view);
  const navigate = useNavigate();
  const here = `/groups/${view.groupId}/lessons/${view.date}`;
  const { school } = useSchool();
  const changes = mayChange(school.role);
  const planned = view.status === 'planned';
  const editable = planned && changes;
  const past = view.date < school.today;
  const title = text('lesson.title', { group: view.groupName, date: dayText(view.date) });
  usePageTitle(title);
  const undo = () => editable && view.canUndo && change.mutate({ type: 'undo' });
  const redo = () => editable && view.canRedo && change.mutate({ type: 'redo' });
  useActions(
    [
      { keys: ['b'], label: 'keys.b', run: () => void navigate(`${here}/board`) },
      { keys: ['p'], label: 'keys.p', run: () => void navigate(`${here}/print`) },
      ...(changes ? [{ keys: ['c'], label: 'keys.c' as const, run: () => setDialog('close') }] : []),
      { keys: ['s'], label: 'keys.say', run: () => setSay(!say) },
      { keys: ['g'], label: 'keys.g', run: () => void navigate(`/groups/${view.groupId}/gather/${view.date}`) },
      {
        keys: ['f'],
        label: 'keys.paper',
        run: () => void navigate(`/groups/${view.groupId}/printing/${view.date}`),
      },
      { keys: ['u'], label: 'keys.u', run: undo },
      { keys: ['y'], label: 'keys.y', run: redo },
      ...tileActions(editable),
    ],
    dialog === null,
  );
  const when = view.isToday ? 'lesson.today' : planned ? 'lesson.nextDay' : 'lesson.pastDay';
  const obstacles = [...new Set(view.problems.flatMap((p) => p.reasons.map(reasonText)))];

  return (
    <>
      <header className="d-md-flex justify-content-between align-items-end gap-4">
        <div>
          <p className="quiet small mb-0">{text(when)}</p>
          <div className="d-flex flex-wrap align-items-baseline column-gap-4">
            <h1 className="mb-0">{title}</h1>
            <p className="m-0">
              {!isQuietDay(view.rungLabel) && `${text('lesson.new', { what: '' })} `}
              <span className={`lesson-target fs-3 fw-bold${view.lesson.target.length > 0 ? ' literacy' : ''}`}>
                {labelText(view.rungLabel)}
              </span>
            </p>
          </div>
        </div>
        <div className="lesson-actions d-grid d-md-flex mt-2 mt-md-0 gap-2 justify-content-end text-nowrap">
          <Link className="btn btn-primary btn-lg" to={`${here}/board`}>
            {text('lesson.board')} <Kbd of="B" />
          </Link>
          {school.role !== 'head' && view.date <= school.today && (
            <Link className="btn btn-outline-primary btn-lg" to={`${here}/marks`}>
              {text('lesson.mark')}
            </Link>
          )}
          {changes && (
            <Button variant="outline-primary" size="lg" onClick={() => setDialog('close')}>
              {text('lesson.close')} <Kbd of="C" />
            </Button>
          )}
        </div>
      </header>
      <LessonBar
        view={view}
        say={say}
        canUndo={editable && view.canUndo && !change.isPending}
        canRedo={editable && view.canRedo && !change.isPending}
        onSay={() => setSay(!say)}
        onCover={past || !changes ? null : () => setDialog('cover')}
        onCopy={editable ? () => setDialog('copy') : null}
        onUndo={undo}
        onRedo={redo}
      />
      {change.error && !isTooFew(change) && <ErrorNote problem={change.error} />}
      {view.expectedRung && changes && (
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
      {obstacles.length > 0 && changes && (
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
      <PartStrip view={view} />
      {view.lesson.parts.map((part) => (
        <LessonPart key={part.kind} view={view} part={part} editable={editable} say={say} change={change} />
      ))}
      <Remark
        key={view.lesson.remark ?? ''}
        view={view}
        editable={editable}
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

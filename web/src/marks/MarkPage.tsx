import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Alert, Button } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { lessonQuery } from '../lesson/queries';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text, textOf } from '../text/text';
import { ByException } from './ByException';
import { AsWritten } from './AsWritten';
import { ReadAloud } from './ReadAloud';
import { WholeGroup } from './WholeGroup';
import { ofChild, shown, slot, ticks } from './marking';
import { marksQuery, type MarkingView } from './queries';
import { useQueue } from './useQueue';

/** The marks of a lesson's words, made standing, on a phone: one tap for what is wrong. */
export function MarkPage() {
  const { groupId = '', date = '' } = useParams();
  const { school } = useSchool();
  const lesson = useQuery(lessonQuery(school.id, groupId, date));
  const marks = useQuery(marksQuery(school.id, lesson.data?.id ?? ''));
  usePageTitle(text('marks.page'));
  if (lesson.error && !lesson.data) return <ErrorNote problem={lesson.error} retry={() => void lesson.refetch()} />;
  if (marks.error && !marks.data) return <ErrorNote problem={marks.error} retry={() => void marks.refetch()} />;
  if (!marks.data) return <Loading />;
  return <Marking view={marks.data} groupId={groupId} />;
}

const WAYS = ['by-exception', 'as-written', 'whole-group', 'read-aloud'] as const;

function Marking({ view, groupId }: { view: MarkingView; groupId: string }) {
  const { queue, kept } = useQueue();
  const spelled = view.words.filter((w) => w.isSpelled);
  const [chosen, setChosen] = useState(spelled[0]?.word ?? view.words[0]?.word ?? '');
  const [way, setWay] = useState<(typeof WAYS)[number]>('by-exception');
  const all = shown(view, kept.waiting);
  const words = way === 'read-aloud' ? view.words : spelled.length > 0 ? spelled : view.words;
  const word = words.find((w) => w.word === chosen) ?? words[0];
  const done = (w: MarkingView['words'][number]) =>
    view.children.every(
      (c) =>
        c.isAway ||
        all.has(slot(c.id, w.word, -1, 'spelling')) ||
        ofChild(all, c.id, w.word, w.graphemes.length).some((s) => s !== null),
    );
  const mark = (...marks: Parameters<typeof queue.add>[1][]) => marks.forEach((m) => queue.add(view.lessonId, m));
  const next = () => {
    const at = words.findIndex((w) => w.word === word?.word);
    const after = words[at + 1];
    if (after) setChosen(after.word);
  };
  const Way = {
    'by-exception': ByException,
    'as-written': AsWritten,
    'whole-group': WholeGroup,
    'read-aloud': ReadAloud,
  }[way];
  return (
    <div className="marking">
      <h1 className="fs-3 mb-1">{text('marks.title', { group: view.group })}</h1>
      <p className="quiet mb-2">
        {dayText(view.date)} · <Link to={`/groups/${groupId}/lessons/${view.date}`}>{text('marks.toLesson')}</Link> ·{' '}
        <Link to={`/groups/${groupId}/memory`}>{text('memory.page')}</Link>
      </p>
      <p className="small mb-2" role="status">
        {kept.waiting.length > 0
          ? text('marks.waiting', { marks: kept.waiting.length })
          : view.seen.length > 0
            ? text('marks.allKept')
            : ''}
      </p>
      {kept.refused.length > 0 && (
        <Alert variant="warning" dismissible onClose={() => queue.forgetRefused()}>
          {text('marks.refused', { marks: kept.refused.length })}{' '}
          {[...new Set(kept.refused.map((r) => r.reason))].map((r) => textOf('markReason', r)).join(' ')}
        </Alert>
      )}
      {!word ? (
        <p className="panel">{text('marks.noWords')}</p>
      ) : view.children.length === 0 && way !== 'whole-group' ? (
        <p className="panel">
          {text('marks.noChildren')} <Link to="/children">{text('marks.toChildren')}</Link>
        </p>
      ) : null}
      <div className="d-flex flex-wrap gap-2 mb-3" role="group" aria-label={text('marks.way')}>
        {WAYS.map((w) => (
          <Button
            key={w}
            size="sm"
            variant={w === way ? 'primary' : 'outline-primary'}
            aria-pressed={w === way}
            onClick={() => setWay(w)}
          >
            {textOf('marks.way', w)}
          </Button>
        ))}
      </div>
      {word && (
        <>
          <div className="mark-words" role="group" aria-label={text('marks.words')}>
            {words.map((w) => (
              <button
                key={w.word}
                type="button"
                className="literacy"
                aria-pressed={w.word === word.word}
                onClick={() => setChosen(w.word)}
              >
                {w.word}
                {done(w) && <span aria-label={text('marks.done')}> ✓</span>}
              </button>
            ))}
          </div>
          <Way key={way} view={view} word={word} all={all} mark={mark} next={next} />
          <p className="quiet small mt-3 mb-0">
            {text('marks.ticks', {
              ticks: view.children.reduce(
                (sum, c) => sum + ticks(ofChild(all, c.id, word.word, word.graphemes.length), view.wordTick),
                0,
              ),
              of: view.children.filter((c) => !c.isAway).length * (word.graphemes.length + (view.wordTick ? 1 : 0)),
            })}
          </p>
        </>
      )}
    </div>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, shortDayText, stageText, text, textOf } from '../text/text';
import { shown } from '../words/spelling';
import { childMemoryQuery } from './queries';
import { lettersText, targetText, whyText } from './targets';

type View = Schemas['ChildMemoryView'];
type Target = Schemas['TargetState'];

/** A child: the ladder climbed in three states, what is confused, what was seen lately. */
export function ChildMemoryPage() {
  const { school } = useSchool();
  const memory = useQuery(childMemoryQuery(school.id, useParams().childId!));
  usePageTitle(text('childMemory.page'));
  if (memory.error && !memory.data) return <ErrorNote problem={memory.error} retry={() => void memory.refetch()} />;
  if (!memory.data) return <Loading />;
  const view = memory.data;
  return (
    <>
      <div className="d-flex flex-wrap justify-content-between gap-3 align-items-baseline">
        <h1>{view.name}</h1>
        {view.groupId && (
          <p className="d-flex flex-wrap gap-3 no-print">
            <Link to={`/groups/${view.groupId}/memory`}>{text('childMemory.toGroup', { group: view.group! })}</Link>
            <Link to={`/groups/${view.groupId}/catch-up`} state={{ children: [view.id] }}>
              {text('catchUp.link')}
            </Link>
          </p>
        )}
      </div>
      <p className="quiet">{dayText(view.date)}</p>
      <Climbed view={view} />
      <Confused confusions={view.confusions} />
      <section className="panel mb-3" aria-label={text('childMemory.recent')}>
        <h2 className="fs-4">{text('childMemory.recent')}</h2>
        {view.missed.length > 0 && (
          <p>{text('memory.missed', { days: view.missed.map((d) => shortDayText(d)).join(', ') })}</p>
        )}
        {view.catchUps.map((c) => (
          <p key={c.day}>
            {text('childMemory.caughtUp', { day: shortDayText(c.day), what: c.targets.map(targetText).join(', ') })}
          </p>
        ))}
        {view.recent.length === 0 ? (
          <p className="mb-0">{text('childMemory.nothingSeen')}</p>
        ) : (
          <Recent recent={view.recent} />
        )}
      </section>
      <p className="quiet small">{text('memory.caution')}</p>
    </>
  );
}

/** The rungs taught, the newest first, each target with its state: by shape and word, not by colour alone. */
function Climbed({ view }: { view: View }) {
  const stages = new Map<string, Target[]>();
  for (const rung of view.rungs) stages.set(rung.stage, [...(stages.get(rung.stage) ?? []), ...rung.targets]);
  const all = [...view.rungs.flatMap((r) => r.targets), ...view.tricky];
  const wobbling = all.filter((t) => t.state === 'wobbling');
  const count = (state: Target['state']) => all.filter((t) => t.state === state && isLookedAt(t)).length;
  return (
    <section className="panel mb-3" aria-label={text('childMemory.ladder')}>
      <h2 className="fs-4">{text('childMemory.ladder')}</h2>
      <p className="memory-counts">
        <State state="secure" /> {text('childMemory.secure', { count: count('secure') })} · <State state="wobbling" />{' '}
        {text('childMemory.wobbling', { count: count('wobbling') })} · <State state="not-yet" />{' '}
        {text('childMemory.notYet', { count: count('not-yet') })} ·{' '}
        <span className="quiet">{text('childMemory.dotted', { count: all.filter((t) => !isLookedAt(t)).length })}</span>
      </p>
      {view.rungs.length === 0 && <p className="mb-0">{text('childMemory.nothingTaught')}</p>}
      {wobbling.length > 0 && (
        <ul className="memory-due list-unstyled">
          {wobbling.map((t) => (
            <li key={t.target}>
              <strong className="literacy fs-5">{targetText(t.target)}</strong>
              <span>{t.reasons.map(whyText).join(', ')}</span>
            </li>
          ))}
        </ul>
      )}
      {[...stages].map(([stage, targets]) => (
        <Stage key={stage} name={stage ? stageText(stage) : ''} targets={targets} />
      ))}
      {view.tricky.length > 0 && <Stage name={text('childMemory.tricky')} targets={view.tricky} />}
    </section>
  );
}

function Stage({ name, targets }: { name: string; targets: readonly Target[] }) {
  return (
    <>
      <h3 className="fs-6 mb-1">{name}</h3>
      <ul className="memory-ladder list-unstyled">
        {targets.map((t) => (
          <li
            key={t.target}
            className={isLookedAt(t) ? t.state : `${t.state} unseen`}
            title={[textOf('record.state', t.state), ...t.reasons.map(whyText)].join(' ')}
          >
            <State state={t.state} />
            <span className="literacy">{lettersText(t.target)}</span>
            <span className="visually-hidden">
              {[textOf('record.state', t.state), ...t.reasons.map(whyText)].join(' ')}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** True where the child itself did something with it. */
const isLookedAt = (t: Target) => t.reasons.some((r) => r.code === 'right-days' || r.code === 'missed-on');

const SHAPES = { secure: '●', wobbling: '◐', 'not-yet': '○' };

function State({ state }: { state: keyof typeof SHAPES }) {
  return <span aria-hidden>{SHAPES[state]}</span>;
}

function Confused({ confusions }: { confusions: View['confusions'] }) {
  if (confusions.length === 0) return null;
  return (
    <section className="panel mb-3" aria-label={text('childMemory.confused')}>
      <h2 className="fs-4">{text('childMemory.confused')}</h2>
      <ul className="list-unstyled mb-0">
        {confusions.map((c) => (
          <li key={`${c.target} ${c.written} ${c.kind}`} className="mb-2">
            <strong>{textOf('confusion', c.kind, { letters: lettersText(c.target), written: c.written })}</strong>{' '}
            <span className="quiet">
              {text('confusion.times', { times: c.times, days: c.days, last: shortDayText(c.last) })}
            </span>
            {c.pairs.length > 0 && (
              <span className="d-block">
                {text('confusion.contrast')}{' '}
                <span className="literacy fs-5">{c.pairs.map((p) => `${p.one} – ${p.other}`).join(', ')}</span>
              </span>
            )}
            {c.isOfSound && <span className="d-block">{text('confusion.sound')}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Recent({ recent }: { recent: View['recent'] }) {
  return (
    <table className="table table-sm mb-0">
      <thead>
        <tr>
          <th scope="col">{text('childMemory.day')}</th>
          <th scope="col">{text('childMemory.word')}</th>
          <th scope="col">{text('childMemory.seen')}</th>
        </tr>
      </thead>
      <tbody>
        {recent.map((r) => {
          const wrong = r.places.filter((p) => p.seen !== 'right');
          return (
            <tr key={`${r.day} ${r.word} ${r.skill}`}>
              <td className="text-nowrap">{shortDayText(r.day)}</td>
              <td>
                <span className="literacy">{shown(r.word)}</span>{' '}
                <span className="quiet small">{textOf('childMemory.skill', r.skill)}</span>
              </td>
              <td>
                {wrong.length === 0
                  ? text('childMemory.allRight')
                  : wrong
                      .map((p) =>
                        p.written
                          ? text('childMemory.wroteFor', {
                              letters: lettersText(p.target),
                              written: p.written,
                              seen: textOf('marks.seen', p.seen),
                            })
                          : `${lettersText(p.target)}: ${textOf('marks.seen', p.seen)}`,
                      )
                      .join(', ')}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

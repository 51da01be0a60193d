import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, text } from '../text/text';
import { schoolMemoryQuery } from './queries';
import { targetText } from './targets';

type Group = Schemas['GroupClimb'];

/** The school for the lead: where teaching goes faster than learning, what fails across classes, who needs more. */
export function SchoolMemoryPage() {
  const { school } = useSchool();
  const memory = useQuery(schoolMemoryQuery(school.id));
  usePageTitle(text('schoolMemory.page'));
  if (memory.error && !memory.data) return <ErrorNote problem={memory.error} retry={() => void memory.refetch()} />;
  if (!memory.data) return <Loading />;
  const view = memory.data;
  return (
    <>
      <h1>{text('schoolMemory.page')}</h1>
      <p className="quiet">{dayText(view.date)}</p>
      <section className="panel mb-3" aria-label={text('schoolMemory.topUps')}>
        <h2 className="fs-4">{text('schoolMemory.topUps')}</h2>
        {view.topUps.length === 0 ? (
          <p className="mb-0">{text('schoolMemory.noTopUps')}</p>
        ) : (
          <ul className="memory-due top-ups list-unstyled mb-0">
            {view.topUps.map((t) => (
              <li key={t.id}>
                <strong>
                  <Link to={`/children/${t.id}/memory`}>{t.name}</Link>
                </strong>
                <span>
                  {t.group}:{' '}
                  {[
                    t.missedTeaching > 0 && text('schoolMemory.missed', { count: t.missedTeaching }),
                    t.notHeld > 0 && text('schoolMemory.notHeld', { count: t.notHeld }),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
                <Link to={`/groups/${t.groupId}/catch-up`} state={{ children: [t.id] }}>
                  {text('catchUp.link')}
                </Link>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section className="panel mb-3" aria-label={text('schoolMemory.climbs')}>
        <h2 className="fs-4">{text('schoolMemory.climbs')}</h2>
        <p className="quiet small">{text('schoolMemory.legend')}</p>
        {view.groups.map((g) => (
          <Climb key={g.id} group={g} />
        ))}
      </section>
      <section className="panel" aria-label={text('schoolMemory.failing')}>
        <h2 className="fs-4">{text('schoolMemory.failing')}</h2>
        {view.failing.length === 0 ? (
          <p className="mb-0">{text('schoolMemory.nothingFails')}</p>
        ) : (
          <ul className="memory-due list-unstyled mb-0">
            {view.failing.map((f) => (
              <li key={f.target}>
                <strong className="literacy fs-5">{targetText(f.target)}</strong>
                <span>
                  {text('schoolMemory.failsFor', { count: f.children, of: f.of })}
                  {f.groups.length > 0 && ` · ${f.groups.join(', ')}`}
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
    </>
  );
}

/** A strip with a cell for each rung that was taught, and what it says in words. */
function Climb({ group }: { group: Group }) {
  const seen = group.rungs.filter((r) => r.seen > 0);
  const lost = seen.filter((r) => r.isLost);
  return (
    <div className="memory-climb">
      <h3 className="fs-6 mb-1">
        <Link to={`/groups/${group.id}/memory`}>{group.name}</Link>
        {group.isTooFast && <strong className="ms-3">{text('schoolMemory.tooFast')}</strong>}
      </h3>
      <ol className="memory-strip list-unstyled" aria-hidden>
        {group.rungs.map((r) => (
          <li
            key={r.id}
            className={r.seen === 0 ? 'unseen' : r.isLost ? 'lost' : 'held'}
            title={
              r.seen === 0
                ? text('schoolMemory.rungUnseen', { rung: labelText(r.label) })
                : text('schoolMemory.rungHeld', { rung: labelText(r.label), held: r.held, seen: r.seen })
            }
          />
        ))}
      </ol>
      <p className="small mb-2">
        {group.marked === 0
          ? text('schoolMemory.unmarked', { taught: group.rungs.length, children: group.children })
          : text('schoolMemory.climb', {
              taught: group.rungs.length,
              seen: seen.length,
              held: seen.length - lost.length,
              marked: group.marked,
              children: group.children,
            })}
        {lost.length > 0 && (
          <>
            {' '}
            {text('schoolMemory.lost')}{' '}
            <span className="literacy">{lost.map((r) => labelText(r.label)).join(' · ')}</span>
          </>
        )}
      </p>
    </div>
  );
}

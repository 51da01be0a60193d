import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, shortDayText, text, textOf } from '../text/text';
import type { Schemas } from '../api/client';
import { groupMemoryQuery } from './queries';
import { targetText, whyText } from './targets';

/** Group today: what comes back next and why, who wobbles on what, who missed which lesson. */
export function GroupMemoryPage() {
  const { groupId = '' } = useParams();
  const { school } = useSchool();
  const groups = useQuery(groupsQuery(school.id));
  const memory = useQuery(groupMemoryQuery(school.id, groupId));
  usePageTitle(text('memory.page'));
  if (memory.error && !memory.data) return <ErrorNote problem={memory.error} retry={() => void memory.refetch()} />;
  if (!memory.data) return <Loading />;
  const view = memory.data;
  const wobbles = byTarget(view.children);
  const name = groups.data?.find((g) => g.id === groupId)?.name ?? '';
  return (
    <>
      <h1>{text('memory.title', { group: name })}</h1>
      <p className="d-flex flex-wrap gap-3 align-items-center">
        <span className="quiet">{dayText(view.date)}</span>
        {view.children.length > 0 && (
          <Link className="btn btn-outline-primary" to={`/groups/${groupId}/catch-up`}>
            {text('catchUp.link')}
          </Link>
        )}
      </p>
      {!view.isMarked && <p className="panel">{text('memory.nothing')}</p>}
      {view.due.length > 0 && (
        <section className="panel mb-3" aria-label={text('memory.comesBack')}>
          <h2 className="fs-4">{text('memory.comesBack')}</h2>
          <ul className="memory-due list-unstyled mb-0">
            {view.due.map((d) => (
              <li key={d.target}>
                <strong className="literacy fs-5">{targetText(d.target)}</strong>
                <span>
                  {textOf('memory.due', d.why, {
                    children: d.children,
                    day: d.seen ? shortDayText(d.seen) : '',
                  })}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {wobbles.length > 0 && (
        <section className="panel mb-3" aria-label={text('memory.who')}>
          <h2 className="fs-4">{text('memory.who')}</h2>
          <ul className="memory-due list-unstyled mb-0">
            {wobbles.map(([target, names]) => (
              <li key={target}>
                <strong className="literacy fs-5">{targetText(target)}</strong>
                <span>{names.join(', ')}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section className="panel" aria-label={text('memory.children')}>
        <h2 className="fs-4">{text('memory.children')}</h2>
        {view.children.length === 0 && (
          <p className="mb-0">
            {text('marks.noChildren')} <Link to="/children">{text('marks.toChildren')}</Link>
          </p>
        )}
        <ul className="memory-children list-unstyled mb-2">
          {view.children.map((c) => (
            <li key={c.id}>
              <h3 className="fs-5 mb-1">
                <Link to={`/children/${c.id}/memory`}>{c.name}</Link>
              </h3>
              <p className="quiet small mb-1">
                {text('memory.secure', { secure: c.secure })}
                {c.missed.length > 0 &&
                  ` · ${text('memory.missed', { days: c.missed.map((d) => shortDayText(d)).join(', ') })}`}
              </p>
              <Targets label={text('memory.wobbling')} targets={c.wobbling} />
              <Targets label={text('memory.notYet')} targets={c.notYet} />
            </li>
          ))}
        </ul>
        <p className="quiet small mb-0">{text('memory.caution')}</p>
      </section>
    </>
  );
}

const MOST = 8;

/** Who wobbles on what: the targets that most children wobble on first. */
function byTarget(children: readonly Schemas['ChildStandingView'][]): [string, string[]][] {
  const found = new Map<string, string[]>();
  for (const c of children) for (const w of c.wobbling) found.set(w.target, [...(found.get(w.target) ?? []), c.name]);
  return [...found].sort((a, b) => b[1].length - a[1].length).slice(0, MOST);
}

function Targets({ label, targets }: { label: string; targets: Schemas['WobbleView'][] }) {
  if (targets.length === 0) return null;
  return (
    <details className="mb-1">
      <summary>
        {label}: <span className="literacy">{targets.map((t) => targetText(t.target)).join(' · ')}</span>
      </summary>
      <ul className="small mb-1">
        {targets.map((t) => (
          <li key={t.target}>
            <strong className="literacy">{targetText(t.target)}</strong> {t.reasons.map(whyText).join(', ')}
          </li>
        ))}
      </ul>
    </details>
  );
}

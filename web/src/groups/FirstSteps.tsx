import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { calendarQuery } from '../calendar/queries';
import { childrenQuery } from '../children/queries';
import { laddersQuery } from '../ladder/queries';
import { peopleQuery } from '../people/queries';
import { LookRound } from '../school/LookRound';
import { schoolQuery } from '../school/queries';
import { zoneText } from '../school/zones';
import { useSchool } from '../session/session';
import { text, textOf } from '../text/text';
import { groupsQuery } from './queries';

interface Step {
  is: 'school' | 'year' | 'ladder' | 'group' | 'people' | 'children';
  /** What came of it; empty while nothing did. */
  came: string;
  to: string | null;
  /** Without it no lesson can be planned. */
  isNeeded?: boolean;
}

/** What a new school does first: each step leads to the real screen, and says what came of it. */
export function FirstSteps({ onGroup }: { onGroup: () => void }) {
  const { school } = useSchool();
  const settings = useQuery(schoolQuery(school.id)).data?.settings;
  const ladders = useQuery(laddersQuery(school.id)).data?.filter((l) => l.latestVersion > 0);
  const calendar = useQuery(calendarQuery(school.id)).data?.settings;
  const groups = useQuery(groupsQuery(school.id)).data;
  const people = useQuery(peopleQuery(school.id)).data;
  const children = useQuery(childrenQuery(school.id)).data;
  if (!settings || !ladders || !calendar || !groups || !people || !children) return null;
  const colleagues = people.people.length - 1;
  const steps: Step[] = [
    {
      is: 'school',
      came: [
        settings.name,
        zoneText(settings.timeZone),
        textOf('settings.spelling', settings.spelling),
        textOf('style.accent', school.accent),
        settings.paperSize,
      ].join(' · '),
      to: '/school',
    },
    {
      is: 'year',
      came:
        calendar.terms.length > 0
          ? text('setUp.yearCame', { terms: calendar.terms.length, closed: calendar.closed.length })
          : '',
      to: '/calendar',
      isNeeded: true,
    },
    {
      is: 'ladder',
      came: ladders.map((l) => l.name).join(', '),
      to: ladders.length > 0 ? '/ladder' : '/ladder/choose',
      isNeeded: true,
    },
    {
      is: 'group',
      came: groups
        .map((g) => text('setUp.groupCame', { name: g.name, minutes: g.lessonMinutes, taught: g.rungsTaught }))
        .join(', '),
      to: null,
      isNeeded: true,
    },
    {
      is: 'people',
      came:
        colleagues + people.invitations.length > 0
          ? text('setUp.peopleCame', { count: colleagues, links: people.invitations.length })
          : '',
      to: '/people',
    },
    {
      is: 'children',
      came: children.children.length > 0 ? text('setUp.childrenCame', { count: children.children.length }) : '',
      to: '/children',
    },
  ];
  // Once lessons can be planned, what is left is a line that can be put away.
  if (steps.every((s) => s.came || !s.isNeeded))
    return <StepsLeft steps={steps.filter((s) => !s.came)} schoolId={school.id} />;
  const next = steps.find((s) => !s.came);
  return (
    <section className="panel mb-4" aria-label={text('setUp.title')}>
      <div className="d-flex flex-wrap justify-content-between align-items-start gap-3">
        <div>
          <h2>{text('setUp.title')}</h2>
          <p className="quiet">{text('setUp.intro')}</p>
        </div>
        <LookRound />
      </div>
      <ol className="list-unstyled m-0">
        {steps.map((s, i) => {
          const look = s === next ? 'primary' : 'outline-secondary';
          const label = textOf('setUp', s.is);
          return (
            <li key={s.is} className="d-flex align-items-center gap-3 border-top py-3" data-step={s.is}>
              <span className="step-mark fs-4 fw-bold quiet text-center" aria-hidden>
                {s.came ? '✓' : i + 1}
              </span>
              <span className="flex-grow-1">
                <strong className="d-block">{label}</strong>
                <span className="quiet">{s.came || textOf('setUp', `${s.is}Why`)}</span>
              </span>
              {s.to ? (
                <Link className={`btn btn-${look}`} to={s.to} aria-label={label}>
                  {text(s.came ? 'setUp.look' : 'setUp.go')}
                </Link>
              ) : (
                <Button variant={look} aria-label={label} onClick={onGroup}>
                  {text(s.came ? 'setUp.more' : 'setUp.go')}
                </Button>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

function StepsLeft({ steps, schoolId }: { steps: Step[]; schoolId: string }) {
  const kept = `steps-put-away-${schoolId}`;
  const [isPutAway, setPutAway] = useState(() => localStorage.getItem(kept) !== null);
  if (isPutAway || steps.length === 0) return null;
  return (
    <section className="d-flex flex-wrap align-items-center column-gap-3 mb-4" aria-label={text('setUp.left')}>
      <span className="quiet">{text('setUp.left')}</span>
      {steps.map((s) => (
        <Link key={s.is} className="py-1" to={s.to!}>
          {textOf('setUp', s.is)}
        </Link>
      ))}
      <Button
        size="sm"
        variant="outline-secondary"
        onClick={() => {
          localStorage.setItem(kept, 'yes');
          setPutAway(true);
        }}
      >
        {text('setUp.putAway')}
      </Button>
    </section>
  );
}

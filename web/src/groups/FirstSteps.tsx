import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { calendarQuery } from '../calendar/queries';
import { laddersQuery } from '../ladder/queries';
import { peopleQuery } from '../people/queries';
import { useSchool } from '../session/session';
import { text, textOf } from '../text/text';

/** What a new school does first: each step leads to the real screen, and says when it is done. */
export function FirstSteps({ groups, onGroup }: { groups: number; onGroup: () => void }) {
  const { school } = useSchool();
  const ladders = useQuery(laddersQuery(school.id));
  const calendar = useQuery(calendarQuery(school.id));
  const people = useQuery(peopleQuery(school.id));
  const steps = [
    { is: 'ladder', done: ladders.data?.some((l) => l.latestVersion > 0), to: '/ladder' },
    { is: 'year', done: (calendar.data?.settings.terms.length ?? 0) > 0, to: '/calendar' },
    { is: 'group', done: groups > 0, to: null },
    {
      is: 'people',
      done: (people.data?.people.length ?? 0) + (people.data?.invitations.length ?? 0) > 1,
      to: '/people',
    },
  ];
  // Once lessons can be planned, nothing of this is in the way any more.
  const known = ladders.isSuccess && calendar.isSuccess && people.isSuccess;
  if (!known || steps.every((s) => s.done || s.is === 'people')) return null;
  return (
    <section className="panel mb-4" aria-label={text('setUp.title')}>
      <h2>{text('setUp.title')}</h2>
      <p className="quiet">{text('setUp.intro')}</p>
      <ol className="list-unstyled m-0">
        {steps.map((s, i) => (
          <li key={s.is} className="d-flex align-items-center gap-3 border-top py-3" data-step={s.is}>
            <span className="step-mark fs-4 fw-bold quiet text-center" aria-hidden>
              {s.done ? '✓' : i + 1}
            </span>
            <span className="flex-grow-1">
              <strong className="d-block">{textOf('setUp', s.is)}</strong>
              <span className="quiet">{textOf('setUp', `${s.is}Why`)}</span>
            </span>
            {s.done && <span className="quiet">{text('setUp.done')}</span>}
            {s.to ? (
              <Link
                className={`btn ${s.done ? 'btn-outline-secondary' : 'btn-primary'}`}
                to={s.to}
                aria-label={textOf('setUp', s.is)}
              >
                {text('setUp.go')}
              </Link>
            ) : (
              <Button
                variant={s.done ? 'outline-secondary' : 'primary'}
                aria-label={textOf('setUp', s.is)}
                onClick={onGroup}
              >
                {text('setUp.go')}
              </Button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

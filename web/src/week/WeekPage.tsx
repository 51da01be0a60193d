import { useQuery } from '@tanstack/react-query';
import { Button, ButtonGroup } from 'react-bootstrap';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { JobRow } from '../jobs/JobRow';
import { mayChange } from '../people/roles';
import { groupsQuery } from '../groups/queries';
import { takersText } from '../groups/takers';
import { useSchool } from '../session/session';
import { useActions } from '../shell/actions';
import { ErrorNote } from '../shell/ErrorNote';
import { Kbd } from '../shell/Kbd';
import { Loading } from '../shell/Loading';
import { StatusBadge } from '../shell/StatusBadge';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, isQuietDay, labelText, shortDayText, teachingText, text } from '../text/text';
import { weekQuery } from './queries';
import { usePlanning } from './usePlanning';

type Day = Schemas['WeekDayView'];

/** All groups by days: what is planned, what is empty, what broke; and planning it all in one go. */
export function WeekPage() {
  const { school } = useSchool();
  const { date } = useParams();
  const [params] = useSearchParams();
  const weeks = params.get('weeks') === '2' ? 2 : 1;
  const week = useQuery(weekQuery(school.id, date, weeks, school.today));
  usePageTitle(text('nav.week'));
  if (week.isPending) return <Loading />;
  if (week.error) return <ErrorNote problem={week.error} retry={() => void week.refetch()} />;
  return <Week week={week.data} weeks={weeks} />;
}

function Week({ week, weeks }: { week: Schemas['WeekView']; weeks: number }) {
  const { school } = useSchool();
  const planning = usePlanning();
  const navigate = useNavigate();
  useActions([{ keys: ['p'], label: 'keys.pack', run: () => void navigate(`/week/${week.from}/pack`) }]);
  const groups = useQuery(groupsQuery(school.id)).data;
  const takers = (id: string) => takersText(groups?.find((g) => g.id === id)?.takers ?? []);
  const perWeek = week.days.length / weeks;
  const cells = week.groups.flatMap((group) => group.days.map((day) => ({ group, day })));
  const empty = cells.filter(({ day }) => day.label !== null && day.status === null);
  const broken = cells.filter(({ day }) => day.broken > 0 && day.expected === null);
  const slipped = cells.filter(({ day }) => day.expected !== null && !day.edited);
  const job = planning.job;
  const to = (days: number) => `/week/${shifted(week.from, days)}${weeks === 2 ? '?weeks=2' : ''}`;
  return (
    <>
      <div className="d-lg-flex justify-content-between align-items-end gap-4 mb-3">
        <div>
          <h1>{text('week.title', { date: dayText(week.from) })}</h1>
          <p className="quiet mb-0">{text('week.intro')}</p>
        </div>
        <div className="d-flex flex-wrap align-items-center gap-2">
          <Link to={to(-7)}>← {text('week.previous')}</Link>
          <Link to={to(7)}>{text('week.next')} →</Link>
          <Link className="btn btn-sm btn-outline-primary" to={`/week/${week.from}/pack`}>
            {text('week.pack')} <Kbd of="P" />
          </Link>
          <ButtonGroup size="sm">
            {[1, 2].map((n) => (
              <Link
                key={n}
                className={`btn btn-sm btn-outline-primary${n === weeks ? ' active' : ''}`}
                aria-current={n === weeks}
                to={`/week/${week.from}${n === 2 ? '?weeks=2' : ''}`}
              >
                {text(n === 1 ? 'week.one' : 'week.two')}
              </Link>
            ))}
          </ButtonGroup>
        </div>
      </div>
      <div className="week-actions d-flex mb-3 flex-wrap align-items-center gap-2" role="status">
        {!mayChange(school.role) ? null : job ? (
          <div className="flex-grow-1">
            <JobRow job={job} />
          </div>
        ) : (
          <>
            {empty.length > 0 ? (
              <Button disabled={planning.isStarting} onClick={() => planning.start('plan', empty.map(place))}>
                {text('week.plan', { count: empty.length })}
              </Button>
            ) : (
              <span className="quiet">{text('week.planned')}</span>
            )}
            {broken.length > 0 && (
              <Button
                variant="outline-primary"
                disabled={planning.isStarting}
                onClick={() => planning.start('repair', broken.map(place))}
              >
                {text('week.mend', { count: broken.length })}
              </Button>
            )}
            {slipped.length > 0 && (
              <Button
                variant="outline-primary"
                disabled={planning.isStarting}
                title={text('week.againHelp')}
                onClick={() => planning.start('plan-again', slipped.map(place))}
              >
                {text('week.again', { count: slipped.length })}
              </Button>
            )}
          </>
        )}
      </div>
      {planning.problem && <ErrorNote problem={planning.problem} />}
      {Array.from({ length: weeks }, (_, w) => (
        <div key={w} className="overflow-x-auto mb-3">
          <table className="week">
            <thead>
              <tr>
                <th scope="col">{text('week.group')}</th>
                {week.days.slice(perWeek * w, perWeek * (w + 1)).map((d) => (
                  <th key={d} scope="col">
                    {shortDayText(d)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {week.groups.map((group) => (
                <tr key={group.groupId}>
                  <th scope="row">
                    {group.name}
                    <span className="quiet small d-block fw-normal">
                      {text('groups.minutes', { minutes: group.lessonMinutes })}
                      {takers(group.groupId) && <span className="d-block">{takers(group.groupId)}</span>}
                    </span>
                  </th>
                  {group.days.slice(perWeek * w, perWeek * (w + 1)).map((day) => (
                    <td key={day.date}>
                      <DayCell groupId={group.groupId} name={group.name} day={day} available={day.available} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ))}
      <div className="week-notes d-grid gap-3">
        {week.groups.map((group) => (
          <section key={group.groupId} className="panel">
            <h2>{group.name}</h2>
            <p className="quiet">{text('week.total', { minutes: group.minutes })}</p>
            <Notes
              title={text('week.repeats')}
              items={group.repeats.map((r) => text('week.times', { what: r.what, count: r.count }))}
            />
            <Notes
              title={text('week.missing')}
              items={group.missing.map((m) => text('week.ago', { what: teachingText(m.what), count: m.count }))}
            />
            <Link to={`/groups/${group.groupId}/gather/${week.from}?days=5`}>{text('lesson.gather')}</Link>
          </section>
        ))}
      </div>
    </>
  );
}

/** A lesson, or a day without one, as it is named to be planned. */
const place = ({ group, day }: { group: Schemas['GroupWeek']; day: Day }): Schemas['PlanningPlace'] => ({
  groupId: group.groupId,
  date: day.date,
  lessonId: day.lessonId,
  version: day.version,
});

function Notes({ title, items }: { title: string; items: string[] }) {
  if (items.length === 0) return null;
  return (
    <p>
      <strong>{title}:</strong> {items.slice(0, 8).join(', ')}
      {items.length > 8 && ' …'}
    </p>
  );
}

function DayCell({ groupId, name, day, available }: { groupId: string; name: string; day: Day; available: number }) {
  if (day.label === null) return <span className="quiet d-block py-2 px-3">{text('week.none')}</span>;
  // Graphemes stand as children see them; days and patterns are named in words.
  const named = labelText(day.label);
  const label = (
    <span
      className={named !== day.label || isQuietDay(day.label) ? 'fs-5 fw-bold lh-sm' : 'literacy fs-4 fw-bold lh-sm'}
    >
      {named}
    </span>
  );
  return (
    <Link
      className={`week-day py-2 px-3 d-grid gap-1 align-content-start h-100 text-body text-decoration-none${day.status === null ? ' week-empty' : ''}${day.broken > 0 || day.expected ? ' week-broken' : ''}`}
      to={`/groups/${groupId}/lessons/${day.date}`}
      aria-label={`${name}, ${dayText(day.date)}`}
    >
      {label}
      {day.status === null ? (
        <span className="quiet small">{text('week.empty')}</span>
      ) : (
        <span className="small">
          <StatusBadge status={day.status} />{' '}
          <span className={day.minutes > available ? 'text-danger' : 'quiet'}>
            {text('week.minutes', { minutes: day.minutes })}
          </span>
        </span>
      )}
      {day.edited && day.status === 'planned' && <span className="small quiet">{text('week.edited')}</span>}
      {day.broken > 0 && <span className="small">{text('week.broken', { count: day.broken })}</span>}
      {day.expected && <span className="small">{text('week.expected', { what: labelText(day.expected) })}</span>}
    </Link>
  );
}

function shifted(date: string, days: number): string {
  const day = new Date(`${date}T00:00:00Z`);
  day.setUTCDate(day.getUTCDate() + days);
  return day.toISOString().slice(0, 10);
}

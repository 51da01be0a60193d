import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, ProgressBar } from 'react-bootstrap';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { StatusBadge } from '../shell/StatusBadge';
import { usePageTitle } from '../shell/usePageTitle';
import { ChangeGroupDialog } from './ChangeGroupDialog';
import { FirstSteps } from './FirstSteps';
import { NewGroupDialog } from './NewGroupDialog';
import { seesAll } from '../people/roles';
import { groupsQuery } from './queries';
import { takersText } from './takers';
import { dayText, isQuietDay, labelText, text } from '../text/text';

/** Where the day starts: each group with its lesson one click away. */
export function GroupsPage() {
  const { school } = useSchool();
  const groups = useQuery(groupsQuery(school.id));
  const lead = school.role === 'lead';
  const [open, setOpen] = useState<'new' | Schemas['GroupView'] | null>(null);
  usePageTitle(text('groups.title'));
  if (groups.isPending) return <Loading />;
  if (groups.error) return <ErrorNote problem={groups.error} retry={() => void groups.refetch()} />;
  return (
    <>
      <div className="d-flex flex-wrap justify-content-between align-items-start column-gap-3 mb-3">
        <div>
          <h1>{text('groups.title')}</h1>
          <p className="quiet">{text('groups.intro', { count: groups.data.length, date: dayText(school.today) })}</p>
        </div>
        {seesAll(school.role) && groups.data.length > 0 && (
          <p className="d-flex flex-wrap gap-2">
            <Link className="btn btn-outline-primary" to="/memory">
              {text('schoolMemory.page')}
            </Link>
            {lead && (
              <Button variant="outline-primary" onClick={() => setOpen('new')}>
                {text('groups.make')}
              </Button>
            )}
          </p>
        )}
      </div>
      {lead && <FirstSteps onGroup={() => setOpen('new')} />}
      {!lead && groups.data.length === 0 && <p className="py-4">{text('groups.empty')}</p>}
      <ul className="list-unstyled row row-cols-1 row-cols-md-2 row-cols-xl-3 g-4">
        {groups.data.map((group) => (
          <GroupCard key={group.id} group={group} {...(lead ? { onChange: () => setOpen(group) } : {})} />
        ))}
      </ul>
      {seesAll(school.role) && (
        <p className="d-flex flex-wrap column-gap-4">
          {lead && groups.data.length > 0 && <Link to="/new-year">{text('groups.year')}</Link>}
          <Link to="/archive">{text('groups.ended')}</Link>
        </p>
      )}
      {open === 'new' && <NewGroupDialog onHide={() => setOpen(null)} />}
      {open !== null && open !== 'new' && <ChangeGroupDialog group={open} onHide={() => setOpen(null)} />}
    </>
  );
}

function GroupCard({ group, onChange }: { group: Schemas['GroupView']; onChange?: () => void }) {
  const { role } = useSchool().school;
  const share = (100 * group.rungsTaught) / group.rungs;
  return (
    <li className="col">
      <article className="panel group h-100">
        <div className="d-flex justify-content-between align-items-baseline">
          <h2 className="fs-4">{group.name}</h2>
          <p className="quiet">{text('groups.minutes', { minutes: group.lessonMinutes })}</p>
        </div>
        {group.nextRung === null ? (
          <p>{text('groups.climbed')}</p>
        ) : (
          <p className="d-flex align-items-baseline gap-2">
            {!isQuietDay(group.nextRung) && <span className="quiet">{text('groups.new')}</span>}
            <span className={isQuietDay(group.nextRung) ? 'group-rung' : 'literacy group-rung'}>
              {labelText(group.nextRung)}
            </span>
          </p>
        )}
        <ProgressBar className="mb-1" now={share} aria-hidden />
        {group.takers.length > 0 && <p className="quiet small mb-1">{takersText(group.takers)}</p>}
        <p className="quiet small">{text('groups.progress', { taught: group.rungsTaught, total: group.rungs })}</p>
        {group.lessonDate === null ? (
          <p className="quiet">{text('groups.none')}</p>
        ) : (
          <p className="text-nowrap flex-wrap d-flex align-items-center gap-2 m-0">
            <Link
              className="btn btn-primary"
              to={`/groups/${group.id}/lessons/${group.lessonDate}`}
              aria-label={text('groups.openFor', { group: group.name })}
            >
              {text('groups.open')}
            </Link>
            <span className="quiet">
              {group.isToday ? text('groups.today') : text('groups.next', { date: dayText(group.lessonDate) })}
            </span>
            <Link to={`/groups/${group.id}/mats/${group.lessonDate}`}>{text('mat.link')}</Link>
            {role === 'helper' ? (
              <Link to={`/groups/${group.id}/catch-up`}>{text('catchUp.page')}</Link>
            ) : (
              <Link to={`/groups/${group.id}/memory`}>{text('memory.page')}</Link>
            )}
            {group.status && <StatusBadge status={group.status} />}
          </p>
        )}
        {onChange && (
          <Button
            variant="link"
            size="sm"
            className="p-0 mt-2"
            aria-label={text('groups.changeOf', { group: group.name })}
            onClick={onChange}
          >
            {text('groups.change')}
          </Button>
        )}
      </article>
    </li>
  );
}

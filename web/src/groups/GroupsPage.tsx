import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, isQuietDay, labelText, text, textOf } from '../text/text';

/** Where the day starts: each group with its lesson one click away. */
export function GroupsPage() {
  const { school } = useSchool();
  const groups = useQuery({
    queryKey: ['groups', school.id],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/groups', { params: { path: { schoolId: school.id } } })),
  });
  usePageTitle(text('groups.title'));
  if (groups.isPending) return <Loading />;
  if (groups.error) return <ErrorNote problem={groups.error} retry={() => void groups.refetch()} />;
  return (
    <>
      <h1>{text('groups.title')}</h1>
      <p className="quiet">{text('groups.intro', { count: groups.data.length, date: dayText(school.today) })}</p>
      {groups.data.length === 0 && <p className="empty">{text('groups.empty')}</p>}
      <ul className="groups">
        {groups.data.map((group) => (
          <GroupCard key={group.id} group={group} />
        ))}
      </ul>
    </>
  );
}

function GroupCard({ group }: { group: Schemas['GroupView'] }) {
  const share = (100 * group.rungsTaught) / group.rungs;
  return (
    <li className="panel group">
      <div className="group-head">
        <h2>{group.name}</h2>
        <p className="quiet">{text('groups.minutes', { minutes: group.lessonMinutes })}</p>
      </div>
      {group.nextRung === null ? (
        <p>{text('groups.climbed')}</p>
      ) : (
        <p className="group-next">
          {!isQuietDay(group.nextRung) && <span className="quiet">{text('groups.new')}</span>}
          <span className={isQuietDay(group.nextRung) ? 'group-rung' : 'literacy group-rung'}>{labelText(group.nextRung)}</span>
        </p>
      )}
      <svg className="progress-bar-thin" viewBox="0 0 100 4" preserveAspectRatio="none" aria-hidden="true">
        <rect width="100" height="4" rx="2" className="bar-ground" />
        <rect width={share} height="4" rx="2" className="bar-fill" />
      </svg>
      <p className="quiet small">{text('groups.progress', { taught: group.rungsTaught, total: group.rungs })}</p>
      {group.lessonDate === null ? (
        <p className="quiet">{text('groups.none')}</p>
      ) : (
        <p className="group-foot">
          <Link className="btn btn-primary" to={`/groups/${group.id}/lessons/${group.lessonDate}`} aria-label={text('groups.openFor', { group: group.name })}>
            {text('groups.open')}
          </Link>
          <span className="quiet">{group.isToday ? text('groups.today') : text('groups.next', { date: dayText(group.lessonDate) })}</span>
          <Link to={`/groups/${group.id}/mats/${group.lessonDate}`}>{text('mat.link')}</Link>
          {group.status && <span className={`status status-${group.status}`}>{textOf('status', group.status)}</span>}
        </p>
      )}
    </li>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Table } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, labelText, text, textOf } from '../text/text';
import { archivedGroupQuery } from './queries';

/** What a group that has ended was taught, day by day. */
export function ArchivedGroupPage() {
  const { school } = useSchool();
  const groupId = useParams().groupId!;
  const group = useQuery(archivedGroupQuery(school.id, groupId));
  usePageTitle(group.data?.name ?? text('archive.title'));
  if (group.isPending) return <Loading />;
  if (group.error) return <ErrorNote problem={group.error} retry={() => void group.refetch()} />;
  return (
    <>
      <h1>{group.data.name}</h1>
      <p className="quiet">
        {text('archive.ended', { date: dayText(group.data.endedOn) })} ·{' '}
        <Link to="/archive">{text('archive.title')}</Link>
      </p>
      <Table className="panel" responsive>
        <tbody>
          {group.data.days.map((d, i) => (
            <tr key={`${d.date} ${i}`}>
              <td className="text-nowrap">{dayText(d.date)}</td>
              <td className="literacy fs-5">{labelText(d.label)}</td>
              <td>{textOf('archive.outcome', d.outcome)}</td>
              <td className="text-end">
                {d.lessonId ? (
                  <Link to={`/archive/${groupId}/lessons/${d.lessonId}`}>{text('archive.lesson')}</Link>
                ) : (
                  <span className="quiet">{text('archive.before')}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}

import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text } from '../text/text';
import { archiveQuery } from './queries';

/** Groups that have ended: what they were taught stays readable. */
export function ArchivePage() {
  const { school } = useSchool();
  const ended = useQuery(archiveQuery(school.id));
  usePageTitle(text('archive.title'));
  if (ended.isPending) return <Loading />;
  if (ended.error) return <ErrorNote problem={ended.error} retry={() => void ended.refetch()} />;
  return (
    <>
      <h1>{text('archive.title')}</h1>
      {ended.data.length === 0 ? (
        <p>{text('archive.none')}</p>
      ) : (
        <ul className="panel list-unstyled">
          {ended.data.map((g) => (
            <li key={g.id} className="border-bottom py-2">
              <Link to={`/archive/${g.id}`}>
                <strong>{g.name}</strong>
              </Link>{' '}
              <span className="quiet">{text('archive.line', { date: dayText(g.endedOn), count: g.lessons })}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { Backups } from './Backups';
import { schoolQuery } from './queries';
import { SchoolData } from './SchoolData';
import { SchoolForm } from './SchoolForm';

/** What the school is called, how its pages are, and all of its data out and in. Leads only. */
export function SchoolPage() {
  const { school } = useSchool();
  const settings = useQuery(schoolQuery(school.id));
  usePageTitle(text('settings.title'));
  if (settings.isPending) return <Loading />;
  if (settings.error) return <ErrorNote problem={settings.error} retry={() => void settings.refetch()} />;
  return (
    <>
      <h1>{text('settings.title')}</h1>
      <SchoolForm view={settings.data} />
      <SchoolData />
      {school.role === 'lead' && <Backups />}
    </>
  );
}

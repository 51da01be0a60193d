import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { isOpen, jobsQuery } from '../jobs/queries';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { momentText, text } from '../text/text';
import { backupQuery } from './queries';

/** When everything was last saved and proven, so that nobody has to believe it, and another one asked for. */
export function Backups() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const backup = useQuery(backupQuery(school.id)).data;
  const jobs = useQuery(jobsQuery(school.id)).data;
  const ask = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/backup', {
          params: { path: { schoolId: school.id } },
          body: { id: crypto.randomUUID() },
        }),
      ),
    onSuccess: () => void nowStale(queries, school.id, 'jobs'),
  });
  if (!backup) return null;
  const isUnderWay = jobs?.some((j) => j.kind === 'backup' && isOpen(j)) ?? false;
  return (
    <section className="panel mt-4" data-backup={backup.provenAt ? 'proven' : 'none'}>
      <h2 className="fs-5">{text('backup.title')}</h2>
      <p className="m-0">
        {backup.provenAt
          ? text('backup.last', { date: momentText(backup.provenAt), rows: backup.rows ?? 0 })
          : text('backup.none')}
      </p>
      {backup.provenAt && (
        <Button
          className="mt-3"
          variant="outline-primary"
          disabled={ask.isPending || isUnderWay}
          onClick={() => ask.mutate()}
        >
          {text('backup.ask')}
        </Button>
      )}
      {ask.error && <ErrorNote problem={ask.error} />}
    </section>
  );
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, ProgressBar } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text, textOf } from '../text/text';
import { isOpen, jobsQuery } from './queries';

/** A job: how far it is, what came of it, the file that it made; it can be cancelled while it goes on. */
export function JobRow({ job }: { job: Schemas['JobView'] }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const what = textOf('jobs', job.kind);
  const cancel = useMutation({
    mutationFn: () =>
      answered(
        client.DELETE('/api/schools/{schoolId}/jobs/{jobId}', {
          params: { path: { schoolId: school.id, jobId: job.id } },
        }),
      ),
    onSuccess: (jobs) => queries.setQueryData(jobsQuery(school.id).queryKey, jobs),
  });
  return (
    <div className="d-flex flex-wrap align-items-center column-gap-3 row-gap-1" data-job={job.state}>
      <strong>{what}</strong>
      {isOpen(job) ? (
        <>
          <ProgressBar
            className="flex-grow-1"
            now={job.total > 0 ? (100 * job.done) / job.total : 0}
            aria-label={what}
          />
          <span className="quiet">
            {textOf('jobs.state', job.total > 0 ? 'running' : 'waiting', { done: job.done, total: job.total })}
          </span>
          <Button
            size="sm"
            variant="outline-secondary"
            disabled={cancel.isPending}
            aria-label={text('jobs.cancelOf', { what })}
            onClick={() => cancel.mutate()}
          >
            {text('jobs.cancel')}
          </Button>
        </>
      ) : (
        <span className="quiet">
          {job.state === 'done' ? textOf('jobs.done', job.kind, { count: job.done }) : textOf('jobs.state', job.state)}
        </span>
      )}
      {job.fileName && (
        <a className="btn btn-sm btn-primary" href={`/api/schools/${school.id}/jobs/${job.id}/file`} download>
          {text('jobs.fetch')}
        </a>
      )}
      {job.problem && <p className="w-100 m-0 text-danger">{job.problem}</p>}
      {cancel.error && <ErrorNote problem={cancel.error} />}
    </div>
  );
}

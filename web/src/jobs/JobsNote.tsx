import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { CloseButton } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { text } from '../text/text';
import { JobRow } from './JobRow';
import { isOpen, jobsQuery, PLANNING } from './queries';

/** What ended shortly before the page was loaded is shown, too. */
const A_MOMENT = 20_000;

/**
 * What goes on in the background, on whatever page one is; what has ended stays until it is hidden. Over the page, so
 * that nothing moves under a hand when it comes.
 */
export function JobsNote() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const jobs = useQuery({ ...jobsQuery(school.id), enabled: school.role === 'lead' || school.role === 'teacher' });
  const [since] = useState(() => Date.now() - A_MOMENT);
  const [hidden, setHidden] = useState<readonly string[]>([]);
  const going =
    jobs.data
      ?.filter(isOpen)
      .map((j) => j.id)
      .join() ?? '';
  useEffect(() => {
    if (going === '') return undefined;
    // What a job changed is asked again once it has ended.
    return () => void nowStale(queries, school.id, 'settings');
  }, [going, queries, school.id]);
  // The week shows its own planning where it was asked for.
  const { pathname } = useLocation();
  const elsewhere = jobs.data?.filter(
    (j) => !(j.kind === PLANNING && (isOpen(j) || j.state === 'done') && pathname.startsWith('/week')),
  );
  const rows = elsewhere?.filter((j) => isOpen(j) || (!hidden.includes(j.id) && Date.parse(j.endedAt!) > since)) ?? [];
  if (rows.length === 0) return null;
  return (
    <section
      className="jobs-note panel shadow d-flex gap-3 no-print"
      aria-label={text('jobs.title')}
      aria-live="polite"
    >
      <div className="flex-grow-1">
        {rows.map((j) => (
          <JobRow key={j.id} job={j} />
        ))}
      </div>
      {going === '' && <CloseButton aria-label={text('jobs.hide')} onClick={() => setHidden(rows.map((j) => j.id))} />}
    </section>
  );
}

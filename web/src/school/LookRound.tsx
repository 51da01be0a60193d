import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { isOpen, jobsQuery } from '../jobs/queries';
import { sessionQuery } from '../session/queries';
import { useSchoolAddress } from '../session/SchoolRouter';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';

const KIND = 'look-round';

/** A look round a school full of invented people and lessons, beside one's own. */
export function LookRound() {
  const { session, school } = useSchool();
  const { enter } = useSchoolAddress();
  const queries = useQueryClient();
  const jobs = useQuery(jobsQuery(school.id)).data;
  const there = session.schools.find((s) => s.isLookRound);
  const made = jobs?.find((j) => j.kind === KIND);
  const isMaking = made !== undefined && isOpen(made);
  const isDone = made?.state === 'done';
  useEffect(() => {
    // The school that was made is one of theirs from now on.
    if (isDone && !there) void queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
  }, [isDone, there, queries]);
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/look-round', {
          params: { path: { schoolId: school.id } },
          body: { id: crypto.randomUUID() },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: jobsQuery(school.id).queryKey }),
  });
  return (
    <div className="text-end">
      <Button
        variant="outline-primary"
        disabled={isMaking || make.isPending}
        onClick={() => (there ? enter(there.id, '/') : make.mutate())}
      >
        {text(isMaking ? 'look.making' : there ? 'look.enter' : 'look.make')}
      </Button>
      {make.error && <ErrorNote problem={make.error} />}
    </div>
  );
}

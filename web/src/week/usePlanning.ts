import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import { isOpen, jobsQuery, PLANNING } from '../jobs/queries';
import { useSchool } from '../session/session';

type Wish = Schemas['PlanningWish'];
type Place = Schemas['PlanningPlace'];

/**
 * Has lessons planned, mended or made anew in the background, on whatever page one is meanwhile. It is done whole or not
 * at all; a lesson that someone planned or changed in between stays.
 */
export function usePlanning() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const jobs = useQuery(jobsQuery(school.id));
  const start = useMutation({
    mutationFn: ({ wish, places }: { wish: Wish; places: Place[] }) =>
      answered(
        client.POST('/api/schools/{schoolId}/weeks/planning', {
          params: { path: { schoolId: school.id } },
          body: { id: crypto.randomUUID(), wish, places },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: jobsQuery(school.id).queryKey }),
  });
  return {
    /** The job under way; null while there is none. */
    job: jobs.data?.find((j) => j.kind === PLANNING && isOpen(j)) ?? null,
    isStarting: start.isPending,
    problem: start.error,
    start: (wish: Wish, places: Place[]) => start.mutate({ wish, places }),
  };
}

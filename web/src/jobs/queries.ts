import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

const WHILE_OPEN = 700;

/** The kind of a job that plans lessons. */
export const PLANNING = 'plan-lessons';

export const isOpen = (job: Schemas['JobView']) => job.endedAt === null;

/** One's own jobs, the newest first; asked again while one goes on. */
export const jobsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['jobs', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/jobs', { params: { path: { schoolId } } })),
    refetchInterval: (query) => (query.state.data?.some(isOpen) ? WHILE_OPEN : false),
    staleTime: Infinity,
  });

import { infiniteQueryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** Who did what, a page at a time, the newest first. */
export const auditQuery = (schoolId: string) =>
  infiniteQueryOptions({
    queryKey: ['audit', schoolId],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam }) =>
      answered(
        client.GET('/api/schools/{schoolId}/audit', {
          params: { path: { schoolId }, query: pageParam ? { before: pageParam } : {} },
        }),
      ),
    getNextPageParam: (page) => (page.earlier ? page.lines[page.lines.length - 1]?.at : undefined),
  });

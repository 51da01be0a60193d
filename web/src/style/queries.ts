import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** Our school's way. */
export const styleQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['style', schoolId],
    staleTime: Infinity,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/style', { params: { path: { schoolId } } })),
  });

/** A few words as an accent says them. */
export const styleSampleQuery = (schoolId: string, accent: string, switches: string | undefined) =>
  queryOptions({
    queryKey: ['style-sample', schoolId, accent, switches],
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/style/sample', {
          params: { path: { schoolId }, query: switches === undefined ? { accent } : { accent, switches } },
        }),
      ),
  });

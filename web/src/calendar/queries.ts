import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** Terms, closed days, lesson days, rhythm and checkpoints. */
export const calendarQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['calendar', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/calendar', { params: { path: { schoolId } } })),
  });

/** One's own addresses for a calendar program. */
export const feedsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['feeds', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/feeds', { params: { path: { schoolId } } })),
  });

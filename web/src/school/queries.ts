import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** What the school is called and how its pages are. */
export const schoolQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['school', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/settings', { params: { path: { schoolId } } })),
  });

/** The last proven backup of the server. */
export const backupQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['backup', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/backup', { params: { path: { schoolId } } })),
  });

import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** The children that this person may see. */
export const childrenQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['children', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/children', { params: { path: { schoolId } } })),
  });

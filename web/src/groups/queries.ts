import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** The school's groups, each with its lesson of today or its next. */
export const groupsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['groups', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/groups', { params: { path: { schoolId } } })),
  });

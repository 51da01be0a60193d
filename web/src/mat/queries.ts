import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** What a group has been taught so far, and the words that can be used. */
export const matQuery = (schoolId: string, groupId: string, date: string) =>
  queryOptions({
    queryKey: ['mat', schoolId, groupId, date],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/mats/{date}', {
          params: { path: { schoolId, groupId, date } },
        }),
      ),
  });

import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** What is to be laid ready for so many days of a group. */
export const gatheringQuery = (schoolId: string, groupId: string, date: string, days: number) =>
  queryOptions({
    queryKey: ['gathering', schoolId, groupId, date, days],
    staleTime: 0,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/gathering/{date}', {
          params: { path: { schoolId, groupId, date }, query: { days } },
        }),
      ),
  });

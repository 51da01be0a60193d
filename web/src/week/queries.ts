import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** All groups by days. Without a day it is the week of the next lesson, which changes with the day. */
export const weekQuery = (schoolId: string, date: string | undefined, weeks: number, today: string) =>
  queryOptions({
    queryKey: ['week', schoolId, date ?? `next to ${today}`, weeks],
    queryFn: () =>
      date === undefined
        ? answered(client.GET('/api/schools/{schoolId}/weeks', { params: { path: { schoolId }, query: { weeks } } }))
        : answered(
            client.GET('/api/schools/{schoolId}/weeks/{date}', {
              params: { path: { schoolId, date }, query: { weeks } },
            }),
          ),
  });

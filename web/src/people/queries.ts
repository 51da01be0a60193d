import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** Who belongs to the school, and the links that are out. */
export const peopleQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['people', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/people', { params: { path: { schoolId } } })),
  });

/** One's own account. */
export const accountQuery = queryOptions({
  queryKey: ['account'],
  queryFn: () => answered(client.GET('/api/account')),
});

/** What a link gives, for who has it. */
export const invitationQuery = (key: string) =>
  queryOptions({
    queryKey: ['invitation', key],
    enabled: key !== '',
    retry: false,
    queryFn: () => answered(client.POST('/api/joining/look', { body: { key } })),
  });

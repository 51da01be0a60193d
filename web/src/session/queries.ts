import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

/** Who is signed in; null for nobody. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async (): Promise<Schemas['SessionView'] | null> => (await answered(client.GET('/api/session'))) ?? null,
  staleTime: 60_000,
});

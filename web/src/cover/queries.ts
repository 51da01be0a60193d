import { queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** The one lesson that a cover key opens. */
export const coverQuery = (key: string) =>
  queryOptions({
    queryKey: ['cover', key],
    enabled: key.length > 0,
    retry: false,
    staleTime: Infinity,
    queryFn: () => answered(client.POST('/api/cover', { body: { key } })),
  });

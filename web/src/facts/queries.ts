import { queryOptions, useQuery } from '@tanstack/react-query';
import { answered, client } from '../api/client';

const factsQuery = queryOptions({
  queryKey: ['facts'],
  staleTime: Infinity,
  queryFn: () => answered(client.GET('/api/facts')),
});

/** The facts as a query, for the doors that hand them to the pages inside. */
export const useFactsQuery = () => useQuery(factsQuery);

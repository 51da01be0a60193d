import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import { applyStyle } from './applyStyle';

export type StyleView = Schemas['StyleView'];
export type HouseStyle = Schemas['HouseStyle'];

/** Our school's way: loaded once, laid over every screen. */
export function useStyle(schoolId: string | undefined) {
  return useQuery({
    queryKey: ['style', schoolId],
    enabled: schoolId !== undefined,
    staleTime: Infinity,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/style', { params: { path: { schoolId: schoolId! } } })),
  });
}

export function useSaveStyle(schoolId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ stamp, body }: { stamp: string; body: Schemas['StyleRequest'] }) =>
      answered(client.POST('/api/schools/{schoolId}/style', { params: { path: { schoolId }, header: { 'If-Match': stamp } }, body })),
    onSuccess: (saved) => {
      applyStyle(saved);
      void queries.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' && q.queryKey[0] !== 'style' });
      queries.setQueryData(['style', schoolId], saved);
    },
  });
}

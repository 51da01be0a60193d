import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { applyStyle } from './applyStyle';
import { styleQuery } from './queries';

export type StyleView = Schemas['StyleView'];
export type HouseStyle = Schemas['HouseStyle'];

export function useSaveStyle(schoolId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ stamp, body }: { stamp: string; body: Schemas['StyleRequest'] }) =>
      answered(
        client.POST('/api/schools/{schoolId}/style', {
          params: { path: { schoolId }, header: { 'If-Match': stamp } },
          body,
        }),
      ),
    onSuccess: (saved) => {
      applyStyle(saved);
      void nowStale(queries, schoolId, 'settings');
      queries.setQueryData(styleQuery(schoolId).queryKey, saved);
    },
  });
}

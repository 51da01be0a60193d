import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import { setWording } from '../text/text';

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

/** Lays a style over the page: words and sounds by the catalogue, marks by attributes that the style sheet reads. */
export function applyStyle(view: StyleView) {
  setWording({ labels: view.style.labels, plainSounds: view.style.soundLabels === 'plain', countsSounds: view.style.counting === 'sounds', sounds: view.sounds });
  const root = document.documentElement.dataset;
  root['marks'] = view.style.marks.style;
  root['markShape'] = view.style.marks.shape;
  root['markWeight'] = String(view.style.marks.weight);
  root['lettering'] = view.style.lettering.oneStorey ? 'one-storey' : 'print';
}

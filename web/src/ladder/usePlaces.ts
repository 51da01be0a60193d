import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { answered, client } from '../api/client';
import { useSchool } from '../session/session';
import type { Ladder } from './useLadder';

/** For each rung whether the chosen one would stand better or worse at its place than where it is; asked once a rung of the draft is chosen. */
export function usePlaces(ladder: Ladder | undefined, rungId: string | null) {
  const { school } = useSchool();
  const places = useQuery({
    queryKey: ['places', school.id, ladder?.id, ladder?.draft?.version, rungId],
    enabled: Boolean(ladder && rungId && ladder.rungs.some((r) => r.id === rungId)),
    staleTime: Infinity,
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/rungs/{rungId}/places', { params: { path: { schoolId: school.id, ladderId: ladder!.id, rungId: rungId! } } })),
  });
  return useMemo(() => {
    const marks = new Map<string, 'good' | 'bad'>();
    const now = ladder?.rungs.flatMap((r) => r.warnings).length ?? 0;
    for (const place of places.data?.places ?? []) {
      const id = ladder?.rungs[place.to]?.id;
      if (!id || id === rungId) continue;
      if (place.warnings > now) marks.set(id, 'bad');
      else if (place.warnings < now || place.reading > 0) marks.set(id, 'good');
    }
    return marks;
  }, [places.data, ladder, rungId]);
}

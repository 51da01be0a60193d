import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useSchool } from '../session/session';
import { placesQuery, type Ladder } from './queries';

/** Long enough that going down the ladder with the arrow keys asks nothing, short enough not to be waited for. */
const SETTLED = 250;

/**
 * What a rung would do at each place, and for each other rung whether it would stand better or worse there than where
 * it is: asked once the choice has settled.
 */
export function usePlaces(ladder: Ladder | undefined, wanted: string | null) {
  const { school } = useSchool();
  const [rungId, setRungId] = useState(wanted);
  useEffect(() => {
    const timer = setTimeout(() => setRungId(wanted), SETTLED);
    return () => clearTimeout(timer);
  }, [wanted]);
  const places = useQuery(placesQuery(school.id, ladder, rungId));
  const marks = useMemo(() => {
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
  const meant = rungId === wanted;
  return { marks: meant ? marks : NONE, answer: meant ? places.data : undefined };
}

const NONE: ReadonlyMap<string, 'good' | 'bad'> = new Map();

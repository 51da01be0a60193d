import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { dayText, text } from '../text/text';

interface Place {
  groupId: string;
  name: string;
  date: string;
}

/**
 * Plans or mends lessons one after another, each on what the ones before it show. A lesson is planned once: stopping,
 * reloading and starting again do no harm, and what was changed by hand stays.
 */
export function usePlanning() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [job, setJob] = useState<{ done: number; total: number } | null>(null);
  const [failed, setFailed] = useState<string[]>([]);
  const stopped = useRef(false);

  async function run<T extends Place>(places: T[], one: (place: T) => Promise<unknown>) {
    stopped.current = false;
    setFailed([]);
    const inOrder = [...places].sort((a, b) => a.date.localeCompare(b.date));
    for (const [at, place] of inOrder.entries()) {
      if (stopped.current) break;
      setJob({ done: at, total: inOrder.length });
      try {
        await one(place);
      } catch (problem) {
        setFailed((before) => [
          ...before,
          text('week.failed', {
            group: place.name,
            date: dayText(place.date),
            what: problem instanceof Error ? problem.message : '',
          }),
        ]);
      }
    }
    await nowStale(queries, school.id, 'planning');
    setJob(null);
  }

  const pathOf = (place: Place) => ({ schoolId: school.id, groupId: place.groupId, date: place.date });
  return {
    job,
    failed,
    stop: () => {
      stopped.current = true;
    },
    plan: (places: Place[]) =>
      run(places, (place) =>
        answered(
          client.PUT('/api/schools/{schoolId}/groups/{groupId}/lessons/{date}', { params: { path: pathOf(place) } }),
        ),
      ),
    change: (places: (Place & { lessonId: string; version: number })[], type: 'repair' | 'plan-again') =>
      run(places, (place) =>
        answered(
          client.POST('/api/schools/{schoolId}/lessons/{lessonId}/commands', {
            params: {
              path: { schoolId: school.id, lessonId: place.lessonId },
              header: { 'If-Match': String(place.version) },
            },
            body: { type },
          }),
        ),
      ),
  };
}

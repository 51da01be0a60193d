import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { answered, ApiProblem, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { MarkQueue } from './queue';

const AGAIN = 4_000;
const FOR_GOOD = [403, 404, 409, 422];
const queues = new Map<string, MarkQueue>();

/** Whose queue it is, without saying who. */
const numberOf = (name: string) => [...name].reduce((sum, sign) => (sum * 31 + sign.codePointAt(0)!) >>> 0, 7);

/** The queue of this person's marks at this school, one in the whole tab. */
function queueOf(schoolId: string, person: string): MarkQueue {
  const key = `marks:${schoolId}:${numberOf(person)}`;
  let queue = queues.get(key);
  if (!queue)
    queues.set(
      key,
      (queue = new MarkQueue(localStorage, key, async (lessonId, marks) => {
        try {
          const answers = await answered(
            client.POST('/api/schools/{schoolId}/lessons/{lessonId}/marks', {
              params: { path: { schoolId, lessonId } },
              body: { marks },
            }),
          );
          return answers.marks;
        } catch (problem) {
          // A lesson that takes no marks takes none later, either.
          if (problem instanceof ApiProblem && FOR_GOOD.includes(problem.status))
            return marks.map((m) => ({ id: m.id, fate: 'refused' as const, reason: 'lesson' }));
          throw problem;
        }
      })),
    );
  return queue;
}

/** The queue, sent whenever something waits, again until it is gone. */
export function useQueue() {
  const { session, school } = useSchool();
  const queries = useQueryClient();
  const queue = useMemo(() => queueOf(school.id, session.name), [school.id, session.name]);
  const kept = useSyncExternalStore(queue.subscribe, () => queue.kept);
  const waits = kept.waiting.length > 0;
  useEffect(() => {
    if (!waits) return;
    const sendAll = async () => {
      if (await queue.flush()) await nowStale(queries, school.id, 'marks');
    };
    const send = () => void sendAll();
    send();
    const again = setInterval(send, AGAIN);
    window.addEventListener('online', send);
    return () => {
      clearInterval(again);
      window.removeEventListener('online', send);
    };
  }, [waits, queue, queries, school.id]);
  return { queue, kept };
}

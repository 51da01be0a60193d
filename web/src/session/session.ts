import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useRef } from 'react';
import { answered, client, forgetToken, type Schemas } from '../api/client';
import { forgetBoards } from '../board/link';
import { sessionEnded } from './ended';
import { sessionQuery } from './queries';

export type Session = Schemas['SessionView'];
export type School = Schemas['SessionSchool'];

export const SchoolContext = createContext<{ session: Session; school: School } | null>(null);

/** Who is signed in and the school that the screens show; only inside RequireSession. */
export function useSchool() {
  const value = useContext(SchoolContext);
  if (!value) throw new Error('No school here.');
  return value;
}

const LITTLE_AFTER_MIDNIGHT = 5_000;

/** Until the day changes here: a tab that stays open must not think it is yesterday. */
function untilTomorrow(now: Date): number {
  return (
    new Date(now.getFullYear(), now.getMonth(), now.getDate() + 1).getTime() - now.getTime() + LITTLE_AFTER_MIDNIGHT
  );
}

/**
 * Who is signed in, and what day it is at their schools: asked again when the tab is looked at again, and after
 * midnight.
 */
export function useSession() {
  const queries = useQueryClient();
  const session = useQuery({
    ...sessionQuery,
    refetchOnWindowFocus: true,
    refetchInterval: () => untilTomorrow(new Date()),
    refetchIntervalInBackground: true,
  });
  const today = session.data?.schools.map((s) => s.today).join();
  const seen = useRef(today);
  useEffect(() => {
    if (today === undefined) return;
    // What is shown may be about "today" in many places: on a new day all of it is asked again.
    if (seen.current !== undefined && seen.current !== today)
      void queries.invalidateQueries({ predicate: (q) => q.queryKey[0] !== sessionQuery.queryKey[0] });
    seen.current = today;
  }, [today, queries]);
  return session;
}

/** Signs out here, or everywhere; then nothing of the person is left in this tab. */
export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (everywhere: boolean) =>
      answered(everywhere ? client.DELETE('/api/sessions') : client.DELETE('/api/session')),
    onSuccess: () => {
      forgetToken();
      forgetBoards();
      sessionEnded(false);
      queries.clear();
    },
  });
}

import { useCallback, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Rung } from './editing';

/** Which rungs are chosen, the last of them in the address, and the other choices that the address holds. */
export function useChosen(rungs: readonly Rung[]) {
  const [search, setSearch] = useSearchParams();
  const [chosen, setChosen] = useState<string[]>([]);
  const put = useCallback(
    (values: Record<string, string | null>) =>
      setSearch(
        (old) => {
          const next = new URLSearchParams(old);
          for (const [key, value] of Object.entries(values)) {
            if (value === null) next.delete(key);
            else next.set(key, value);
          }
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  const choose = useCallback(
    (id: string, how: 'one' | 'more' | 'range' = 'one') => {
      setChosen((old) => {
        if (how === 'more') return old.includes(id) ? old.filter((o) => o !== id) : [...old, id];
        if (how === 'range' && old.length > 0) {
          const [from, to] = [rungs.findIndex((r) => r.id === old[0]), rungs.findIndex((r) => r.id === id)];
          const run = rungs.slice(Math.min(from, to), Math.max(from, to) + 1).map((r) => r.id);
          return from <= to ? run : run.reverse();
        }
        return [id];
      });
      put({ rung: id, panel: null });
    },
    [rungs, put],
  );
  const wanted = chosen.length > 0 ? chosen : [search.get('rung') ?? ''];
  return { active: wanted.filter((id) => rungs.some((r) => r.id === id)), choose, clear: () => setChosen([]), put };
}

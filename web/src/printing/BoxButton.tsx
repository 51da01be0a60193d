import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import type { CardKind } from './queries';

/** What is in the school's box, and putting cards in or taking them out. */
export function useBox() {
  const { school } = useSchool();
  const cache = useQueryClient();
  const key = ['box', school.id];
  const box = useQuery({
    queryKey: key,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/box', { params: { path: { schoolId: school.id } } })),
  });
  const change = useMutation({
    mutationFn: (body: { kind: CardKind; keys: string[]; owned: boolean }) =>
      answered(client.POST('/api/schools/{schoolId}/box', { params: { path: { schoolId: school.id } }, body })),
    onSuccess: (now) => {
      cache.setQueryData(key, now);
      void cache.invalidateQueries({ queryKey: ['pack'] });
    },
  });
  const has = (kind: CardKind, card: string) =>
    box.data?.some((b) => b.kind === kind && b.keys.includes(card)) ?? false;
  return { has, change, isKnown: box.data !== undefined };
}

/** Puts all of these in the box, or takes them out when all are there. */
export function BoxButton({ kind, keys }: { kind: CardKind; keys: string[] }) {
  const { school } = useSchool();
  const { has, change, isKnown } = useBox();
  if (!isKnown || !mayChange(school.role)) return null;
  const all = keys.every((k) => has(kind, k));
  return (
    <>
      <Button
        size="sm"
        variant="outline-secondary"
        disabled={change.isPending}
        onClick={() => change.mutate({ kind, keys: [...new Set(keys)], owned: !all })}
      >
        {text(all ? 'box.takeOut' : 'box.putIn')}
      </Button>
      {change.error && <ErrorNote problem={change.error} />}
    </>
  );
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, ApiProblem, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { historyQuery, ladderQuery, type Ladder } from './queries';

/**
 * Changing the draft: each answer is the draft as it then is. A change that collides with another's is told, and the
 * draft loaded anew.
 */
export function useDraftChanges(ladder: Ladder | undefined) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const key = ladderQuery(school.id, { ladderId: ladder?.id ?? '', version: 'draft' }).queryKey;
  const params = { path: { schoolId: school.id, ladderId: ladder?.id ?? '' } };
  const version = { 'If-Match': `"${ladder?.draft?.version ?? 0}"` };
  const onSuccess = (changed: Ladder) => {
    queries.setQueryData(key, changed);
    void queries.invalidateQueries(historyQuery(school.id, changed.id));
  };
  const onError = (problem: Error) => {
    if (problem instanceof ApiProblem && problem.status === 409) void queries.invalidateQueries({ queryKey: key });
  };
  const change = useMutation({
    mutationFn: (edit: Schemas['LadderEdit']) =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/changes', {
          params: { ...params, header: version },
          body: edit,
        }),
      ),
    onSuccess,
    onError,
  });
  const undo = useMutation({
    mutationFn: () => answered(client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/undo', { params })),
    onSuccess,
    onError,
  });
  const redo = useMutation({
    mutationFn: () => answered(client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/redo', { params })),
    onSuccess,
    onError,
  });
  const restore = useMutation({
    mutationFn: (to: number) =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/restoration', { params, body: { version: to } }),
      ),
    onSuccess,
    onError,
  });
  const publish = useMutation({
    mutationFn: (body: Schemas['PublishRequest']) =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/publication', {
          params: { ...params, header: version },
          body,
        }),
      ),
    onSuccess: (changed) => {
      onSuccess(changed);
      void nowStale(queries, school.id, 'publication');
    },
    onError,
  });
  return { change, undo, redo, restore, publish };
}

export type DraftChanges = ReturnType<typeof useDraftChanges>;

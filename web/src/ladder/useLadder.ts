import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, ApiProblem, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import type { Step } from './editing';

export type Ladder = Schemas['LadderView'];
/** Which ladder is looked at: a published version, or the draft. */
export type Which = { ladderId: string; version: number | 'draft' };

const path = (schoolId: string, ladderId: string) => ({ schoolId, ladderId });

export function useLadders() {
  const { school } = useSchool();
  return useQuery({ queryKey: ['ladders', school.id], queryFn: () => answered(client.GET('/api/schools/{schoolId}/ladders', { params: { path: { schoolId: school.id } } })) });
}

/** The ladder that is meant when none is named: the one most groups follow. */
export function mainLadder(ladders: readonly Schemas['LadderSummary'][] | undefined) {
  return ladders?.reduce<Schemas['LadderSummary'] | undefined>((best, l) => (best && best.groups >= l.groups ? best : l), undefined);
}

export function useLadderView(which: Which | null) {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['ladder', school.id, which?.ladderId, which?.version],
    enabled: which !== null,
    queryFn: () => {
      const { ladderId, version } = which!;
      return version === 'draft'
        ? answered(client.PUT('/api/schools/{schoolId}/ladders/{ladderId}/draft', { params: { path: path(school.id, ladderId) } }))
        : answered(client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}', { params: { path: { ...path(school.id, ladderId), version } } }));
    },
  });
}

/** The dates of each group on the ladder. */
export function useDates(which: Which | null, draftVersion: number | undefined) {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['dates', school.id, which?.ladderId, which?.version, draftVersion],
    enabled: which !== null && (which.version !== 'draft' || draftVersion !== undefined),
    placeholderData: keepPreviousData,
    queryFn: () => {
      const { ladderId, version } = which!;
      return version === 'draft'
        ? answered(client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/dates', { params: { path: path(school.id, ladderId) } }))
        : answered(client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/dates', { params: { path: { ...path(school.id, ladderId), version } } }));
    },
  });
}

/** What steps would do to the draft, asked for each place that is tried; an answer once given is kept. */
export function useTrial(ladder: Ladder | undefined, steps: Step[] | null) {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['trial', school.id, ladder?.id, ladder?.draft?.version, steps],
    enabled: Boolean(ladder?.draft && steps && steps.length > 0),
    staleTime: Infinity,
    queryFn: async ({ signal }) => {
      performance.mark('trial-asked');
      const trial = await answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/trials', { params: { path: path(school.id, ladder!.id) }, body: { steps: steps! }, signal }),
      );
      performance.measure('trial', 'trial-asked');
      return trial;
    },
  });
}

/** Changing the draft: each answer is the draft as it then is. A change that collides with another's is told, and the draft loaded anew. */
export function useDraftChanges(ladder: Ladder | undefined) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const key = ['ladder', school.id, ladder?.id, 'draft'];
  const params = { path: path(school.id, ladder?.id ?? '') };
  const version = { 'If-Match': `"${ladder?.draft?.version ?? 0}"` };
  const onSuccess = (changed: Ladder) => {
    queries.setQueryData(key, changed);
    void queries.invalidateQueries({ queryKey: ['history', school.id, changed.id] });
  };
  const onError = (problem: Error) => {
    if (problem instanceof ApiProblem && problem.status === 409) void queries.invalidateQueries({ queryKey: key });
  };
  const change = useMutation({
    mutationFn: (edit: Schemas['LadderEdit']) =>
      answered(client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/changes', { params: { ...params, header: version }, body: edit })),
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
    mutationFn: (to: number) => answered(client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/restoration', { params, body: { version: to } })),
    onSuccess,
    onError,
  });
  const publish = useMutation({
    mutationFn: (body: Schemas['PublishRequest']) =>
      answered(client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/publication', { params: { ...params, header: version }, body })),
    onSuccess: (changed) => {
      onSuccess(changed);
      for (const what of ['ladders', 'groups', 'dates', 'lesson']) void queries.invalidateQueries({ queryKey: [what, school.id] });
    },
    onError,
  });
  return { change, undo, redo, restore, publish };
}

export type DraftChanges = ReturnType<typeof useDraftChanges>;

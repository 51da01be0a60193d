import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';
import type { Step } from './editing';

export type Ladder = Schemas['LadderView'];
/** Which ladder is looked at: a published version, or the draft. */
export type Which = { ladderId: string; version: number | 'draft' };

/** What belongs to one state of a ladder: a draft's change with each edit, a version's never. */
const stateOf = (ladder: Ladder) => (ladder.draft ? `draft ${ladder.draft.version}` : ladder.version);

/** The school's ladders. */
export const laddersQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['ladders', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/ladders', { params: { path: { schoolId } } })),
  });

/** A ladder with its analysis; null while it is not known which. */
export const ladderQuery = (schoolId: string, which: Which | null) =>
  queryOptions({
    queryKey: ['ladder', schoolId, which?.ladderId, which?.version],
    enabled: which !== null,
    queryFn: () => {
      const { ladderId, version } = which!;
      return version === 'draft'
        ? answered(
            client.PUT('/api/schools/{schoolId}/ladders/{ladderId}/draft', {
              params: { path: { schoolId, ladderId } },
            }),
          )
        : answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}', {
              params: { path: { schoolId, ladderId, version } },
            }),
          );
    },
  });

/** The dates of each group on the ladder. */
export const datesQuery = (schoolId: string, which: Which | null, draftVersion: number | undefined) =>
  queryOptions({
    queryKey: ['dates', schoolId, which?.ladderId, which?.version, draftVersion],
    enabled: which !== null && (which.version !== 'draft' || draftVersion !== undefined),
    placeholderData: keepPreviousData,
    queryFn: () => {
      const { ladderId, version } = which!;
      return version === 'draft'
        ? answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/dates', {
              params: { path: { schoolId, ladderId } },
            }),
          )
        : answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/dates', {
              params: { path: { schoolId, ladderId, version } },
            }),
          );
    },
  });

/** What steps would do to the draft, asked for each place that is tried; an answer once given is kept. */
export const trialQuery = (schoolId: string, ladder: Ladder | undefined, steps: Step[] | null) =>
  queryOptions({
    queryKey: ['trial', schoolId, ladder?.id, ladder?.draft?.version, steps],
    enabled: Boolean(ladder?.draft && steps && steps.length > 0),
    staleTime: Infinity,
    queryFn: async ({ signal }) => {
      performance.mark('trial-asked');
      const trial = await answered(
        client.POST('/api/schools/{schoolId}/ladders/{ladderId}/draft/trials', {
          params: { path: { schoolId, ladderId: ladder!.id } },
          body: { steps: steps! },
          signal,
        }),
      );
      performance.measure('trial', 'trial-asked');
      return trial;
    },
  });

/** What a rung of the draft would do at each place. */
export const placesQuery = (schoolId: string, ladder: Ladder | undefined, rungId: string | null) =>
  queryOptions({
    queryKey: ['places', schoolId, ladder?.id, ladder?.draft?.version, rungId],
    enabled: Boolean(ladder && rungId && ladder.rungs.some((r) => r.id === rungId)),
    staleTime: Infinity,
    queryFn: ({ signal }) =>
      answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/rungs/{rungId}/places', {
          params: { path: { schoolId, ladderId: ladder!.id, rungId: rungId! } },
          signal,
        }),
      ),
  });

/** The moves that would make the draft best. */
export const suggestionsQuery = (schoolId: string, ladder: Ladder) =>
  queryOptions({
    queryKey: ['suggestions', schoolId, ladder.id, ladder.draft?.version],
    staleTime: Infinity,
    queryFn: ({ signal }) =>
      answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/suggestions', {
          params: { path: { schoolId, ladderId: ladder.id } },
          signal,
        }),
      ),
  });

/** The ladder's versions and the changes of its draft. */
export const historyQuery = (schoolId: string, ladderId: string) =>
  queryOptions({
    queryKey: ['history', schoolId, ladderId],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/history', { params: { path: { schoolId, ladderId } } }),
      ),
  });

/** What changed from a version to another, or to the draft. */
export const differenceQuery = (schoolId: string, ladder: Ladder, from: number, to: number | 'draft') =>
  queryOptions({
    queryKey: ['difference', schoolId, ladder.id, from, to, to === 'draft' ? ladder.draft?.version : 0],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/difference', {
          params: {
            path: { schoolId, ladderId: ladder.id, version: from },
            query: to === 'draft' ? {} : { to },
          },
        }),
      ),
  });

/** The words that a rung unlocks. */
export const rungWordsQuery = (schoolId: string, ladder: Ladder, rungId: string) =>
  queryOptions({
    queryKey: ['rung-words', schoolId, ladder.id, stateOf(ladder), rungId],
    staleTime: Infinity,
    queryFn: () => {
      const path = { schoolId, ladderId: ladder.id, rungId };
      return ladder.draft
        ? answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/rungs/{rungId}/words', { params: { path } }),
          )
        : answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/rungs/{rungId}/words', {
              params: { path: { ...path, version: ladder.version } },
            }),
          );
    },
  });

/** The tricky words along the ladder. */
export const trickyWordsQuery = (schoolId: string, ladder: Ladder) =>
  queryOptions({
    queryKey: ['tricky', schoolId, ladder.id, stateOf(ladder)],
    queryFn: () => {
      const path = { schoolId, ladderId: ladder.id };
      return ladder.draft
        ? answered(client.GET('/api/schools/{schoolId}/ladders/{ladderId}/draft/tricky-words', { params: { path } }))
        : answered(
            client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/tricky-words', {
              params: { path: { ...path, version: ladder.version } },
            }),
          );
    },
  });

/** Everything that a rung can teach, in the school's accent. */
export const teachablesQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['teachables', schoolId],
    staleTime: Infinity,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/teachables', { params: { path: { schoolId } } })),
  });

/** The school's own key words, phrases, cues and formations. */
export const notesQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['notes', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/notes', { params: { path: { schoolId } } })),
  });

/** The shipped orders with what their first months bring. */
export const startsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['starts', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/orders', { params: { path: { schoolId } } })),
  });

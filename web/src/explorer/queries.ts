import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';

/** What the school said of words: kept out, allowed, corrected. */
export const schoolWordsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['school-words', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/school-words', { params: { path: { schoolId } } })),
  });

/** All that is known of a word. */
export const wordQuery = (schoolId: string, word: string) =>
  queryOptions({
    queryKey: ['word', schoolId, word],
    retry: false,
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/words/{word}', { params: { path: { schoolId, word } } })),
  });

/** The words that a search finds on a ladder. */
export const wordsQuery = (
  schoolId: string,
  on: { ladderId: string; version: number } | null,
  asked: Record<string, string>,
) =>
  queryOptions({
    queryKey: ['words', schoolId, on, asked],
    enabled: on !== null,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/words', {
          params: {
            path: { schoolId },
            query: { ...on!, ...asked, soFar: asked['soFar'] === 'true', known: asked['known'] === 'true' },
          },
        }),
      ),
  });

/** The school's own pictures. */
export const picturesQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['pictures', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/pictures', { params: { path: { schoolId } } })),
  });

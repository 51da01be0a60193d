import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

export type TextView = Schemas['TextView'];
export type TextWord = Schemas['TextWordView'];
export type Level = Schemas['LevelAsked'];
export type OwnText = Schemas['OwnTextView'];
export type OwnTextRequest = Schemas['OwnTextRequest'];

/** A text as it was checked. Nothing of it is kept on the server. */
export const checkQuery = (schoolId: string, asked: Schemas['TextAsked']) =>
  queryOptions({
    queryKey: ['text-check', schoolId, asked],
    staleTime: 60_000,
    gcTime: 60_000,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => ({
      asked,
      view: await answered(
        client.POST('/api/schools/{schoolId}/texts/check', { params: { path: { schoolId } }, body: asked, signal }),
      ),
    }),
  });

/** What would do in the place of a word, and of its sentence. */
export const insteadQuery = (schoolId: string, asked: Schemas['InsteadAsked'] | null) =>
  queryOptions({
    queryKey: ['text-instead', schoolId, asked],
    enabled: asked !== null,
    staleTime: 60_000,
    queryFn: () =>
      answered(client.POST('/api/schools/{schoolId}/texts/instead', { params: { path: { schoolId } }, body: asked! })),
  });

/** Words to write with. */
export const wordsToWriteQuery = (schoolId: string, asked: Schemas['WordsAsked'] | null) =>
  queryOptions({
    queryKey: ['text-words', schoolId, asked],
    enabled: asked !== null,
    staleTime: 60_000,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(client.POST('/api/schools/{schoolId}/texts/words', { params: { path: { schoolId } }, body: asked! })),
  });

/** The school's own texts: shared ones and one's own. */
export const ownTextsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['own-texts', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/own-texts', { params: { path: { schoolId } } })),
  });

export const ownTextQuery = (schoolId: string, textId: string) =>
  queryOptions({
    queryKey: ['own-texts', schoolId, textId],
    enabled: textId !== '',
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/own-texts/{textId}', { params: { path: { schoolId, textId } } })),
  });

export interface ShelfAsked {
  search: string;
  group: string;
  fit: string;
  bar: number;
  skip: number;
}

/** The school's books, each with which group can read it. */
export const shelfQuery = (schoolId: string, asked: ShelfAsked) =>
  queryOptions({
    queryKey: ['books', schoolId, asked],
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/books', {
          params: {
            path: { schoolId },
            query: {
              search: asked.search || undefined,
              group: asked.group || undefined,
              fit: asked.fit || undefined,
              bar: asked.bar,
              skip: asked.skip,
            },
          },
        }),
      ),
  });

export const bookQuery = (schoolId: string, bookId: string) =>
  queryOptions({
    queryKey: ['books', schoolId, bookId],
    enabled: bookId !== '',
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/books/{bookId}', { params: { path: { schoolId, bookId } } })),
  });

/** A kept text to hunt through and read again. */
export const readingQuery = (schoolId: string, textId: string, groupId: string) =>
  queryOptions({
    queryKey: ['own-texts', schoolId, textId, 'reading', groupId],
    enabled: groupId !== '',
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/own-texts/{textId}/reading', {
          params: { path: { schoolId, textId }, query: { groupId } },
        }),
      ),
  });

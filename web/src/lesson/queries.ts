import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { answered, client } from '../api/client';
import type { PartKind } from './kinds';
import { openLesson } from './openLesson';

/** The lesson of a group on a day, planned by the server when the day is opened for the first time. */
export const lessonQuery = (schoolId: string, groupId: string, date: string) =>
  queryOptions({
    queryKey: ['lesson', schoolId, groupId, date],
    staleTime: Infinity,
    queryFn: () => openLesson(schoolId, groupId, date),
  });

/** What the group can do with what is being typed; asked anew with each change of it. */
export const verdictsQuery = (schoolId: string, lessonId: string, part: PartKind, typed: string) =>
  queryOptions({
    queryKey: ['verdicts', schoolId, lessonId, part, typed],
    enabled: typed.length > 0,
    staleTime: 60_000,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/lessons/{lessonId}/verdicts', {
          params: { path: { schoolId, lessonId }, query: { text: typed, part } },
        }),
      ),
  });

/** What could be added to a part of the lesson as it stands now. */
export const offersQuery = (schoolId: string, lessonId: string, version: number, part: PartKind) =>
  queryOptions({
    queryKey: ['offers', schoolId, lessonId, version, part],
    staleTime: Infinity,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/lessons/{lessonId}/offers', {
          params: { path: { schoolId, lessonId }, query: { part } },
        }),
      ),
  });

/** What lessons are built from: the shipped templates and the school's own. */
export const templatesQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['templates', schoolId],
    staleTime: Infinity,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/templates', { params: { path: { schoolId } } })),
  });

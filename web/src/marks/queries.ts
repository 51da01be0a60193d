import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

export type MarkingView = Schemas['MarkingView'];
export type MarkedWord = Schemas['MarkedWord'];
export type Seen = Schemas['Seen'];

/** What there is to mark in a lesson, and what was marked. */
export const marksQuery = (schoolId: string, lessonId: string) =>
  queryOptions({
    queryKey: ['marks', schoolId, lessonId],
    enabled: lessonId !== '',
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/lessons/{lessonId}/marks', { params: { path: { schoolId, lessonId } } }),
      ),
  });

/** What the marker says of an attempt; nothing is kept. */
export const attemptQuery = (schoolId: string, lessonId: string, word: string, written: string) =>
  queryOptions({
    queryKey: ['attempt', schoolId, lessonId, word, written],
    enabled: written !== '',
    staleTime: 60_000,
    queryFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/lessons/{lessonId}/marks/attempt', {
          params: { path: { schoolId, lessonId } },
          body: { word, written },
        }),
      ),
  });

/** What a group holds and what comes back. */
export const groupMemoryQuery = (schoolId: string, groupId: string) =>
  queryOptions({
    queryKey: ['group-memory', schoolId, groupId],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/memory', { params: { path: { schoolId, groupId } } }),
      ),
  });

/** What a child holds, what was seen of it, what it confuses. */
export const childMemoryQuery = (schoolId: string, childId: string) =>
  queryOptions({
    queryKey: ['child-memory', schoolId, childId],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/children/{childId}/memory', { params: { path: { schoolId, childId } } }),
      ),
  });

/** Where teaching goes faster than learning, what fails across classes, who needs more. */
export const schoolMemoryQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['school-memory', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/memory', { params: { path: { schoolId } } })),
  });

/** Who of a group is to have a few minutes today. */
export const catchUpNeedsQuery = (schoolId: string, groupId: string) =>
  queryOptions({
    queryKey: ['catch-up', schoolId, groupId],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/catch-up', { params: { path: { schoolId, groupId } } }),
      ),
  });

import { queryOptions } from '@tanstack/react-query';
import { answered, client, type Schemas } from '../api/client';

/** The groups this person may see, each with its next lesson. */
export const groupsQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['groups', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/groups', { params: { path: { schoolId } } })),
  });

/** What moving a group would change. */
export const moveQuery = (schoolId: string, groupId: string, wanted: Schemas['MoveGroupRequest']) =>
  queryOptions({
    queryKey: ['move', schoolId, groupId, wanted],
    queryFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/ladder/look', {
          params: { path: { schoolId, groupId } },
          body: wanted,
        }),
      ),
    gcTime: 0,
  });

/** What two groups were taught apart. */
export const mergeQuery = (schoolId: string, groupId: string, intoId: string) =>
  queryOptions({
    queryKey: ['merge', schoolId, groupId, intoId],
    enabled: intoId !== '',
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/groups/{groupId}/merge/{intoId}', {
          params: { path: { schoolId, groupId, intoId } },
        }),
      ),
    gcTime: 0,
  });

/** Groups that have ended. */
export const archiveQuery = (schoolId: string) =>
  queryOptions({
    queryKey: ['archive', schoolId],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/archive', { params: { path: { schoolId } } })),
  });

/** What a group that has ended was taught. */
export const archivedGroupQuery = (schoolId: string, groupId: string) =>
  queryOptions({
    queryKey: ['archived-group', schoolId, groupId],
    queryFn: () =>
      answered(client.GET('/api/schools/{schoolId}/archive/{groupId}', { params: { path: { schoolId, groupId } } })),
  });

/** A lesson of a group that has ended. */
export const archivedLessonQuery = (schoolId: string, groupId: string, lessonId: string) =>
  queryOptions({
    queryKey: ['archived-lesson', schoolId, groupId, lessonId],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/archive/{groupId}/lessons/{lessonId}', {
          params: { path: { schoolId, groupId, lessonId } },
        }),
      ),
  });

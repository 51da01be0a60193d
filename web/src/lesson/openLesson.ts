import { answered, ApiProblem, client, type Schemas } from '../api/client';

/**
 * The lesson of a group on a day, planned by the server when the day is opened for the first time; asking again changes
 * nothing.
 */
export const openLesson = (schoolId: string, groupId: string, date: string): Promise<Schemas['LessonView']> =>
  answered(
    client.PUT('/api/schools/{schoolId}/groups/{groupId}/lessons/{date}', {
      params: { path: { schoolId, groupId, date } },
    }),
  );

/**
 * The same for who reads it most likely once more: asked for without a token, so that it can be had from what the
 * browser kept.
 */
export async function readLesson(schoolId: string, groupId: string, date: string): Promise<Schemas['LessonView']> {
  try {
    return await answered(
      client.GET('/api/schools/{schoolId}/groups/{groupId}/lessons/{date}', {
        params: { path: { schoolId, groupId, date } },
      }),
    );
  } catch (problem) {
    if (!(problem instanceof ApiProblem && problem.code === 'no-lesson')) throw problem;
    return openLesson(schoolId, groupId, date);
  }
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, ApiProblem, client } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import type { Closing, Command, LessonView } from './kinds';
import { lessonQuery } from './queries';

/** Changes and closings of a lesson; a stale version loads the lesson as it is now. */
export function useLessonChanges(lesson: LessonView) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const key = lessonQuery(school.id, lesson.groupId, lesson.date).queryKey;
  const params = { path: { schoolId: school.id, lessonId: lesson.id }, header: { 'If-Match': String(lesson.version) } };
  const settle = {
    onSuccess: (changed: LessonView) => {
      queries.setQueryData(key, changed);
      void nowStale(queries, school.id, 'lesson');
    },
    onError: (problem: Error) => {
      if (problem instanceof ApiProblem && problem.code === 'changed-meanwhile')
        void queries.invalidateQueries({ queryKey: key });
    },
  };
  const change = useMutation({
    mutationFn: (command: Command) =>
      answered(
        client.POST('/api/schools/{schoolId}/lessons/{lessonId}/commands', {
          params,
          body: command,
        }),
      ),
    ...settle,
  });
  const close = useMutation({
    mutationFn: (closing: Closing) =>
      answered(client.POST('/api/schools/{schoolId}/lessons/{lessonId}/closing', { params, body: closing })),
    ...settle,
    onSuccess: (changed: LessonView) => {
      settle.onSuccess(changed);
      // What follows was planned on what is now known to be taught.
      void queries.invalidateQueries({
        queryKey: key.slice(0, 3),
        predicate: (q) => q.queryKey[3] !== lesson.date,
      });
    },
  });
  return { change, close };
}

export type LessonChange = ReturnType<typeof useLessonChanges>['change'];

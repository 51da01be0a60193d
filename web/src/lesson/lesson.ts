import type { Closing, Command, LessonView, PartKind, Verdict } from './kinds';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, ApiProblem, client } from '../api/client';
import { useSchool } from '../session/session';
import { openLesson } from './openLesson';

/** The lesson of a group on a day, planned by the server when the day is opened for the first time. */
export function useLesson(groupId: string, date: string) {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['lesson', school.id, groupId, date],
    queryFn: () => openLesson(school.id, groupId, date),
    staleTime: Infinity,
  });
}

/** Changes and closings of a lesson; a stale version loads the lesson as it is now. */
export function useLessonChanges(lesson: LessonView) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const key = ['lesson', school.id, lesson.groupId, lesson.date];
  const params = { path: { schoolId: school.id, lessonId: lesson.id }, header: { 'If-Match': String(lesson.version) } };
  const settle = {
    onSuccess: (changed: LessonView) => {
      queries.setQueryData(key, changed);
      void queries.invalidateQueries({ queryKey: ['groups'] });
      void queries.invalidateQueries({ queryKey: ['week'] });
      void queries.invalidateQueries({ queryKey: ['ladder'] });
    },
    onError: (problem: Error) => {
      if (problem instanceof ApiProblem && problem.code === 'changed-meanwhile') void queries.invalidateQueries({ queryKey: key });
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
    mutationFn: (closing: Closing) => answered(client.POST('/api/schools/{schoolId}/lessons/{lessonId}/closing', { params, body: closing })),
    ...settle,
    onSuccess: (changed: LessonView) => {
      settle.onSuccess(changed);
      // What follows was planned on what is now known to be taught.
      void queries.invalidateQueries({ queryKey: ['lesson', school.id, lesson.groupId], predicate: (q) => q.queryKey[3] !== lesson.date });
    },
  });
  return { change, close };
}

/** What the group can do with what is being typed; asked anew with each change of it. */
export function useVerdicts(lesson: LessonView, part: PartKind, typed: string) {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['verdicts', school.id, lesson.id, part, typed],
    enabled: typed.length > 0,
    staleTime: 60_000,
    placeholderData: (before: Verdict[] | undefined) => before,
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/lessons/{lessonId}/verdicts', {
          params: { path: { schoolId: school.id, lessonId: lesson.id }, query: { text: typed, part } },
        }),
      ),
  });
}

/** What lessons are built from: the shipped templates and the school's own. */
export function useTemplates() {
  const { school } = useSchool();
  return useQuery({
    queryKey: ['templates', school.id],
    staleTime: Infinity,
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/templates', { params: { path: { schoolId: school.id } } })),
  });
}

import type { QueryClient } from '@tanstack/react-query';

/**
 * What is asked again once something was changed, by the first word of its key; every key goes on with the school, but
 * for the session and the facts. `all` is everything that follows from what was changed.
 */
export const STALE = {
  lesson: ['groups', 'week', 'ladder'],
  planning: ['groups', 'week', 'lesson'],
  ladders: ['ladders'],
  publication: ['ladders', 'groups', 'dates', 'lesson'],
  notes: ['notes', 'ladder'],
  word: ['word', 'words', 'school-words', 'lesson', 'week'],
  keptOut: ['word'],
  people: ['people', 'groups'],
  groups: ['groups', 'people', 'week', 'ladders', 'dates', 'children', 'archive'],
  moved: ['groups', 'week', 'ladders', 'dates', 'lesson'],
  children: ['children'],
  jobs: ['jobs'],
  ownTexts: ['own-texts'],
  books: ['books'],
  marks: ['marks', 'group-memory', 'lesson', 'week'],
} as const;

const SETTLED = new Set<unknown>(['session', 'style', 'facts']);

/** Asks again for what a change of this kind made old. */
export function nowStale(queries: QueryClient, schoolId: string, changed: keyof typeof STALE | 'settings') {
  if (changed === 'settings') return queries.invalidateQueries({ predicate: (q) => !SETTLED.has(q.queryKey[0]) });
  return Promise.all(STALE[changed].map((what) => queries.invalidateQueries({ queryKey: [what, schoolId] })));
}

import { expect, test } from 'vitest';
import { boardAt } from './address';

const [school, group] = ['0190a000-0000-7000-8000-000000000001', '0190a000-0000-7000-8000-000000000002'];

test('a board is known by its whole address; one without its school is left to the pages that find it', () => {
  const at = { schoolId: school, groupId: group, date: '2026-11-24' };
  expect(boardAt(`/s/${school}/groups/${group}/lessons/2026-11-24/board`)).toEqual({ ...at, isTeachers: false });
  expect(boardAt(`/s/${school}/groups/${group}/lessons/2026-11-24/board/teacher`)).toEqual({ ...at, isTeachers: true });
  for (const other of [
    `/groups/${group}/lessons/2026-11-24/board`,
    `/s/${school}/groups/${group}/lessons/2026-11-24`,
    '/board',
    '/sign-in',
  ])
    expect(boardAt(other)).toBeNull();
});

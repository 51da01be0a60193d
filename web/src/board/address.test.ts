import { expect, test } from 'vitest';
import { boardAt } from './address';

const [school, group] = ['0190a000-0000-7000-8000-000000000001', '0190a000-0000-7000-8000-000000000002'];

test('a board is known by its whole address; one without its school is left to the pages that find it', () => {
  expect(boardAt(`/s/${school}/groups/${group}/lessons/2026-11-24/board`)).toEqual({
    schoolId: school,
    groupId: group,
    date: '2026-11-24',
  });
  for (const other of [
    `/groups/${group}/lessons/2026-11-24/board`,
    `/s/${school}/groups/${group}/lessons/2026-11-24`,
    '/board',
    '/sign-in',
  ])
    expect(boardAt(other)).toBeNull();
});

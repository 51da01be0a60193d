import { expect, test } from 'vitest';
import { ApiProblem } from './client';
import { makeQueries } from './queries';

test('a change is never sent twice by itself', () => {
  expect(makeQueries().getDefaultOptions().mutations?.retry).toBeUndefined();
});

test('reading waits for a busy server, and takes any other answer as it is', () => {
  const retry = makeQueries().getDefaultOptions().queries?.retry as (times: number, problem: Error) => boolean;
  expect([0, 1, 2, 3].map((n) => retry(n, new ApiProblem('busy', 503, '')))).toEqual([true, true, true, false]);
  expect(retry(0, new ApiProblem('not-found', 404, ''))).toBe(false);
});

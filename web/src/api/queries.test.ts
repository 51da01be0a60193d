import { afterEach, expect, test, vi } from 'vitest';
import { ApiProblem } from './client';
import { makeQueries } from './queries';

afterEach(() => vi.useRealTimers());

const tries = async (problem: Error) => {
  vi.useFakeTimers();
  let times = 0;
  const asked = makeQueries()
    .fetchQuery({
      queryKey: ['x'],
      queryFn: () => {
        times++;
        throw problem;
      },
      retry: undefined as never,
    })
    .catch(() => undefined);
  await vi.runAllTimersAsync();
  await asked;
  return times;
};

test('a change is never sent twice by itself', () => {
  expect(makeQueries().getDefaultOptions().mutations?.retry).toBeUndefined();
});

test('reading waits for a busy server, and takes any other answer as it is', async () => {
  const retry = makeQueries().getDefaultOptions().queries?.retry as (times: number, problem: Error) => boolean;
  expect([0, 1, 2, 3].map((n) => retry(n, new ApiProblem('busy', 503, '')))).toEqual([true, true, true, false]);
  expect(retry(0, new ApiProblem('not-found', 404, ''))).toBe(false);
  expect(await tries(new ApiProblem('not-found', 404, ''))).toBe(1);
});
